/**
 * The time of a change: the bench's own clock, but always later than every change that this job has seen. A clock that
 * was years ahead and was then put right so loses nothing made after it: order goes by what was known, and by time
 * where neither knew of the other.
 * Source: hybrid logical clocks, Kulkarni and others (2014); the counter lives in the milliseconds.
 * @param stamps times of the changes the job holds
 * @param at the bench's clock, ISO
 * @param since when the job was last changed, for one from before there were stamps
 */
export function tick(stamps: Readonly<Record<string, string>>, at: string, since?: string): string {
  const latest = Object.values(stamps).reduce(
    (last, each) => Math.max(last, Date.parse(each)),
    since === undefined ? -Infinity : Date.parse(since),
  )
  return latest < Date.parse(at) ? at : new Date(latest + 1).toISOString()
}
