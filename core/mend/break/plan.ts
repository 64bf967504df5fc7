import { drawn, mendKind, PLAIN } from '../kind'
import { grooved } from '../grooved'
import { BACK_GRIND, LOCATE_BREAK } from '../minutes.table'
import { cutting, finishing, wipe } from '../steps'
import { cut, handles, section, sketch } from './drawing'
import { fields } from './fields'
import { words } from './words'

/** A piece broken off, put back: the middle of the break kept as the jigsaw that locates it, or cut right through. */
export const broken = mendKind({
  id: 'break',
  name: 'piece broken off',
  is: ['broken-line'],
  fields,
  words,
  finish: 'blend',
  sketch,
  cut,
  handles,
  section,
  plan: ({ values, bodies: [body], part, opened, finish }) => {
    const { laid, removedMm3, refused } = grooved(cut(drawn(values, [body])))
    return {
      ...PLAIN,
      wallMm: body.wallMm,
      joint: 'groove',
      laid,
      removedMm3: opened ? 0 : removedMm3,
      refused,
      opening: [
        ...(opened ? [] : cutting('bevel', removedMm3)),
        wipe,
        { code: 'locate', trade: 'fit', handMin: LOCATE_BREAK.startMin + LOCATE_BREAK.perMm * values.lengthMm },
        ...(values.keepBreak && laid.length > 1
          ? [
              {
                code: 'back-grind',
                trade: 'cut',
                handMin: BACK_GRIND.startMin + BACK_GRIND.perMm * values.lengthMm,
                betweenSides: true,
              } as const,
            ]
          : []),
      ],
      rebuild: finishing(finish, laid),
      checks: ['look', 'fit', ...(part.does === 'static' ? [] : ['dye'])],
    }
  },
})
