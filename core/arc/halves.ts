import { NoAnswer } from '../ask/question'

/**
 * The two amplitudes of a machine that sets them apart: the positive one as given, the negative one so that the average
 * stays as wanted.
 * Definition, square wave: average = EN current × its share + EP current × its share.
 * @throws NoAnswer where the positive half alone is more than the average
 */
export function halvesFor(averageA: number, epA: number, enPct: number): { enA: number; epA: number } {
  const en = enPct / 100
  const enA = (averageA - epA * (1 - en)) / en
  if (enA <= 0)
    throw new NoAnswer(
      `${Math.round(epA)} A positive for ${Math.round(100 - enPct)} % of the time is already more than ${Math.round(averageA)} A on average`,
    )
  return { enA, epA }
}
