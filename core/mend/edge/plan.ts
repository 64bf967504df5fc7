import { mendKind, PLAIN } from '../kind'
import { CUT_START_MIN } from '../minutes.table'
import { finishing, wipe } from '../steps'
import { section, sketch } from './drawing'
import { fields } from './fields'
import { words } from './words'

const DRESS_EDGE_MIN = 3
const EDGE_MIN_PER_CM2 = 1.2

/** An edge, corner, blade tip or lip that is gone: built up in beads, proud all round. */
export const edge = mendKind({
  id: 'edge',
  name: 'lost edge',
  is: ['built-up'],
  fields,
  words,
  finish: 'blend',
  atEdge: true,
  backed: true,
  sketch,
  section,
  plan: ({ values, bodies: [body], opened, finish }) => {
    const [long, wide, high] = [
      values.longMm + 2 * values.proudMm,
      values.wideMm + 2 * values.proudMm,
      values.highMm + values.proudMm,
    ]
    const laid = [{ side: 1 as const, volumeMm3: long * wide * high, runMm: long, wideMm: wide + 2 * high }]
    return {
      ...PLAIN,
      wallMm: Math.min(body.wallMm, wide),
      rodWallMm: body.wallMm,
      joint: 'edge',
      laid,
      opening: [
        ...(opened
          ? []
          : [
              {
                code: 'square-edge',
                trade: 'cut' as const,
                handMin: CUT_START_MIN + DRESS_EDGE_MIN + (EDGE_MIN_PER_CM2 * long * wide) / 100,
              },
            ]),
        wipe,
      ],
      rebuild: finishing(finish, laid),
      checks: ['look', 'fit'],
    }
  },
})
