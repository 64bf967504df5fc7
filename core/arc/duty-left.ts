export interface ArcSpan {
  from: string
  to: string
}
export interface DutyLeft {
  usedMin: number
  leftMin: number
  restMin: number
}

/** Arc time of spans that falls within a window up to now, min. */
export function arcWithinMin(spans: readonly ArcSpan[], nowMs: number, windowMin: number): number {
  const sinceMs = nowMs - windowMin * 60_000
  return (
    spans.reduce(
      (sum, { from, to }) => sum + Math.max(0, Math.min(nowMs, Date.parse(to)) - Math.max(sinceMs, Date.parse(from))),
      0,
    ) / 60_000
  )
}

/**
 * What a machine may still weld now, from the arcs of the last ten minutes: IEC 60974-1 rates duty over any ten
 * minutes. `restMin` is how long to wait until it may weld for at least one minute again; 0 where it may now.
 */
export function dutyLeft(spans: readonly ArcSpan[], nowMs: number, weldMin: number, windowMin = 10): DutyLeft {
  const used = (atMs: number) => arcWithinMin(spans, atMs, windowMin)
  const usedMin = used(nowMs)
  const worthMin = Math.min(1, weldMin)
  let restMin = 0
  // Spans only leave the window as it moves on, so the first tenth of a minute that has room is the answer.
  while (weldMin - used(nowMs + restMin * 60_000) < worthMin - 1e-9 && restMin < windowMin)
    restMin = Math.round((restMin + 0.1) * 10) / 10
  return { usedMin, leftMin: Math.max(0, weldMin - usedMin), restMin }
}
