import { logOf } from './pass-log'
import { ampsNeedQuestion } from '../../arc/question'
import { said } from '../../job/fields/said'
import { MIG_MODE_WORDS } from '../../arc/mig-modes.table'
import { BRUSH_SCHOOLS, CLAMP_SCHOOLS, PEEN_SCHOOLS, TUNGSTEN_SCHOOLS } from '../../arc/schools.table'
import { FREQUENCY_SCHOOLS } from '../../arc/setup.table'
import type { Job, Kit } from '../../job/job.schema'
import { SEEN_IN_PUDDLE } from '../../job/words.table'
import { askFor } from '../ask-core'
import type { OpenData } from '../open/open'
import { capital, count, figure, words, type Sentence, type StationPlan } from '../parts'
import { interpassWords, turnDownWords } from './soak-words'
import { DIAL_WORDS, type WeldData } from './weld-data'
import type { ArcProcess, WeldSettings } from './weld-settings'

/** What stops the current there. */
const LIMIT_WORDS = {
  machine: 'the machine stops at ',
  torch: 'its torch stops at ',
  mains: 'the mains it hangs on stop at ',
} as const

/** What a number copied from elsewhere comes to on this dial, by name of the trap. */
function copiedSentence(
  value: number,
  { copied, machine, enPct }: Pick<WeldSettings, 'copied' | 'machine' | 'enPct'>,
): Sentence | null {
  if (!copied || !machine) return null
  const mine = DIAL_WORDS[machine.dialReads]
  if (copied.verdict === 'unlikely')
    return [`The copied ${value} is no setting for aluminium under any of the three conventions: look at it again.`]
  if (copied.verdict === 'either')
    return [
      `The copied ${value} could be ${copied.readings
        .filter(entry => entry.likely)
        .map(entry => `${Math.round(entry.enPct)} % negative (${DIAL_WORDS[entry.reads]})`)
        .join(' or ')}: ask which before you set it.`,
    ]
  const meant = copied.meant!
  if (copied.verdict === 'same')
    return [
      `The copied ${value} is ${Math.round(meant.enPct)} % negative, and this dial reads the same way${Math.abs(meant.enPct - enPct) < 1.5 ? '' : `; yours stands at ${Math.round(enPct)} %`}.`,
    ]
  return [
    `Trap: the copied ${value} was the ${DIAL_WORDS[meant.reads]}, ${Math.round(meant.enPct)} % negative; this dial reads the ${mine}, so set `,
    words(`${Math.round(copied.dial!)}`, 'balance'),
    copied.asItStandsPct === null
      ? '.'
      : `. Set as it stands it would give ${Math.round(copied.asItStandsPct)} % negative.`,
  ]
}

/** What the arc's station says: five words, what it wants, the call, why, and what would change it. */
export function arcWords(
  job: Job,
  kit: Kit,
  open: OpenData,
  data: WeldData,
  {
    startC,
    boilMin,
    againMin,
    layArcMin,
    arcProcess,
  }: { startC: number; boilMin: number; againMin: number; layArcMin: number; arcProcess: ArcProcess },
): Pick<StationPlan, 'short' | 'wants' | 'call' | 'why' | 'change'> {
  const { weld, takeIn } = job
  const {
    machine,
    need,
    setA,
    limitA,
    reaches,
    enPct,
    frequencyHz,
    wantedHz,
    dial,
    wave,
    duty,
    tig,
    mig,
    passes,
    gas,
    arcMin,
    elapsedMin,
    interpass,
    turnDown,
  } = data
  const wants = [
    ...(machine ? [] : ['a machine in the kit']),
    ...(takeIn.wallMm.value ? [] : ['the wall']),
    ...(open.groove ? [] : ['the groove']),
  ]
  const lastLog = logOf(job, null).at(-1)
  const next = data.nextMove
  const doneCount = passes.filter(pass => pass.done).length
  const call: Sentence =
    !need || !machine || !open.groove
      ? [
          wants.length
            ? `Wants ${wants.join(' and ')}.`
            : `No current: ${data.needReason ?? 'the wall is not understood'}.`,
        ]
      : !reaches && !data.byHand
        ? [
            `The ${machine.name} stops at `,
            figure(Math.floor(limitA), 'a'),
            '; this wall wants at least ',
            figure(need.lowA, 'a', 'amps'),
            '. Warm it further, or use another machine.',
          ]
        : next && doneCount < passes.length && lastLog!.saw !== 'wets-clean'
          ? [
              `${capital(SEEN_IN_PUDDLE[lastLog!.saw].name)} on pass ${lastLog!.pass}${next.times > 1 ? `, ${next.times} times now` : ''}: ${next.move}.`,
            ]
          : passes.length > 0 && doneCount === passes.length
            ? ['All passes laid. Let it cool slowly, then look at it.']
            : data.migReason
              ? [`The gun is not set: ${data.migReason}.`]
              : mig
                ? [
                    'Weld at ',
                    figure(Math.round(mig.a), 'a', 'setup'),
                    `, ${MIG_MODE_WORDS[data.migMode]}: wire `,
                    figure(mig.wireMMin, 'mMin', 'setup'),
                    ', ',
                    figure(mig.v, 'v', 'setup'),
                    `; ${count(passes.length - doneCount, 'pass', 'passes')}${doneCount ? ' to go' : ''}.`,
                  ]
                : [
                    data.eased ? 'Weld from ' : 'Weld at ',
                    figure(Math.round(setA), 'a', 'amps'),
                    ...(data.eased ? [', eased to ', figure(Math.round(data.eased.toA), 'a')] : []),
                    ...(dial === null
                      ? []
                      : [
                          '; balance dial at ',
                          words(`${Math.round(dial)}`, 'balance'),
                          ', ',
                          figure(frequencyHz, 'hz', 'wave'),
                        ]),
                    `; ${count(passes.length - doneCount, 'pass', 'passes')}${doneCount ? ' to go' : ''}.`,
                  ]
  const why: Sentence[] = []
  if (next && lastLog!.saw !== 'wets-clean') why.push([`${capital(next.why)}.`])
  if (againMin > 0)
    why.push([
      'Ground out and laid again so far: ',
      figure(againMin, 'min'),
      ' more of arc and ',
      figure(data.againG, 'g'),
      ' more of rod.',
    ])
  if (need && machine) {
    why.push([
      'This wall at ',
      figure(startC, 'c'),
      ' wants ',
      figure(Math.round(need.a), 'a', 'amps'),
      ' (from ',
      figure(Math.round(need.lowA), 'a', 'amps'),
      ' if you wait, to ',
      figure(Math.round(need.highA), 'a', 'amps'),
      '); ',
      LIMIT_WORDS[data.limitBy],
      figure(Math.floor(limitA), 'a'),
      '.',
    ])
    if (data.range)
      why.push([
        'On this machine: range ',
        words(`${data.range.lowA} to ${data.range.highA} A`, 'amps'),
        ', dial at ',
        figure(Math.round(data.range.dialPct), 'pct'),
        '.',
      ])
    if (data.byHand)
      why.push([
        'Set by hand at ',
        figure(Math.round(setA), 'a'),
        ...(setA > machine.torchA
          ? [`: past the ${Math.round(machine.torchA)} A its torch is made for, only briefly`]
          : []),
        '.',
      ])
    if (dial !== null)
      why.push([
        `This dial reads the ${DIAL_WORDS[machine.dialReads]}: `,
        figure(enPct, 'pct'),
        ' electrode negative stands at ',
        words(`${Math.round(dial)}`, 'balance'),
        '. More cleaning on dirt, less once it is clean.',
      ])
  }
  const copied = weld.copiedDial.value === null ? null : copiedSentence(weld.copiedDial.value, data)
  if (copied) why.push(copied)
  if (data.halvesReason) why.push([`The halves are taken as equal: ${data.halvesReason}.`])
  else if (data.enA !== data.epA && wave)
    why.push([
      'Set apart: ',
      figure(Math.round(data.enA), 'a', 'wave'),
      ' negative, ',
      figure(Math.round(data.epA), 'a', 'wave'),
      ' positive, ',
      figure(wave.averageA, 'a', 'wave'),
      ' on average. Less positive spares the tungsten, more lifts oxide.',
    ])
  if (tig)
    why.push([
      'Tungsten ',
      figure(tig.tungstenMm, 'mm', 'setup'),
      `, ${TUNGSTEN_SCHOOLS[weld.tungsten].name}; No. ${tig.cup} cup, `,
      figure(tig.gasLMin, 'lMin', 'setup'),
      ', post-flow ',
      figure(tig.postflowS, 's', 'setup'),
      '; rod of ',
      figure(tig.fillerMm, 'mm', 'setup'),
      ' for this current.',
    ])
  if (mig)
    why.push([
      'Wire of ',
      figure(said(job, 'weld').wireMm, 'mm'),
      ' lays ',
      figure(mig.depositGMin, 'number', 'setup'),
      ' g a minute: ',
      figure(layArcMin, 'min'),
      mig.sprays || data.migMode !== 'spray'
        ? ' of arc for this groove.'
        : ' of arc. It goes over in drops at this current, so pulse it or take thinner wire.',
    ])
  if (mig?.heldByWire)
    why.push([
      'This wire carries no more than ',
      figure(Math.round(mig.a), 'a', 'setup'),
      ': several beads, each until it wets. Thicker wire would take the wall’s own current.',
    ])
  if (data.eased)
    why.push([
      'The place soaks up the arc’s own heat: by the end of the last pass it stands near ',
      figure(Math.round(data.eased.zoneC), 'c'),
      ', and the same puddle wants ',
      figure(Math.round(data.eased.toA), 'a'),
      '. Ease off with the pedal before it runs wide.',
    ])
  why.push(...turnDownWords(turnDown))
  if (machine && arcProcess === 'ac-tig' && frequencyHz !== wantedHz)
    why.push([
      figure(wantedHz, 'hz'),
      ` is outside what the ${machine.name} gives: taken as `,
      figure(frequencyHz, 'hz'),
      '.',
    ])
  if (duty)
    why.push([
      ...(duty.dutyPct >= 100
        ? ['Duty is no limit at this current']
        : ['In ten minutes it may weld ', figure(duty.weldMin, 'min', 'duty')]),
      '; ',
      figure(arcMin, 'min'),
      ' of arc',
      boilMin ? ' with the boiling out' : '',
      ', about ',
      figure(elapsedMin, 'min'),
      ' in all.',
    ])
  why.push(...interpassWords(interpass))
  if (gas)
    why.push([
      figure(Math.round(gas.litres), 'number', 'gas'),
      ' L of argon',
      ...(gas.cylinderShare !== undefined
        ? [', ', figure(Math.round(gas.cylinderShare * 100), 'pct', 'gas'), ' of the cylinder']
        : []),
      '.',
    ])
  const left = kit.gases[0]?.leftL ?? null
  if (gas && left !== null && gas.litres > left)
    why.push([
      'Only ',
      figure(left, 'number'),
      ' L are left in the cylinder: have a full one ready before the first arc.',
    ])
  if (takeIn.soak === 'oily' || takeIn.soak === 'oil-soaked')
    why.push([
      'Boil out first: run the arc over it without rod until bubbles and specks stop, even twenty minutes; brush when cold, then rod.',
    ])
  why.push(
    [`${capital(CLAMP_SCHOOLS[weld.clamp].name)}: ${CLAMP_SCHOOLS[weld.clamp].buys}.`],
    [`${capital(PEEN_SCHOOLS[weld.peen].name)}: ${PEEN_SCHOOLS[weld.peen].buys}.`],
    [`Brush: ${BRUSH_SCHOOLS[weld.brush].name}: ${BRUSH_SCHOOLS[weld.brush].buys}.`],
    ...(tig ? [[`${capital(TUNGSTEN_SCHOOLS[weld.tungsten].name)}: ${TUNGSTEN_SCHOOLS[weld.tungsten].buys}.`]] : []),
  )
  const change: Sentence[] = []
  if (need && takeIn.wallMm.value) {
    const hotter = askFor(ampsNeedQuestion, 'Warmer', {
      wallMm: takeIn.wallMm.value,
      startC: Math.min(480, startC + 60),
      process: arcProcess,
    })
    if (hotter.ok)
      change.push([
        'Another ',
        figure(60, 'number'),
        ' °C of preheat brings it to ',
        figure(Math.round(hotter.answer.a), 'a'),
        '.',
      ])
  }
  if (machine && arcProcess === 'ac-tig' && !copied)
    change.push([
      `A setting copied from elsewhere may count the other way: ${Math.round(enPct)} electrode negative is ${Math.round(100 - enPct)} cleaning.`,
    ])
  const school = FREQUENCY_SCHOOLS[weld.frequencySchool]
  if (arcProcess === 'ac-tig' && (frequencyHz < school.lowHz || frequencyHz > school.highHz))
    change.push([`The ${weld.frequencySchool} school runs ${school.lowHz} to ${school.highHz} Hz: ${school.buys}.`])
  const other = weld.clamp === 'free' ? CLAMP_SCHOOLS.clamped : CLAMP_SCHOOLS.free
  change.push([`The other school would ${other.name}: ${other.buys}.`])
  return {
    short:
      !need || !machine || !open.groove
        ? `wants ${wants[0] ?? 'readings'}`
        : !reaches && !data.byHand
          ? 'machine too small'
          : doneCount
            ? `${doneCount} of ${passes.length} passes laid`
            : `${Math.round(mig?.a ?? setA)} A, ${count(passes.length, 'pass', 'passes')}`,
    wants,
    call,
    why,
    change,
  }
}
