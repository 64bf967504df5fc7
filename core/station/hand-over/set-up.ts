import type { MendsData } from '../mends/mend-row'

/** Shared work that sets a machine up. */
const SET_UPS = ['weld-set-up', 'braze-set-up', 'mill-set-up']
/** Shared work that is taking in, guarding and cleaning: before anything is cut. */
const FIRST = ['take-in', 'degrease', 'earlier-repair']

type Shared = Pick<MendsData, 'shared'>

const minutesOf = ({ shared }: Shared, is: (code: string) => boolean): number =>
  shared.filter(({ code }) => is(code)).reduce((sum, { minutes }) => sum + minutes, 0)

/** Taking in, guarding what is near, degreasing and an earlier repair out: once for the part. */
export const firstMin = (mends: Shared): number =>
  minutesOf(mends, code => FIRST.includes(code) || code.startsWith('protect-'))

/** Setting machines up: once, however many mends a part has and however many parts alike are mended. */
export const setUpMin = (mends: Shared): number => minutesOf(mends, code => SET_UPS.includes(code))
