import { arcNow, LONGEST_ARC_MM, type ArcNow } from './arc'

/** What the hand does at a moment: where the torch is, how high, how much current, and whether the rod dips. */
export interface HandEntry {
  s: number
  xMm: number
  yMm: number
  arcMm: number
  a: number
  dip: boolean
  /** Travels on to the next place at this speed and waits there; left out, it takes all the time there is. */
  speedMmS?: number | undefined
  /** Net power and radius in place of what current and length make of them. */
  powerW?: number | undefined
  radiusMm?: number | undefined
}
export interface HandNow {
  xMm: number
  yMm: number
  a: number
  arc: ArcNow | null
}

/** The hand between its entries: straight from one to the next, held before the first and after the last. */
export function handAt(hand: readonly HandEntry[], s: number, enPct: number): HandNow {
  const next = hand.findIndex(entry => entry.s > s)
  const from = hand[next === -1 ? hand.length - 1 : Math.max(0, next - 1)]!
  const to = next <= 0 ? from : hand[next]!
  const span = to.s - from.s
  const share = span > 0 ? Math.min(1, Math.max(0, (s - from.s) / span)) : 0
  const far = Math.hypot(to.xMm - from.xMm, to.yMm - from.yMm)
  const way = from.speedMmS === undefined || far === 0 ? share : Math.min(1, (from.speedMmS * (s - from.s)) / far)
  const between = (a: number, b: number, at: number) => a + at * (b - a)
  const [arcMm, a] = [between(from.arcMm, to.arcMm, share), between(from.a, to.a, share)]
  const burns = arcNow(arcMm, a, enPct)
  const given = (key: 'powerW' | 'radiusMm') =>
    from[key] === undefined ? undefined : between(from[key], to[key] ?? from[key], share)
  const [powerW, radiusMm] = [given('powerW'), given('radiusMm')]
  const out = arcMm > LONGEST_ARC_MM || (a <= 0 && !powerW)
  return {
    xMm: between(from.xMm, to.xMm, way),
    yMm: between(from.yMm, to.yMm, way),
    a,
    arc: out
      ? null
      : {
          powerW: powerW ?? burns?.powerW ?? 0,
          radiusMm: radiusMm ?? burns?.radiusMm ?? arcNow(arcMm, 100, enPct)!.radiusMm,
        },
  }
}
