import { setUpMin } from './set-up'
import type { AnswerTo } from '../../ask/question'
import { jobQuote } from '../../shop/question'
import { MACHINE_EFFICIENCY } from '../../arc/mains'
import type { Job, Kit } from '../../job/job.schema'
import { askFor } from '../ask-core'
import { gasFor, rodFor, wireOf } from '../shop/consumables'
import type { MendsData } from '../mends/mend-row'
import type { OpenData } from '../open/open'
import { wirePrice } from '../../whole/price'
import { capital, count, figure, list, words, type Sentence, type StationPlan } from '../parts'
import type { Phase } from './phases'
import { VOLTS } from '../../warm/current'
import type { WeldData } from '../weld/weld-data'

export interface HandOverData {
  quote: AnswerTo<typeof jobQuote> | null
  phases: Phase[]
  actualTotalMin: number | null
  plannedTotalMin: number
  currency: string
}

/** Money as it is written in the shop. */
export const money = (amount: number, currency: string) => `${currency}${amount.toFixed(2)}`

/** Hand over: the quote, what was taken, and what the record must still hold. */
export function planHandOver(
  job: Job,
  kit: Kit,
  phases: Phase[],
  open: OpenData,
  weld: WeldData,
  filler: string,
  unmet: readonly string[],
  mends: MendsData,
): StationPlan<HandOverData> {
  const rod = rodFor(job, kit, filler)
  const gas = gasFor(kit, weld.flame?.torch.gas ?? null)
  const litres = weld.flame ? (weld.flame.plan.fuelL ?? 0) : (weld.gas?.litres ?? 0)
  const wire = wireOf(weld, mends, filler)
  const input = {
    phases: phases.map(({ name, minutes }) => ({ name, minutes })),
    ratePerHour: kit.ratePerHour,
    filler: { rods: (weld.rods + mends.rods) * (kit.learnt?.ratios.rods?.ratio ?? 1), pricePerRod: rod?.price ?? 0 },
    gas: {
      litres: (litres + mends.gasL) * (kit.learnt?.ratios.gas?.ratio ?? 1),
      pricePerL: gas ? gas.price / gas.cylinderL : 0,
    },
    power: {
      kWh: (weld.setA * (weld.mig?.v ?? VOLTS['ac-tig']) * weld.arcMin) / 60 / 1000 / MACHINE_EFFICIENCY,
      pricePerKWh: kit.pricePerKWh,
    },
    other: [
      ...job.handOver.other.map(({ name, price }) => ({ name, price })),
      ...(wire.length
        ? [{ name: 'Wire', price: wire.reduce((sum, of) => sum + wirePrice(kit, of.filler, of.massG), 0) }]
        : []),
    ],
    ...(job.takeIn.newPrice ? { newPrice: job.takeIn.newPrice } : {}),
  }
  const asked = askFor(jobQuote, 'The price', input)
  const quote = asked.ok ? asked.answer : null
  // A price stands once something is worked out: the opening, or where there is none, the mends.
  const ready = open.groove !== null || (job.open.work === 'none' && mends.rows.some(row => row.planned))
  const plannedTotalMin = phases.reduce((sum, phase) => sum + phase.minutes, 0)
  const actuals = phases.filter(phase => phase.actualMin !== null)
  const actualTotalMin = actuals.length ? actuals.reduce((sum, phase) => sum + phase.actualMin!, 0) : null
  const price = quote ? money(quote.total, kit.currency) : ''
  const call: Sentence =
    !quote || !ready
      ? [
          job.open.work === 'none'
            ? 'Wants a mend with its readings before there is a price.'
            : 'Wants the groove before there is a price.',
        ]
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
    const onceMin = setUpMin(job, open, mends)
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
        : job.open.work === 'none'
          ? 'wants a mend'
          : 'wants the groove',
    wants: ready ? [] : [job.open.work === 'none' ? 'a mend' : 'the groove'],
    call,
    why,
    change: [
      ['Repairs commonly go for a fifth to a third of the new price; a higher one wants a word with the owner first.'],
    ],
    cautions: [],
    workings: asked.ok ? { quote: asked.working } : {},
    basis: { price: ready ? price : '', checks: unmet.join('; ') },
    data: { quote: ready ? quote : null, phases, actualTotalMin, plannedTotalMin, currency: kit.currency },
  }
}
