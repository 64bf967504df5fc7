import type { Point } from '../../photo/point'
import type { ThreadBack } from './thread-back'
import { visible } from '../../job/text'

export interface Outline {
  layer: string
  pointsMm: Point[]
  closed: boolean
}

const ARC_POINTS = 12

/** A slug in side view, its top to the left: a turned bar with a weld chamfer at the top and a lead below. */
export function slugOutline(acrossMm: number, longMm: number, chamferMm: number, leadMm = 0.5): Outline[] {
  const r = acrossMm / 2
  const c = Math.min(chamferMm, r * 0.8, longMm / 2)
  const lead = Math.min(leadMm, longMm / 4)
  const leadR = Math.tan(Math.PI / 12) * lead
  return [
    {
      layer: 'slug',
      closed: true,
      pointsMm: [
        [0, -(r - c)],
        [c, -r],
        [longMm - lead, -r],
        [longMm, -(r - leadR)],
        [longMm, r - leadR],
        [longMm - lead, r],
        [c, r],
        [0, r - c],
      ],
    },
    {
      layer: 'centre',
      closed: false,
      pointsMm: [
        [-3, 0],
        [longMm + 3, 0],
      ],
    },
  ]
}

/** A boss in section with its bore, the face to the left; what lies beneath as a line. */
export function bossOutline(
  bossMm: number,
  boreMm: number,
  boreDeepMm: number,
  chamferMm: number,
  beneathMm: number | null,
): Outline[] {
  const [R, r] = [bossMm / 2, boreMm / 2]
  const deep = beneathMm ?? boreDeepMm * 1.4
  const c = Math.min(chamferMm, (R - r) * 0.8)
  const half = (sign: 1 | -1): Point[] => [
    [0, sign * (r + c)],
    [c, sign * r],
    [boreDeepMm, sign * r],
    [boreDeepMm, 0],
    [deep, 0],
    [deep, sign * R],
    [0, sign * R],
  ]
  return [
    { layer: 'boss', closed: true, pointsMm: half(1) },
    { layer: 'boss', closed: true, pointsMm: half(-1) },
    {
      layer: 'centre',
      closed: false,
      pointsMm: [
        [-3, 0],
        [deep + 3, 0],
      ],
    },
  ]
}

/** A patch: a rectangle with rounded corners, and the same with its bevel taken off all round. */
export function patchOutline(wideMm: number, highMm: number, cornerMm: number, bevelMm: number): Outline[] {
  const ring = (inset: number): Point[] => {
    const [w, h] = [wideMm - 2 * inset, highMm - 2 * inset]
    const r = Math.max(0, Math.min(cornerMm - inset, w / 2, h / 2))
    return (
      [
        [w - r, r, -90],
        [w - r, h - r, 0],
        [r, h - r, 90],
        [r, r, 180],
      ] as const
    ).flatMap(([x, y, from]) =>
      Array.from({ length: r > 0 ? ARC_POINTS + 1 : 1 }, (_, n): Point => {
        const angle = ((from + 90 * (r > 0 ? n / ARC_POINTS : 0)) * Math.PI) / 180
        return [inset + x + r * Math.cos(angle), inset + y + r * Math.sin(angle)]
      }),
    )
  }
  return [
    { layer: 'patch', closed: true, pointsMm: ring(0) },
    ...(bevelMm > 0 && bevelMm * 2 < Math.min(wideMm, highMm)
      ? [{ layer: 'bevel', closed: true, pointsMm: ring(bevelMm) }]
      : []),
  ]
}

/** Outlines as an SVG file at their own size, in millimetres. */
export function outlinesSvg(outlines: readonly Outline[], title: string): string {
  const all = outlines.flatMap(outline => outline.pointsMm)
  const [xs, ys] = [all.map(point => point[0]), all.map(point => point[1])]
  const [left, top] = [Math.min(...xs) - 2, Math.min(...ys) - 2]
  const [wide, high] = [Math.max(...xs) + 2 - left, Math.max(...ys) + 2 - top]
  const number = (value: number) => Number(value.toFixed(4))
  const escaped = visible(title).replace(/[&<>"']/g, letter => `&#${letter.charCodeAt(0)};`)
  const path = ({ layer, pointsMm, closed }: Outline) =>
    `<path class="${layer}" fill="none" stroke="#000" stroke-width="0.25"${layer === 'centre' ? ' stroke-dasharray="4 1 1 1"' : ''} d="M${pointsMm.map(([x, y]) => `${number(x)} ${number(y)}`).join('L')}${closed ? 'Z' : ''}"/>`
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${number(wide)}mm" height="${number(high)}mm" viewBox="${number(left)} ${number(top)} ${number(wide)} ${number(high)}"><title>${escaped}</title>${outlines.map(path).join('')}</svg>\n`
}

/** The outlines of the slug that gives a thread back and of the boss it goes into; null where none goes in. */
export function slugOutlines({
  slug,
  bossMm,
  beneathMm,
  chamferMm,
}: ThreadBack): Record<'slug' | 'boss', Outline[]> | null {
  if (!slug || !('answer' in slug)) return null
  const { turnToMm, lengthMm, slugMm, boreDeepMm } = slug.answer
  return {
    slug: slugOutline(turnToMm, lengthMm, chamferMm),
    boss: bossOutline(bossMm, slugMm, boreDeepMm, chamferMm, beneathMm),
  }
}
