import { compile } from '@vue/compiler-dom'
import { readFileSync, readdirSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { answerRows } from '../../core/ask/answer-rows'
import { fieldsOf } from '../../core/ask/fields'
import { sorted } from '../../core/job/out'
import { planJob } from '../../core/station/plan-job'
import { recordOf } from '../../core/station/hand-over/record'
import { kitSchema } from '../../core/job/job.schema'
import { cut } from '../../core/words/catalogue'
import { GERMAN } from '../../core/words/de/catalogue'
import { sayer } from '../../core/words/say'
import { questions } from '../../core/questions'
import { allWords } from './all-words'
import { scriptKeys } from './script-words'
import { sayTransform, templateWords } from './vue-words'

const compiled = (template: string) =>
  compile(template, { mode: 'module', prefixIdentifiers: true, nodeTransforms: [sayTransform()] }).code

describe('templates', () => {
  it('say a run of text and figures as one sentence with its places', () => {
    expect(compiled('<p>Held {{ n }} of {{ all }}</p>')).toContain('_ctx.$say("Held {0} of {1}", [_ctx.n, _ctx.all])')
  })
  it('say what is read out, and choices', () => {
    const code = compiled('<v-select label="Size of it" :items="sizes" /><b :title="why" aria-label="x y" />')
    expect(code).toContain('label: _ctx.$say("Size of it")')
    expect(code).toContain('items: _ctx.$sayItems(_ctx.sizes)')
    expect(code).toContain('title: _ctx.$say(_ctx.why)')
  })
  it('leave what a person wrote', () => {
    expect(compiled('<p translate="no">{{ title }} <b>of the bell</b></p>')).not.toContain('$say')
    expect(compiled('<p><template v-if="a" translate="no">{{ a }}</template><i v-else>yes then</i></p>')).toMatch(
      /_toDisplayString\(_ctx\.a\)[\s\S]*\$say\("yes then"\)/,
    )
  })
  it('keep choices and loops as they are', () => {
    const code = compiled('<i v-for="a in list" :key="a"><b v-if="a">yes then</b><b v-else>{{ a }}</b></i>')
    expect(code).toContain('$say("yes then")')
    expect(code).toContain('$say(a)')
  })
  it('give their keys as the compiler makes them', () => {
    const { keys } = templateWords(
      '<template>\n  <p title="On it">\n    Held {{ n }}\n    of <b>it</b>\n  </p>\n</template>\n',
    )
    expect(keys).toEqual(['On it', 'Held {0} of', 'it'])
  })
})

describe('scripts', () => {
  it('give texts, templates and sentences in parts, and nothing that is compared or thrown', () => {
    expect(
      scriptKeys(`
        const a = \`warm it to \${t} °C\`
        const b = ['Laid on ', figure(1, 'mm'), ' of wall']
        if (kind === 'not this one') throw new Error('nor this one')
        const c = { name: 'strap' }
      `),
    ).toEqual(['warm it to {0} °C', 'Laid on {0} of wall', 'strap'])
  })
})

describe('German', () => {
  it('has every word that the program says, and none that it does not', () => {
    const words = [...allWords().keys()]
    expect(words.filter(key => !GERMAN[key])).toEqual([])
    const said = new Set(words)
    expect(Object.keys(GERMAN).filter(key => !said.has(key))).toEqual([])
  })

  it('has each entry in one file', () => {
    const names = readdirSync('core/words/de').filter(name => name.endsWith('.json'))
    const keys = names.flatMap(name => Object.keys(JSON.parse(readFileSync(`core/words/de/${name}`, 'utf8')) as object))
    expect(keys.length).toBe(new Set(keys).size)
  })

  it('keeps every place once, and those that stand together together', () => {
    const wrong = Object.entries(GERMAN).filter(([key, said]) => {
      const places = (text: string) =>
        cut(text)
          .filter(piece => typeof piece === 'number')
          .sort()
      const runs = key.match(/(?:\{\d+\}){2,}/g) ?? []
      return String(places(key)) !== String(places(said)) || runs.some(run => !said.includes(run))
    })
    expect(wrong).toEqual([])
  })

  it('keeps white space at the ends, where pieces are put together', () => {
    const edges = (text: string) => `${/^\s/.test(text)}${/\s$/.test(text)}`
    const wrong = Object.entries(GERMAN).filter(([key, said]) => edges(key) !== edges(said))
    // The comma stands where English has a space.
    expect(wrong.map(([key]) => key)).toEqual([' that it lasts'])
  })
})

const WRITTEN = /^(?:title|customer|name|words|note|damage|causeCure|limits|notPerfect|handedTo|shop|instrument)$/

/** What the shop's people wrote: names, notes and the like. */
function ownWords(value: unknown, key = ''): string[] {
  if (typeof value === 'string') return WRITTEN.test(key) ? [value.toLowerCase()] : []
  if (Array.isArray(value)) return value.flatMap(entry => ownWords(entry, key))
  return typeof value === 'object' && value !== null
    ? Object.entries(value).flatMap(([inner, entry]) => ownWords(entry, inner))
    : []
}

const quoted = (text: string) => text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')
const MINE = '\uE0FF'
const PART = /[\uE000-\uE0FF]/g
type Leaf = { path: string; text: string }

/** Every text that a station shows, sentences in parts as one with a mark for each part. */
function leaves(value: unknown, path: string): Leaf[] {
  if (typeof value === 'string') return [{ path, text: value }]
  if (Array.isArray(value)) {
    const isSentence = value.some(
      part => typeof part === 'object' && part !== null && ('figure' in part || 'words' in part),
    )
    if (!isSentence) return value.flatMap(entry => leaves(entry, path))
    let n = 0
    const marked = value.map(part => (typeof part === 'string' ? part : String.fromCharCode(0xe000 + n++))).join('')
    return [{ path, text: marked }]
  }
  return typeof value === 'object' && value !== null
    ? Object.entries(value).flatMap(([key, entry]) => leaves(entry, `${path}.${key}`))
    : []
}

describe('Ask in German', () => {
  const say = sayer('de', GERMAN)
  it('says each question, its fields, and what stands beside the figures of its answer', () => {
    const wanted: string[] = []
    const see = (text: string | undefined) => {
      if (text && say.left(text) > 0) wanted.push(text)
    }
    for (const name of questions.names) {
      const question = questions.get(name)!
      see(question.purpose)
      for (const { label, help } of fieldsOf(question)) [label, help].forEach(see)
      const { answer, cautions } = question.solve(question.input.parse(question.example) as never)
      const { rows, tables } = answerRows(answer, question.output)
      for (const { label, columns } of tables) [label, ...columns].forEach(see)
      for (const { label } of rows) see(label)
      for (const { title, text } of cautions) [title, text].forEach(see)
    }
    expect(wanted).toEqual([])
  })
})

describe('the made-up shop in German', () => {
  const shop = JSON.parse(readFileSync('demo/larkmoor-bench.json', 'utf8')) as { jobs: unknown[]; kit: unknown }
  const kit = kitSchema.parse(shop.kit)
  const { jobs } = sorted(shop.jobs as never)
  const say = sayer('de', GERMAN)
  const own = [...new Set(ownWords([jobs, kit]))]
    .filter(text => text.length > 2 && say.left(text) > 0)
    .sort((a, b) => b.length - a.length)
  /** Letters that stay English and are nobody's own. */
  const left = (text: string) => {
    let [rest, most] = [text, say.left(text)]
    for (const words of own) {
      if (most === 0) return 0
      const other = rest.replaceAll(new RegExp(`(?<!\\p{L})${quoted(words)}(?!\\p{L})`, 'giu'), MINE)
      if (other !== rest && say.left(other) < most) [rest, most] = [other, say.left(other)]
    }
    return most
  }

  it('is said to the last word by the stations and on the record', () => {
    const wanted = new Map<string, string>()
    for (const job of jobs) {
      const plan = planJob(job, kit)
      const stations = Object.values(plan).filter(station => 'call' in station)
      const shown = stations.flatMap(({ id, short, wants, call, why, change, hands, cautions, workings, clocks }) =>
        leaves(
          {
            short,
            wants,
            call,
            why,
            change,
            hands,
            texts: cautions.map(({ title, text }) => [title, text]),
            clocks,
            steps: Object.values(workings).flatMap(({ title, steps }) => [
              title,
              ...steps.flatMap(step => [step.label, step.formula, step.source]),
            ]),
          },
          id,
        ),
      )
      const record = recordOf(job, plan, kit, 'metric').sections.flatMap(({ title, lines }) => [
        { path: 'record', text: title },
        ...lines
          .filter(line => !line.own)
          .flatMap(line => [
            { path: 'record', text: line.label },
            { path: 'record', text: line.text },
          ]),
      ])
      const { steps, decisions } = plan.mends
      const planned = leaves(
        {
          steps: steps.map(({ says, because }) => [says, because]),
          decisions: decisions.map(({ about, took, because, others }) => [about, took, because, others]),
        },
        'planned',
      )
      for (const { path, text } of [...shown, ...planned, ...record])
        if (left(text) > 0) wanted.set(text.replace(PART, '#'), path)
    }
    expect([...wanted]).toEqual([])
  })
})
