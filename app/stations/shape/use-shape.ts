import { computed, ref } from 'vue'
import { mm } from '#core/quantity/stored'
import { lastAxis, nextAxis, type Triple } from '#core/solid/forms'
import type { Face } from '#core/solid/stored/faces.table'
import { corners, moved, sized } from '#core/solid/stored/handles'
import { MARK_KINDS, type MarkKind } from '#core/solid/stored/marks.table'
import { startersPieces, startPiece, type StarterId } from '#core/solid/stored/starters.table'
import type { SolidKind } from '#core/solid/stored/solids.table'
import type { StoredMark, StoredPiece } from '#core/solid/stored/stored.schema'
import { VIEWS, type ViewId } from '#core/solid/views'
import { seenFrom } from '#core/solid/wall'
import type { DrawnMark } from '~/drawing/marks'
import { placedMarks } from '~/drawing/placed-marks'
import type { SolidShape } from '~/drawing/use-part-sheet'
import { useJob } from '~/stores/job'

const SEEN_FROM: Record<ViewId, Face> = { plan: 'top', front: 'front', side: 'left' }
const AT = ['x', 'y', 'z'] as const
/** Ends of a piece's id that say which of its two corners is held. */
const FAR = '~far'

/** A step on a view's sheet as one in the part. */
function inPart(view: ViewId, right: number, up: number): Triple {
  if (view === 'plan') return [right, up, 0]
  return view === 'front' ? [right, 0, up] : [0, right, up]
}

/** Putting the part together and marking it: what is held, what a tap puts down. */
export function useShape() {
  const store = useJob()
  const solid = computed(() => store.job!.shape)
  const pieceId = ref<string | null>(null)
  const markId = ref<string | null>(null)
  const working = ref<'pieces' | 'marks'>('pieces')
  const newId = () => crypto.randomUUID().slice(0, 8)
  const piece = computed(() => solid.value.pieces.find(each => each.id === pieceId.value) ?? null)
  const mark = computed(() => solid.value.marks.find(each => each.id === markId.value) ?? null)

  const begin = (starter: StarterId) => {
    store.edit(['shape', 'pieces'], startersPieces(starter))
    pieceId.value = solid.value.pieces[0]?.id ?? null
  }
  const put = (next: StoredPiece) => store.edit(['shape', 'pieces', `#${next.id}`], next)
  function add(kind: SolidKind, cut: boolean, more: Partial<StoredPiece> = {}) {
    const id = newId()
    const [first] = solid.value.pieces
    const at = first && corners(first)
    const top = at ? ([at.low[0] + 10, at.low[1] + 10, cut ? at.low[2] - 1 : at.high[2]] as const) : undefined
    store.edit(['shape', 'pieces'], [...solid.value.pieces, { ...startPiece(id, { kind, cut, at: top }), ...more }])
    pieceId.value = id
  }
  const setKind = (kind: SolidKind) => {
    if (!piece.value) return
    const { at, lies, cut, id } = piece.value
    put({ ...startPiece(id, { kind }), at, lies, cut })
  }
  const remove = () => {
    store.edit(
      ['shape', 'pieces'],
      solid.value.pieces.filter(each => each.id !== pieceId.value),
    )
    pieceId.value = null
  }
  const turnOver = () => {
    if (!piece.value?.outline) return
    const { edge, holes } = piece.value.outline
    const far = Math.max(...edge.map(([x]) => x))
    const over = (ring: readonly [number, number][]) => ring.map(([x, y]): [number, number] => [far - x, y])
    put({ ...piece.value, outline: { edge: over(edge), holes: holes.map(over) } })
  }

  function addMark(kind: MarkKind, mend = '') {
    const id = newId()
    store.edit(
      ['shape', 'marks'],
      [
        ...solid.value.marks,
        {
          id,
          kind,
          name: '',
          mend,
          face: 'top',
          at: { x: mm(0), y: mm(0), z: mm(0) },
          path: [],
          acrossMm: { typed: '', value: null },
        },
      ],
    )
    markId.value = id
    placed.value = false
  }
  const removeMark = (id: string) =>
    store.edit(
      ['shape', 'marks'],
      solid.value.marks.filter(each => each.id !== id),
    )
  const putMark = (next: StoredMark) => store.edit(['shape', 'marks', `#${next.id}`], next)
  /** Whether the mark being put down has its first place: further taps then go on along it. */
  const placed = ref(false)
  function placeMark(at: Triple, face: Face) {
    const held = mark.value
    if (!held) return
    const round = at.map(value => Math.round(value * 10) / 10) as Triple
    if (placed.value && MARK_KINDS[held.kind].runs) putMark({ ...held, path: [...held.path, round] })
    else putMark({ ...held, face, at: { x: mm(round[0]), y: mm(round[1]), z: mm(round[2]) }, path: [] })
    placed.value = true
  }
  const again = () => {
    placed.value = false
  }

  /** A tap on a view: the place on the skin that is seen there. */
  function tap(shape: SolidShape, view: ViewId, right: number, up: number) {
    const face = SEEN_FROM[view]
    const flat = inPart(view, right, up)
    if (working.value === 'pieces') {
      const hit = solid.value.pieces.toReversed().find(each => {
        const found = corners(each)
        const { axis } = VIEWS[view]
        return (
          found &&
          [nextAxis(axis), lastAxis(axis)].every(way => flat[way] >= found.low[way] && flat[way] <= found.high[way])
        )
      })
      pieceId.value = hit?.id ?? null
      return
    }
    const at = seenFrom(shape, flat, face)
    if (at) placeMark(at, face)
  }
  function move(view: ViewId, id: string, right: number, up: number) {
    const by = inPart(view, right, up)
    if (working.value === 'pieces') {
      const held = solid.value.pieces.find(each => each.id === id.replace(FAR, ''))
      if (held) put((id.endsWith(FAR) ? sized : moved)(held, by, solid.value.pieces))
      return
    }
    const held = solid.value.marks.find(each => each.id === id)
    if (!held) return
    const at = Object.fromEntries(
      AT.map((key, axis) => [key, mm((held.at[key].value ?? 0) + by[axis]!)]),
    ) as StoredMark['at']
    putMark({ ...held, at, path: held.path.map(([x, y, z]) => [x + by[0], y + by[1], z + by[2]]) })
  }

  const drawn = computed((): DrawnMark[] => {
    if (working.value === 'marks') return placedMarks(store.job!, (_, place) => place)
    const held = piece.value && corners(piece.value)
    if (!held) return []
    const grip = { acrossMm: null, role: 'plain' as const, laid: false }
    return [
      { ...grip, id: piece.value!.id, number: 1, name: 'its near corner: moves it', path: [held.low] },
      { ...grip, id: `${piece.value!.id}${FAR}`, number: 2, name: 'its far corner: sizes it', path: [held.high] },
    ]
  })

  return {
    solid,
    working,
    pieceId,
    piece,
    markId,
    mark,
    begin,
    add,
    setKind,
    remove,
    turnOver,
    addMark,
    removeMark,
    placeMark,
    again,
    placed,
    tap,
    move,
    drawn,
  }
}
export type Shaping = ReturnType<typeof useShape>
