import { readClock } from '../quantity/clock-face'
import { read } from '../quantity/read'

/** Lines of time and temperature, as typed or out of a CSV file: `1:30 64`, `90 s, 64 °C`, `90;147 F`. */
export function readSeries(text: string): { readings: { s: number; C: number }[]; wrong: string[] } {
  const readings: { s: number; C: number }[] = []
  const wrong: string[] = []
  for (const [n, line] of text.split(/\r?\n/).entries()) {
    if (!line.trim()) continue
    const [time = '', temperature = ''] = line
      .trim()
      .split(/\s*[;,\t]\s*|(?<=[\d a-z]|min|s)\s+(?=[\d.]+\s*°?[CF]?\s*$)/i)
    const clock = readClock(time)
    const s = clock === null ? read(time, 's') : { ok: true as const, value: clock }
    const C = read(temperature, 'c')
    if (s.ok && C.ok) readings.push({ s: s.value, C: C.value })
    else if (n > 0 || /\d/.test(line)) wrong.push(`line ${n + 1}: ${line.trim().slice(0, 40)}`)
  }
  return {
    readings: readings.sort((a, b) => a.s - b.s).filter((reading, n, list) => n === 0 || reading.s > list[n - 1]!.s),
    wrong,
  }
}
