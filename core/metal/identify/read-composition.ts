export interface ReadComposition {
  pct: Record<string, number>
  problems: string[]
}

const ELEMENT = /^[A-Z][a-z]?$/

/**
 * Reads an analyser's figures: `Si 7.1, Mg 0.32` or CSV lines `element,percent` with or without a head line.
 * `<0.05` counts as nothing; a figure that is not understood is named and left out.
 */
export function readComposition(text: string): ReadComposition {
  const pct: Record<string, number> = {}
  const problems: string[] = []
  const pieces = text
    .split(/\r?\n|;|,(?=\s*[A-Za-z])/)
    .map(piece => piece.trim())
    .filter(Boolean)
  for (const piece of pieces) {
    const [element = '', figure = '', ...rest] = piece
      .replace(/%|wt/gi, '')
      .split(/[\s,=:]+/)
      .filter(Boolean)
    const name = element.charAt(0).toUpperCase() + element.slice(1).toLowerCase()
    if (/^(element|symbol|percent|pct|value|time|date)$/i.test(element)) continue
    const below = /^</.test(figure)
    const value = Number(figure.replace(/^</, ''))
    if (!ELEMENT.test(name)) problems.push(`"${piece}" does not begin with an element symbol`)
    else if (figure === '' || !Number.isFinite(value))
      problems.push(`${name}: "${figure || 'nothing'}" is not a percentage`)
    else if (value < 0 || value > 100) problems.push(`${name}: ${value} % is outside 0 to 100`)
    else if (name in pct) problems.push(`${name} stands there twice`)
    else if (rest.length > 1 && !/^[±+-]/.test(rest[0]!))
      problems.push(`"${piece}" has more than an element and a figure`)
    else pct[name] = below ? 0 : value
  }
  const total = Object.values(pct).reduce((sum, value) => sum + value, 0)
  if (total > 100.5) problems.push(`the elements add up to ${total.toFixed(1)} %, more than 100 %`)
  return { pct, problems }
}
