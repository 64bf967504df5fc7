/**
 * Chance that at least so many of a small group share a trait by luck alone, the totals being what they are: Fisher's
 * exact test, one-sided. Source: R. A. Fisher, The Design of Experiments (1935), ch. 2.
 * @param with_ how many of the group have the trait @param group its size
 * @param others how many outside it have the trait @param rest how many are outside it
 * @returns 0 to 1
 */
export function fisherAtLeast(with_: number, group: number, others: number, rest: number): number {
  const all = with_ + others
  const logFactorial = (n: number) => Array.from({ length: n }, (_, k) => Math.log(k + 1)).reduce((a, b) => a + b, 0)
  const logChoose = (n: number, k: number) => logFactorial(n) - logFactorial(k) - logFactorial(n - k)
  const whole = logChoose(group + rest, all)
  let chance = 0
  for (let k = with_; k <= Math.min(group, all); k++)
    if (all - k <= rest) chance += Math.exp(logChoose(group, k) + logChoose(rest, all - k) - whole)
  return Math.min(1, chance)
}
