/**
 * The core's one clock, for answers that must say how long they took; nothing it works out depends on it. @returns a
 * function that reads the milliseconds since
 */
export function stopwatch(): () => number {
  const begunMs = Date.now()
  return () => Date.now() - begunMs
}
