import { setUpMin } from './set-up'
import type { AnswerTo } from '../../ask/question'
import { jobQuote } from '../../shop/question'
import { MACHINE_EFFICIENCY } from '../../arc/mains'
import type { Job, Kit } from '../../job/job.schema'
import { askFor } from '../ask-core'
import { PRICE } from '../stale'
import { gasFor, rodFor, rodsOf } from '../shop/consumables'
import type { MendsData } from '../mends/mend-row'
import { wirePrice } from '../../job-plan/price'
import { capital, count, figure, list, words, type Sentence, type StationPlan } from '../parts'
import type { Phase } from './phases'
import { VOLTS } from '../../warm/current'

export interface HandOverData {
  quote: AnswerTo<typeof jobQuote> | null
  phases: Phase[]
  actualTotalMin: number | null
  plannedTotalMin: number
  currency: string
}

/** Money as it is written in the shop. */
export const money = (amount: number, currency: string) => `${currency}${amount.toFixed(2)}`

/** What an arc draws from the mains for all the mends, kWh. */
const arcKWh = ({ rows }: MendsData): number =>
  rows
    .flatMap(({ setUps }) => setUps)
    .reduce((sum, { set, arcMin }) => sum + (set.setA * (set.mig?.v ?? VOLTS['ac-tig']) * arcMin) / 60 / 1000, 0) /
  MACHINE_EFFICIENCY

/** Gas that is taken, L, and its price: what shields the arcs, and what a flame burns. */
function gasesOf(kit: Kit, { gasL, rows }: MendsData): { litres: number; pricePerL: number }[] {
  const priced = (litres: number, burns: string | null) => {
    const gas = gasFor(kit, burns)
    return { litres, pricePerL: gas ? gas.price / gas.cylinderL : 0 }
  }
  return [
    priced(gasL, null),
    ...rows.flatMap(({ flame }) => (flame?.flame ? [priced(flame.flame.plan.fuelL ?? 0, flame.flame.torch.gas)] : [])),
  ]
}

/** Hand over: the quote, what was taken, and what the record must still hold. */
export function planHandOver(
  job: Job,
  kit: Kit,
  phases: Phase[],
  unmet: readonly string[],
  mends: MendsData,
): StationPlan<HandOverData> {
  const rods = rodsOf(mends.rows).map(of => ({ ...of, price: rodFor(kit, of.filler, of.rodMm)?.price ?? 0 }))
  const allRods = rods.reduce((sum, of) => sum + of.rods, 0)
  const gases = gasesOf(kit, mends)
  const litres = gases.reduce((sum, of) => sum + of.litres, 0)
  const input = {
    phases: phases.map(({ name, minutes }) => ({ name, minutes })),
    ratePerHour: kit.ratePerHour,
    filler: {
      rods: allRods * (kit.learnt?.ratios.rods?.ratio ?? 1),
      pricePerRod: allRods > 0 ? rods.reduce((sum, of) => sum + of.rods * of.price, 0) / allRods : 0,
    },
    gas: {
      litres: litres * (kit.learnt?.ratios.gas?.ratio ?? 1),
      pricePerL: litres > 0 ? gases.reduce((sum, of) => sum + of.litres * of.pricePerL, 0) / litres : 0,
    },
    power: { kWh: arcKWh(mends), pricePerKWh: kit.pricePerKWh },
    other: [
      ...job.handOver.other.map(({ name, price }) => ({ name, price })),
      ...(mends.wire.length
        ? [{ name: 'Wire', price: mends.wire.reduce((sum, of) => sum + wirePrice(kit, of.filler, of.massG), 0) }]
        : []),
    ],
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
      ? ['Wants a mend with its readings before there is a price.']
      : [
          words(price, 'quote'),
          ' in all',
          ...(quote.ofNewPct !== undefined
            ? [', ', figure(Math.round(quote.ofNewPct), 'pct', 'quote'), ' of a new one']
            : []),
          unmet.length ? `; before it goes: ${unmet[0]}.` : '; it may go.',
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
    // Setting machine and mill up is done once for all of them.
    const onceMin = setUpMin(mends)
    const each = quote.total - (onceMin / 60) * kit.ratePerHour * (1 - 1 / job.handOver.alike)
    why.push([
      `${capital(count(job.handOver.alike, 'part'))} alike: `,
      words(money(each, kit.currency), 'quote'),
      ' each, ',
      words(money(each * job.handOver.alike, kit.currency), 'quote'),
      ' in all; ',
      figure(onceMin, 'min'),
      ' of setting up is shared.',
    ])
  }
  const used = [
    job.handOver.usedRods === null
      ? null
      : `${job.handOver.usedRods} rods for ${quote?.lines.find(line => line.name === 'Filler')?.quantity.toFixed(0) ?? 0} planned`,
    job.handOver.usedGasL === null ? null : `${job.handOver.usedGasL} L of gas for ${Math.round(litres)} planned`,
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
  for (const reason of unmet) why.push([`${capital(reason)}.`])
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
    basis: { [PRICE]: ready ? price : '', checks: unmet.join('; ') },
    data: { quote: ready ? quote : null, phases, actualTotalMin, plannedTotalMin, currency: kit.currency },
  }
}
