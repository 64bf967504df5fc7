import type { SeenInPuddle } from '../job/words.table'

export interface PuddleRule {
  readonly move: string
  readonly why: string
  /** Share of the pass that is ground out and laid again. */
  readonly groundOut?: number
  /** There is no further move of this kind: it comes out, or another way is taken. */
  readonly end?: boolean
}

/**
 * For each thing seen, what to do the first, the second … time in a row on one pass; past the last row that one stays.
 * Common practice, no source.
 */
export const PUDDLE_RULES: Readonly<Record<SeenInPuddle, readonly PuddleRule[]>> = {
  'wets-clean': [{ move: 'go on', why: 'bright, and it runs in by itself' }],
  'black-specks': [
    {
      move: 'hold the arc on it without rod until they stop, brush when cold, then rod',
      why: 'dirt floats out of a puddle that is given time',
    },
    {
      move: 'let it freeze, grind out four fifths of the bead, go again',
      why: 'the second pass is far cleaner',
      groundOut: 0.8,
    },
    {
      move: 'grind it all out to bright metal, wipe, bake the part, and begin this pass again',
      why: 'what comes a third time comes from inside',
      groundOut: 1,
      end: true,
    },
  ],
  bubbles: [
    {
      move: 'hold the arc on it without rod until they stop, twenty minutes if need be',
      why: 'oil and water boil out of the pores',
    },
    {
      move: 'let it freeze, grind out four fifths of the bead, go again',
      why: 'the skin that was recast holds less',
      groundOut: 0.8,
    },
    {
      move: 'stop: bake it at 200 °C for an hour, or torch it until no damp front comes, then grind and go again',
      why: 'the arc alone does not reach as deep as the oil',
      groundOut: 0.8,
    },
    {
      move: 'no more to do by welding: grind it out, and let a patch in, or braze it',
      why: 'metal that is soaked through gives gas for ever',
      groundOut: 1,
      end: true,
    },
  ],
  reopens: [
    {
      move: 'stop and cut deeper: no filler mends it',
      why: 'the groove has not reached the bottom of the crack',
      groundOut: 0.8,
    },
    {
      move: 'cut right through, drill past the tip again, warm it further, and tack both ends before the root',
      why: 'the crack runs further than it shows, and the joint pulls as it freezes',
      groundOut: 1,
    },
    {
      move: 'no more to do with this filler: grind it out; one with more silicon, or a patch',
      why: 'the mixed bead freezes over too wide a range, or the metal round it is spent',
      groundOut: 1,
      end: true,
    },
  ],
  scum: [
    {
      move: 'brush it when cold, and give five to ten per cent more cleaning',
      why: 'oxide that the arc does not lift lies on the puddle',
    },
    {
      move: 'see to the gas: flow, cup, draught, leaks, tungsten stuck out too far',
      why: 'air in the shield makes oxide faster than the arc takes it off',
    },
    {
      move: 'grind out the pass, wipe groove and rod, begin again',
      why: 'scum that is welded over is a crack to come',
      groundOut: 0.8,
      end: true,
    },
  ],
  pinhole: [
    { move: 'fill it while still hot', why: 'it closes while the metal round it is soft' },
    { move: 'burr it out to its bottom and fill from there', why: 'a capped pinhole leaks later', groundOut: 0.2 },
    {
      move: 'grind the pass out there and look for what feeds it',
      why: 'gas from below makes the next one too',
      groundOut: 0.8,
      end: true,
    },
  ],
  'tungsten-touched': [
    {
      move: 'stop: burr the spot out, regrind or break the tungsten, strike again',
      why: 'tungsten left in is hard and starts cracks',
      groundOut: 0.1,
    },
    {
      move: 'the same, and hold a longer arc or shorten the stick-out',
      why: 'twice in a pass is how it is held',
      groundOut: 0.1,
    },
  ],
  'arc-wanders': [
    {
      move: 'regrind the tungsten; a thicker one if it grew a ball',
      why: 'a tungsten too thin or spent lets the arc roam',
    },
    { move: 'move the earth clamp to bright bare metal near the weld', why: 'the arc pulls away from a poor earth' },
    {
      move: 'more electrode negative, or a higher frequency',
      why: 'a hot tip and a slow wave both let it wander',
      end: true,
    },
  ],
  'burns-through': [
    {
      move: 'stop, less current, copper behind it, and bridge from the edges',
      why: 'the wall is thinner or hotter than it looked',
    },
    {
      move: 'let it cool right down; short pieces, rod in early to chill it',
      why: 'a warm edge has nowhere to put the heat',
    },
    {
      move: 'no more to do on this edge: cut it back square and let a piece in',
      why: 'what is left is too thin to hold a puddle',
      groundOut: 1,
      end: true,
    },
  ],
  sags: [
    { move: 'less current, or let it cool between pieces', why: 'the whole puddle is too large to hold itself' },
    { move: 'copper behind it, or turn the part so that gravity helps', why: 'it needs something to lie on' },
    {
      move: 'grind it level and lay it again in smaller beads',
      why: 'a sagged bead is thin at its top',
      groundOut: 0.5,
      end: true,
    },
  ],
  'too-hot': [
    {
      move: 'stop, let it come down to the interpass limit',
      why: 'soft metal, large grain, and what is near it suffers',
    },
    {
      move: 'weld somewhere else on it, or wait by the clock between passes',
      why: 'it soaks up heat faster than it loses it',
    },
  ],
}
