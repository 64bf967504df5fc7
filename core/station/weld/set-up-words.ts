import { isTig } from '../../process/registry'
import { ampsNeedQuestion } from '../../arc/question'
import { said } from '../../job/fields/said'
import { BRUSH_SCHOOLS, CLAMP_SCHOOLS, PEEN_SCHOOLS, TUNGSTEN_SCHOOLS } from '../../arc/schools.table'
import { FREQUENCY_SCHOOLS } from '../../arc/setup.table'
import type { Job, Kit } from '../../job/job.schema'
import type { PlannedMend } from '../../job-plan/job-planned'
import type { MendSetUp } from '../mends/mend-set-up'
import { askFor } from '../ask-core'
import { capital, figure, words, type Sentence } from '../parts'
import { turnDownWords } from './soak-words'
import { DIAL_WORDS } from './arc-set'
import type { WeldSettings } from './weld-settings'

/** What stops the current there. */
const LIMIT_WORDS = {
  machine: 'the machine stops at ',
  torch: 'its torch stops at ',
  mains: 'the mains it hangs on stop at ',
} as const

/** A warmer start that the current is told for beside the one it has, K. */
const TOLD_WARMER_K = 60

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

/** The current: what the place wants, what the machine gives, how it is set there. */
function currentWhy({ set }: MendSetUp, foundC: number): Sentence[] {
  const { need, machine, setA, dial } = set
  if (!need || !machine) return []
  return [
    [
      'This place at ',
      figure(foundC, 'c'),
      ' wants ',
      figure(Math.round(need.a), 'a', 'amps'),
      ' (from ',
      figure(Math.round(need.lowA), 'a', 'amps'),
      ' if you wait, to ',
      figure(Math.round(need.highA), 'a', 'amps'),
      '); ',
      LIMIT_WORDS[set.limitBy],
      figure(Math.floor(set.limitA), 'a'),
      '.',
    ],
    ...(set.range
      ? [
          [
            'On this machine: range ',
            words(`${set.range.lowA} to ${set.range.highA} A`, 'amps'),
            ', dial at ',
            figure(Math.round(set.range.dialPct), 'pct'),
            '.',
          ],
        ]
      : []),
    ...(set.byHand
      ? [
          [
            'Set by hand at ',
            figure(Math.round(setA), 'a'),
            ...(setA > machine.torchA
              ? [`: past the ${Math.round(machine.torchA)} A its torch is made for, only briefly`]
              : []),
            '.',
          ],
        ]
      : []),
    ...(dial === null
      ? []
      : [
          [
            `This dial reads the ${DIAL_WORDS[machine.dialReads]}: `,
            figure(set.enPct, 'pct'),
            ' electrode negative stands at ',
            words(`${Math.round(dial)}`, 'balance'),
            '. More cleaning on dirt, less once it is clean.',
          ],
        ]),
  ]
}

/** The wave, the tungsten or the wire. */
function torchWhy(job: Job, { set, arcMin }: MendSetUp): Sentence[] {
  const { wave, tig, mig } = set
  return [
    ...(set.halvesReason
      ? [[`The halves are taken as equal: ${set.halvesReason}.`]]
      : set.enA !== set.epA && wave
        ? [
            [
              'Set apart: ',
              figure(Math.round(set.enA), 'a', 'wave'),
              ' negative, ',
              figure(Math.round(set.epA), 'a', 'wave'),
              ' positive, ',
              figure(wave.averageA, 'a', 'wave'),
              ' on average. Less positive spares the tungsten, more lifts oxide.',
            ],
          ]
        : []),
    ...(tig
      ? [
          [
            'Tungsten ',
            figure(tig.tungstenMm, 'mm', 'setup'),
            `, ${TUNGSTEN_SCHOOLS[job.weld.tungsten].name}; No. ${tig.cup} cup, `,
            figure(tig.gasLMin, 'lMin', 'setup'),
            ', post-flow ',
            figure(tig.postflowS, 's', 'setup'),
            '; rod of ',
            figure(tig.fillerMm, 'mm', 'setup'),
            ' for this current.',
          ],
        ]
      : []),
    ...(mig
      ? [
          [
            'Wire of ',
            figure(said(job, 'weld').wireMm, 'mm'),
            ' lays ',
            figure(mig.depositGMin, 'number', 'setup'),
            ' g a minute: ',
            figure(arcMin, 'min'),
            mig.sprays || set.migMode !== 'spray'
              ? ' of arc for this groove.'
              : ' of arc. It goes over in drops at this current, so pulse it or take thinner wire.',
          ],
        ]
      : []),
    ...(mig?.heldByWire
      ? [
          [
            'This wire carries no more than ',
            figure(Math.round(mig.a), 'a', 'setup'),
            ': several beads, each until it wets. Thicker wire would take the wall’s own current.',
          ],
        ]
      : []),
  ]
}

/** Frequency that is not given, duty, gas. */
function lastsWhy(kit: Kit, { set, process, arcMin }: MendSetUp, boilMin: number): Sentence[] {
  const { machine, duty, gas } = set
  const left = kit.gases[0]?.leftL ?? null
  return [
    ...(machine && isTig(process) && set.frequencyHz !== set.wantedHz
      ? [
          [
            figure(set.wantedHz, 'hz'),
            ` is outside what the ${machine.name} gives: taken as `,
            figure(set.frequencyHz, 'hz'),
            '.',
          ],
        ]
      : []),
    ...(duty
      ? [
          [
            ...(duty.dutyPct >= 100
              ? ['Duty is no limit at this current']
              : ['In ten minutes it may weld ', figure(duty.weldMin, 'min', 'duty')]),
            '; ',
            figure(arcMin, 'min'),
            ' of arc',
            boilMin > 0 ? ' with the boiling out' : '',
            ', about ',
            figure(set.elapsedMin, 'min'),
            ' in all.',
          ],
        ]
      : []),
    ...(gas
      ? [
          [
            figure(Math.round(gas.litres), 'number', 'gas'),
            ' L of argon',
            ...(gas.cylinderShare !== undefined
              ? [', ', figure(Math.round(gas.cylinderShare * 100), 'pct', 'gas'), ' of the cylinder']
              : []),
            '.',
          ],
        ]
      : []),
    ...(gas && left !== null && gas.litres > left
      ? [['Only ', figure(left, 'number'), ' L are left in the cylinder: have a full one ready before the first arc.']]
      : []),
  ]
}

/** Why one machine is set as it is for a mend. */
export function setUpWhy(job: Job, kit: Kit, planned: PlannedMend, setUp: MendSetUp, boilMin: number): Sentence[] {
  const { copiedDial } = job.weld
  const copied = copiedDial.value === null ? null : copiedSentence(copiedDial.value, setUp.set)
  return [
    ...currentWhy(setUp, planned.foundC),
    ...(copied ? [copied] : []),
    ...torchWhy(job, setUp),
    ...turnDownWords(setUp.turnDown),
    ...lastsWhy(kit, setUp, boilMin),
  ]
}

/** The schools that a weld is laid by, with what each buys. */
export const schoolsWhy = ({ weld }: Job, tig: boolean): Sentence[] => [
  [`${capital(CLAMP_SCHOOLS[weld.clamp].name)}: ${CLAMP_SCHOOLS[weld.clamp].buys}.`],
  [`${capital(PEEN_SCHOOLS[weld.peen].name)}: ${PEEN_SCHOOLS[weld.peen].buys}.`],
  [`Brush: ${BRUSH_SCHOOLS[weld.brush].name}: ${BRUSH_SCHOOLS[weld.brush].buys}.`],
  ...(tig ? [[`${capital(TUNGSTEN_SCHOOLS[weld.tungsten].name)}: ${TUNGSTEN_SCHOOLS[weld.tungsten].buys}.`]] : []),
]

/** What would change it: more heat, a number that counts the other way, the other schools. */
export function setUpChange({ weld }: Job, { wallMm, joint, foundC }: PlannedMend, setUp: MendSetUp): Sentence[] {
  const { set, process } = setUp
  const tig = isTig(process)
  const hotter = set.need
    ? askFor(ampsNeedQuestion, 'Warmer', { wallMm, joint, startC: Math.min(480, foundC + TOLD_WARMER_K), process })
    : null
  const school = FREQUENCY_SCHOOLS[weld.frequencySchool]
  const other = weld.clamp === 'free' ? CLAMP_SCHOOLS.clamped : CLAMP_SCHOOLS.free
  return [
    ...(hotter?.ok
      ? [
          [
            'Another ',
            figure(TOLD_WARMER_K, 'number'),
            ' °C of preheat brings it to ',
            figure(Math.round(hotter.answer.a), 'a'),
            '.',
          ],
        ]
      : []),
    ...(set.machine && tig && weld.copiedDial.value === null
      ? [
          [
            `A setting copied from elsewhere may count the other way: ${Math.round(set.enPct)} electrode negative is ${Math.round(100 - set.enPct)} cleaning.`,
          ],
        ]
      : []),
    ...(tig && (set.frequencyHz < school.lowHz || set.frequencyHz > school.highHz)
      ? [[`The ${weld.frequencySchool} school runs ${school.lowHz} to ${school.highHz} Hz: ${school.buys}.`]]
      : []),
    [`The other school would ${other.name}: ${other.buys}.`],
  ]
}
