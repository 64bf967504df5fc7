import type { BrazeRod } from '../braze/rods.table'
import { BRAZE_RODS } from '../braze/rods.table'
import { HARDENED_BY_MG2SI, softening } from '../heat/softening'
import type { Alloy } from '../metal/alloys.table'
import { CURES } from './finish.table'

export type AfterFinish = keyof typeof CURES

export interface FinishAdvice {
  notes: string[]
  strengthLeftPct: number | null
}

/** Silicon of a filler from which it anodises dark, %. Common practice, no source. */
const DARK_SI_PCT = 2
/** From here on an oven ages a heat-treated alloy further within its minutes, °C. Common practice, no source. */
const AGES_FROM_C = 150
/** A cured part this near a brazed joint's limit is refused, K. Judgement. */
const BRAZE_ROOM_K = 60

/**
 * What a coating afterwards does to temper, to the look of the bead, and to a brazed joint.
 * Temper: dissolution of magnesium silicide (`core/heat/softening`), 6xxx and Al-Si-Mg only. Other effects common
 * practice, no source.
 */
export function finishAdvice(
  after: AfterFinish,
  base: Alloy,
  filler: Alloy | null,
  rod: BrazeRod | null,
): FinishAdvice {
  const cure = CURES[after]
  const notes: string[] = []
  if (!cure) return { notes: ['Bare: passivate or oil it where it meets salt.'], strengthLeftPct: null }
  const left = HARDENED_BY_MG2SI.includes(base.family) ? softening(base, [0, cure.min * 60], [cure.c, cure.c]) : null
  if (left && left.leftPct < 99)
    notes.push(
      `The ${cure.c} °C cure takes T6 hardening down to about ${Math.round(left.leftPct)} % (${Math.round(left.lowPct)} to ${Math.round(left.highPct)}) in ${cure.min} min, and ages the rest further.`,
    )
  else if (cure.c >= AGES_FROM_C)
    notes.push(
      `${cure.c} °C ages a heat-treated alloy further, a little more each time it is coated: say so where it carries load.`,
    )
  else notes.push(`${cure.c} °C for ${cure.min} min leaves any temper alone.`)
  if (after === 'anodised') {
    if (rod === 'zinc-al') notes.push('Never anodise over zinc rod: the acid eats the joint away.')
    if (filler)
      notes.push(
        (filler.pct.Si ?? 0) > DARK_SI_PCT
          ? `${filler.name} goes dark grey to black when anodised: 5356 matches, or paint it.`
          : `${filler.name} anodises near the colour of wrought metal; the heated edge still shows.`,
      )
    if (base.form === 'cast') notes.push('A casting anodises blotchy and grey whatever the filler.')
  }
  if (after === 'plated')
    notes.push('Plating baths creep out of pores for weeks: boil it in clean water first, and seal what is not plated.')
  if (after === 'powder' || after === 'paint')
    notes.push('Degas it first: bake it bare a little above the cure, or pores blow pinholes through the coat.')
  if (rod) {
    const { solidusC, name } = BRAZE_RODS[rod]
    notes.push(
      cure.c > solidusC - BRAZE_ROOM_K
        ? `The cure comes too near what the ${name} melts at (${solidusC} °C): cure it colder.`
        : `The ${name} melts from ${solidusC} °C: the cure does not reach it, but do not hang weight on the joint in the oven.`,
    )
  }
  return { notes, strengthLeftPct: left?.leftPct ?? null }
}
