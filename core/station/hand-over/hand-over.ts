import type { AnswerTo } from '../../ask/question'
import { BRAZE_RODS, BRAZE_ROD_IDS } from '../../braze/rods.table'
import { jobQuote } from '../../shop/question'
import type { Job, Kit } from '../../job/job.schema'
import { askFor } from '../ask-core'
import { inOrder } from '../../job/rests-on'
import type { MendsData } from '../mends/mend-row'
import { spentOn, type Spent } from '../../job-plan/cost'
import { wholeRods } from '../../job-plan/rods'
import type { Made } from '../../job-plan/step'
import { capital, count, figure, list, words, type Sentence, type StationPlan } from '../parts'
import type { Assumed } from './assumed'
import type { Phase } from './phases'

/** Why a job may not be handed over yet: by code, and in words. */
export interface Unmet {
  code: string
  text: string
}

export interface HandOverData {
  quote: AnswerTo<typeof jobQuote> | null
  phases: Phase[]
  actualTotalMin: number | null
  plannedTotalMin: number
  currency: string
  /** What the price goes by that nobody has said. */
  assumed: readonly Assumed[]
}

/** Money as it is written in the shop. */
export const money = (amount: number, currency: string) => `${currency}${amount.toFixed(2)}`

/** What the plan's steps use up, as the bill lists it. */
function billOf(kit: Kit, steps: readonly Made[]) {
  const spent = steps.map(step => spentOn(kit, step))
  const price = (line: keyof Spent) => spent.reduce((sum, of) => sum + of[line], 0)
  const used = (of: 'gasL' | 'fuelL' | 'kWh') => steps.reduce((sum, { uses }) => sum + (uses?.[of] ?? 0), 0)
  const rods = steps.reduce((sum, { uses }) => sum + (uses?.rods.reduce((all, { count }) => all + count, 0) ?? 0), 0)
  const bought = steps.reduce((sum, step) => sum + (step.bought ?? 0), 0)
  const litres = used('gasL') + used('fuelL')
  const line = (name: string, of: keyof Spent) => (price(of) > 0 ? [{ name, price: price(of) }] : [])
  return {
    filler: { rods, pricePerRod: rods > 0 ? price('rods') / rods : 0 },
    gas: { litres, pricePerL: litres > 0 ? price('gas') / litres : 0 },
    power: { kWh: used('kWh'), pricePerKWh: kit.pricePerKWh },
    other: [
      ...(bought > 0 ? [{ name: 'Thread inserts', price: bought }] : []),
      ...line('Wire', 'wire'),
      ...line('Discs, brushes and wipes', 'abrasives'),
    ],
  }
}

/** A rod's own name, where it is no alloy of the table. */
const laidName = (filler: string): string => {
  const rod = BRAZE_ROD_IDS.find(id => id === filler)
  return rod ? BRAZE_RODS[rod].name : filler
}

/** Rods that the kit lacks for this job: said before they are wanted at the arc. */
const toBuy = (kit: Kit, steps: readonly Made[]): Sentence[] =>
  wholeRods(steps, kit)
    .filter(({ buy }) => buy > 0)
    .map(({ filler, diameterMm, buy }) => [
      `To buy: ${count(buy, 'rod')} of ${laidName(filler)}, `,
      figure(diameterMm, 'mm'),
      ' across: the kit has too few.',
    ])

/** Hand over: the quote, what was taken, and what the record must still hold. */
export function planHandOver(
  job: Job,
  kit: Kit,
  phases: Phase[],
  unmet: readonly Unmet[],
  mends: MendsData,
  steps: readonly Made[],
  assumed: readonly Assumed[],
): StationPlan<HandOverData> {
  const bill = billOf(kit, steps)
  const input = {
    phases: phases.map(({ name, minutes }) => ({ name, minutes })),
    ratePerHour: kit.ratePerHour,
    ...bill,
    other: [...job.handOver.other.map(({ name, price }) => ({ name, price })), ...bill.other],
    ...(job.takeIn.newPrice ? { newPrice: job.takeIn.newPrice } : {}),
  }
  const asked = askFor(jobQuote, 'The price', input)
  const quote = asked.ok ? asked.answer : null
  // A price stands once something is worked out.
  const ready = mends.rows.some(row => row.planned)
  const missing = mends.rows.flatMap(row => row.wants)
  const wants = ready ? [] : missing.length ? missing : ['a mend']
  const plannedTotalMin = phases.reduce((sum, phase) => sum + phase.minutes, 0)
  const actuals = phases.filter(phase => phase.actualMin !== null)
  const actualTotalMin = actuals.length ? actuals.reduce((sum, phase) => sum + phase.actualMin!, 0) : null
  const price = quote ? money(quote.total, kit.currency) : ''
  const call: Sentence =
    !quote || !ready
      ? ['No price yet: still wanted is a mend with its readings.']
      : [
          words(price, 'quote'),
          ' in all',
          ...(quote.ofNewPct !== undefined
            ? [', ', figure(Math.round(quote.ofNewPct), 'pct', 'quote'), ' of a new one']
            : []),
          unmet.length ? `; before it goes: ${unmet[0]?.text}.` : '; it may go.',
        ]
  const why: Sentence[] = []
  if (quote && ready) {
    why.push([
      words(money(quote.labour, kit.currency), 'quote'),
      ' for ',
      figure(plannedTotalMin, 'min'),
      ' of work, ',
      words(money(quote.materials, kit.currency), 'quote'),
      ' for rods, gas, power and extras. The hours are the price.',
    ])
    if (!job.settled.weld) why.push(...toBuy(kit, steps))
    if (actualTotalMin !== null)
      why.push([
        'Taken so far: ',
        figure(actualTotalMin, 'min'),
        ' against ',
        figure(
          actuals.reduce((sum, phase) => sum + phase.minutes, 0),
          'min',
        ),
        ' planned for the same phases.',
      ])
  }
  const learntPhases = phases.filter(phase => phase.fromJobs > 0)
  if (learntPhases.length)
    why.push([
      'Your shop: ',
      figure(plannedTotalMin, 'min'),
      ' against a starting value of ',
      figure(
        phases.reduce((sum, phase) => sum + phase.startingMin, 0),
        'min',
      ),
      `, from ${count(Math.max(...learntPhases.map(phase => phase.fromJobs)), 'finished job')}.`,
    ])
  if (quote && ready && job.handOver.alike > 1) {
    // Setting machine and mill up is done once for all of them: each has its share of it.
    const onceMin =
      job.handOver.alike * steps.reduce((sum, { phase, minutes }) => sum + (phase === 'set-up' ? minutes : 0), 0)
    why.push([
      `${capital(count(job.handOver.alike, 'part'))} alike: `,
      words(money(quote.total, kit.currency), 'quote'),
      ' each, ',
      words(money(quote.total * job.handOver.alike, kit.currency), 'quote'),
      ' in all; ',
      figure(onceMin, 'min'),
      ' of setting up is shared.',
    ])
  }
  const used = [
    job.handOver.usedRods === null
      ? null
      : `${job.handOver.usedRods} rods for ${quote?.lines.find(line => line.name === 'Filler')?.quantity.toFixed(0) ?? 0} planned`,
    job.handOver.usedGasL === null
      ? null
      : `${job.handOver.usedGasL} L of gas for ${Math.round(bill.gas.litres)} planned`,
  ].filter(entry => entry !== null)
  if (used.length) why.push([`Used: ${list(used)}.`])
  if (actualTotalMin !== null && quote && ready) {
    const really = (actualTotalMin / 60) * kit.ratePerHour + quote.materials
    why.push([
      'At what it took, with the phases noted, it cost the bench ',
      words(money(really, kit.currency), 'quote'),
      ' against ',
      words(price, 'quote'),
      ' quoted.',
    ])
  }
  for (const { text } of unmet) why.push([`${capital(text)}.`])
  return {
    id: 'hand-over',
    short: job.handOver.handedAt
      ? 'handed over'
      : quote && ready
        ? `about ${kit.currency}${Math.round(quote.total)}${quote.ofNewPct !== undefined ? `, ${Math.round(quote.ofNewPct)} % of new` : ''}`
        : `wants ${wants[0] ?? 'a mend'}`,
    wants,
    call,
    why,
    change: [
      ['Repairs commonly go for a fifth to a third of the new price; a higher one wants a word with the owner first.'],
    ],
    cautions: [],
    workings: asked.ok ? { quote: asked.working } : {},
    outcomes: {
      price: ready && quote ? Math.round(100 * quote.total) / 100 : null,
      open: inOrder(unmet.map(({ code }) => code)),
    },
    data: { quote: ready ? quote : null, phases, actualTotalMin, plannedTotalMin, currency: kit.currency, assumed },
  }
}
