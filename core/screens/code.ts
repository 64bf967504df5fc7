import encodeQR from 'qr'

/** A text as a square code: its modules along a side, quiet border and all, and a path that fills the dark ones. */
export function codePath(text: string): { modules: number; path: string } {
  const rows = encodeQR(text, 'raw', { ecc: 'medium', border: 2 })
  const path = rows.flatMap((row, y) => row.flatMap((dark, x) => (dark ? [`M${x} ${y}h1v1h-1z`] : []))).join('')
  return { modules: rows.length, path }
}
