import { z } from 'zod'
import { nearest } from '../quantity/nearest'
import { THREADS } from './list'
import { form60, type Thread } from './thread'

const BY_NAME = new Map(THREADS.map(thread => [key(thread.designation), thread]))

/**
 * A designation without what people write in different ways: case, spaces, decimal comma, class of fit, hyphens of
 * mixed fractions.
 */
function key(designation: string): string {
  return designation
    .toUpperCase()
    .replace(/[×*]/g, 'X')
    .replace(/(\d),(?=\d)/g, '$1.')
    .replace(/(\d)[\s-]+(?=\d+\/\d+)/g, '$1-')
    .replace(/\s+/g, '')
    .replace(/^NO\.?/, '#')
}

/**
 * The same thread as it may be written: coarse metric without its pitch, unified without its series or its #, pipe
 * threads by their older names.
 */
function candidates(written: string): string[] {
  const plain = key(written)
    .replace(/-?(\d[GH]){1,2}$/, '')
    .replace(/-?[123][AB]$/, '')
    .replace(/["″]/g, '')
  const forms = [plain]
  const bare = /^M(\d+(?:\.\d+)?)$/.exec(plain)
  if (bare)
    forms.push(
      ...THREADS.filter(thread => thread.system === 'metric' && thread.majorMm === Number(bare[1])).map(thread =>
        key(thread.designation),
      ),
    )
  const unified = /^#?([\d/-]+?)-(\d+(?:\.\d)?)(UN\w*)?$/.exec(plain)
  if (unified)
    for (const hash of ['', '#'])
      for (const series of unified[3] ? [unified[3]] : ['UNC', 'UNF', 'UNEF', 'UN'])
        forms.push(`${hash}${unified[1]}-${unified[2]}${series}`)
  const series = /^#?([\d/-]+?)(UNC|UNF|UNEF)$/.exec(plain)
  if (series)
    forms.push(
      ...THREADS.filter(
        thread =>
          thread.system === series[2] &&
          ['', '#'].some(hash => key(thread.designation).startsWith(`${hash}${series[1]}-`)),
      ).map(thread => key(thread.designation)),
    )
  const npt = /^([\d/-]+?)(?:-[\d.]+)?(NPTF?)$/.exec(plain)
  if (npt)
    forms.push(
      ...THREADS.filter(thread => thread.system === npt[2] && key(thread.designation).startsWith(`${npt[1]}-`)).map(
        thread => key(thread.designation),
      ),
    )
  const british = /^(?:(BSPP|BSPT|BSP|RC)([\d/-]+)|([\d/-]+)(BSPP|BSPT|BSP))$/.exec(plain)
  if (british) {
    const [kind, size] = [british[1] ?? british[4]!, british[2] ?? british[3]!]
    forms.push(`${kind === 'BSPT' || kind === 'RC' ? 'R' : 'G'}${size}`)
  }
  const whitworth = /^([\d/-]+?)(?:-\d+)?(BSW|BSF)$/.exec(plain) ?? /^(BSW|BSF)([\d/-]+)$/.exec(plain)
  if (whitworth)
    forms.push(/^BS/.test(whitworth[1]!) ? `${whitworth[2]}${whitworth[1]}` : `${whitworth[1]}${whitworth[2]}`)
  const association = /^(?:BA(\d+)|(\d+)BA|#?(\d+)-?BA)$/.exec(plain)
  if (association) forms.push(`${association[1] ?? association[2] ?? association[3]}BA`)
  return forms
}

/** Least and greatest of a metric thread that no list holds, mm. */
const METRIC_LIMITS = { diameter: [1, 300], pitch: [0.2, 8] } as const

/** Finds a thread as people write it; a metric one of any diameter and pitch is made from its formula. */
export function findThread(written: string): Thread | undefined {
  for (const form of candidates(written)) {
    const found = BY_NAME.get(form)
    if (found) return found
  }
  const metric = /^M(\d+(?:\.\d+)?)X(\d+(?:\.\d+)?)$/.exec(key(written).replace(/-?(\d[GH]){1,2}$/, ''))
  if (!metric) return undefined
  const [d, pitch] = [Number(metric[1]), Number(metric[2])]
  if (
    d < METRIC_LIMITS.diameter[0] ||
    d > METRIC_LIMITS.diameter[1] ||
    pitch < METRIC_LIMITS.pitch[0] ||
    pitch > METRIC_LIMITS.pitch[1] ||
    pitch > d / 2
  )
    return undefined
  return {
    designation: `M${d}x${pitch}`,
    system: 'metric-fine',
    majorMm: d,
    pitchMm: pitch,
    ...form60(d, pitch),
    taperDeg: 0,
    usual: 0.01,
  }
}

/** A Zod schema for a thread by its designation. */
export const threadName = z
  .string({ error: 'a designation such as M10x1.5, 3/8-16 UNC, G1/4 or 1/4-18 NPT' })
  .max(40)
  .transform((written, context) => {
    const thread = findThread(written)
    if (thread) return thread
    const close = nearest(
      written.toUpperCase(),
      THREADS.map(entry => entry.designation),
    ).slice(0, 3)
    context.issues.push({
      code: 'custom',
      input: written,
      message: `no such thread: ${written}${close.length ? `; near it are ${close.join(', ')}` : ''}`,
    })
    return z.NEVER
  })
