import { readFileSync, writeFileSync } from 'node:fs'
import { FAMILY_IDS } from '../core/metal/families.table'
import { measureIdentification, seeded } from '../core/metal/identify/measure'

/** Measures identification on simulated parts and writes the tables into docs/method.md between its markers. */
const METHOD = new URL('../docs/method.md', import.meta.url)
const EACH = 40
const three = measureIdentification(EACH, 3, seeded(2026))
const six = measureIdentification(EACH, 6, seeded(2027))
const pct = (share: number) => `${Math.round(share * 100)} %`
const initials = FAMILY_IDS.map((_, i) => String.fromCharCode(97 + i))
const text = `${three.parts} parts drawn evenly over the ${three.parts / EACH} castings and wrought alloys of the table, form seen first, then the recommended test each time (cheap ones that leave no mark first). Leading family right:

| form alone | + 1 test | + 2 | + 3 | + 4 | + 5 | + 6 |
|---|---|---|---|---|---|---|
| ${[...three.rightAfter, ...six.rightAfter.slice(4)].map(pct).join(' | ')} |

Confusion after three tests (rows true, columns named; per cent; a dot is under 1):

| | ${initials.join(' | ')} |
|---|${initials.map(() => '---').join('|')}|
${FAMILY_IDS.map((id, row) => `| ${initials[row]} ${id} | ${three.confusion[row]!.map(share => (share < 0.01 ? '·' : Math.round(share * 100))).join(' | ')} |`).join('\n')}

Cheap tests come first because they give most bits a minute; the dear one (an analyser) comes last and settles it. Every alloy counts alike here, so families that are rare at a bench weigh more than they do there; what is seen is drawn from the likelihood table itself, so this measures the method and not that table's judgement.
`
const before = readFileSync(METHOD, 'utf8')
const [head, rest] = before.split('<!-- confusion -->\n')
if (!rest) throw new Error('docs/method.md has lost its markers')
const tail = rest.split('<!-- /confusion -->')[1]
writeFileSync(METHOD, `${head}<!-- confusion -->\n${text}<!-- /confusion -->${tail}`)
