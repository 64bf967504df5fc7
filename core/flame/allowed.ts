/** What stands no more than this beside the work is in no flame's reach, °C. Judgement. */
const NO_FLAME_BELOW_C = 65

/** Heat without a flame, by what its gas is called. */
const isHotAir = ({ gas }: { gas: string }): boolean => /hot.?air/i.test(gas)

/** Whether a flame may not go near: fuel, or something that stays on and stands next to nothing. Common practice. */
export const flameBarred = ({
  protect,
  keptOn,
}: {
  protect: readonly string[]
  keptOn: readonly { limitC: number }[]
}): boolean => protect.includes('fuel') || keptOn.some(({ limitC }) => limitC <= NO_FLAME_BELOW_C)

/** The torches that may be used on a part: hot air alone where a flame may not go. */
export const allowedTorches = <T extends { gas: string }>(
  torches: readonly T[],
  part: Parameters<typeof flameBarred>[0],
): T[] => torches.filter(torch => !flameBarred(part) || isHotAir(torch))
