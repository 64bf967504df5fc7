import { remembered } from '../ask/remembered'
import { read } from '../quantity/read'
import { DRILLS, type Drill } from './drills.table'

const MOST = 600
const RANGE = /^(.+?)\s+(?:to|–)\s+(.+?)\s+by\s+(.+)$/i

/**
 * Drills as they are written on the box: sizes in any unit (`6.8`, `17/64 in`), names (`No. 7`, `letter F`, `F`) and
 * ranges (`1 to 13 by 0.5`), between commas or semicolons or on lines of their own.
 * @returns the drills, least first, and what was not understood; all the standard ones for an empty text
 */
export const kitDrills = remembered(20, (text: string): { drills: readonly Drill[]; unread: string[] } => {
  if (text.trim() === '') return { drills: DRILLS, unread: [] }
  const found = new Map<string, Drill>()
  const unread: string[] = []
  const put = (mm: number, name: string) => {
    if (mm > 0 && mm < 200 && found.size < MOST) found.set(mm.toFixed(4), { mm, name })
  }
  const size = (written: string) => {
    const reading = read(written, 'mm')
    return reading.ok && reading.value > 0 ? reading.value : null
  }
  for (const entry of text
    .split(/[,;\n]/)
    .map(piece => piece.trim())
    .filter(Boolean)) {
    const named = DRILLS.find(
      drill =>
        drill.name.toLowerCase() === entry.toLowerCase().replace(/^#/, 'no. ') ||
        drill.name.toLowerCase() === `letter ${entry.toLowerCase()}`,
    )
    const range = RANGE.exec(entry)
    const [from, to, by] = range ? [size(range[1]!), size(range[2]!), size(range[3]!)] : [null, null, null]
    if (named) put(named.mm, named.name)
    else if (range && from && to && by && to >= from && (to - from) / by <= MOST)
      for (let n = 0; from + n * by <= to + 1e-9; n++) put(from + n * by, `${Number((from + n * by).toFixed(3))} mm`)
    else if (!range && size(entry)) put(size(entry)!, /[a-z"″/]/i.test(entry) ? entry : `${entry} mm`)
    else unread.push(entry)
  }
  return { drills: [...found.values()].toSorted((a, b) => a.mm - b.mm), unread }
})
