import type { Job, Kit } from '../../job/job.schema'
import { wordsFor } from '../../mend/registry'
import { wayName } from '../../mend/way-name'
import { caution } from '../../safety/cautions.table'
import type { Sentence } from '../parts'
import type { MendRow } from './mend-row'
import { openCall, openChange, openWhy, openWorkings } from './open-words'
import { rebuildCall, rebuildChange, rebuildClocks, rebuildWhy, rebuildWorkings } from './rebuild-words'
import { weldCall, weldChange, weldClocks, weldWhy, weldWorkings } from './weld-words'
import { becauseWords, refusedCall } from './mend-words'
import { UNSAID, type Shown, type StationSays } from './said'

/** What a station says of one mend; of one that can't be planned or is not mended, only that. */
export function stationSays(job: Job, kit: Kit, row: MendRow, station: Shown): StationSays {
  const says = saying(job, kit, row, station)
  const own = (row.planned?.cautions ?? []).filter(code => !ELSEWHERE[station].has(code)).map(caution)
  const flame = station === 'weld' ? (row.flame?.says.cautions ?? []) : []
  return {
    ...says,
    why: [...(station === 'rebuild' ? [] : againstIt(row)), ...says.why],
    // What may hurt stands there even where it is not to be done.
    cautions: [...own, ...flame.filter(one => !own.some(({ code }) => code === one.code))],
  }
}

/** What speaks against a mend, and ways of mending it that its state rules out. */
const againstIt = ({ kind, planned }: MendRow): Sentence[] =>
  planned
    ? [
        ...(planned.decision === 'decline'
          ? []
          : planned.because.map((code): Sentence => [`Against it: ${becauseWords(kind, code)}.`])),
        ...planned.ruledOut.map(({ way, why }): Sentence => [
          `Ruled out by its state: ${wayName(kind, way)}: ${wordsFor(kind, why)}`,
        ]),
      ]
    : []

/** Cautions that stand where the work is done that they are of, and not at these stations. */
const HEAT = ['earth-before-arc', 'ozone-uv', 'hot-no-glow', 'torch-fire', 'welding-flux']
const ELSEWHERE: Readonly<Record<Shown, ReadonlySet<string>>> = {
  open: new Set(HEAT),
  weld: new Set(['aluminium-dust', 'rotating-tools']),
  rebuild: new Set([...HEAT.filter(code => code !== 'hot-no-glow'), 'chlorinated-solvent']),
}

type Said = Omit<StationSays, 'cautions'>

function saying(job: Job, kit: Kit, row: MendRow, station: Shown): Said {
  const refused = refusedCall(row)
  if (refused) {
    // A flame says by what it falls short.
    const flame = station === 'weld' ? row.flame?.says : undefined
    return { ...UNSAID, call: flame?.call ?? refused, why: flame?.why ?? [], workings: flame?.workings ?? {} }
  }
  if (station === 'open')
    return { ...UNSAID, call: openCall(row), why: openWhy(row), change: openChange(row), workings: openWorkings(row) }
  if (station === 'rebuild')
    return {
      call: rebuildCall(row),
      why: rebuildWhy(row),
      change: rebuildChange(row),
      clocks: rebuildClocks(row),
      workings: rebuildWorkings(row),
    }
  return {
    call: weldCall(row),
    why: weldWhy(job, kit, row),
    change: weldChange(job, row),
    clocks: weldClocks(row),
    workings: weldWorkings(row),
  }
}
