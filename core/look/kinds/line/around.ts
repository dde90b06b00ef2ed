import type { BrushForm, BrushId } from '../../../paint'
import { choice, param, PRESS, type Param } from '../../../stroke'

const LIGHT = { ...PRESS, usual: 45 }

/** Lines that follow something else instead of handles of their own. */
export const AROUND = {
  outline: {
    words: 'outline',
    forms: ['round', 'dagger'],
    brush: 'round2',
    params: [
      LIGHT,
      param('distance', 'distance', 'mm', -4, 12, 0.2, 0),
      param('wobble', 'natural unevenness', 'mm', 0, 2, 0.1, 0),
    ],
  },
  halfOutline: {
    words: 'jagged half outline',
    forms: ['round', 'dagger'],
    brush: 'round2',
    params: [
      { ...PRESS, usual: 60 },
      param('distance', 'distance', 'mm', -2, 8, 0.2, 0.4),
      param('side', 'side, from the top', '°', -180, 180, 15, 135),
      param('share', 'how far round', '%', 10, 90, 5, 45),
      param('jag', 'jaggedness', '%', 0, 100, 10, 50),
    ],
  },
  leaves: {
    words: 'leaves on both sides of a stem',
    forms: ['filbert', 'round', 'flat', 'angled'],
    brush: 'filbert8',
    params: [
      param('every', 'one every', 'mm', 3, 40, 1, 9),
      param('length', 'length', 'mm', 3, 40, 1, 9),
      param('wide', 'width', 'mm', 1, 20, 0.5, 4.5),
      param('lean', 'off the stem', '°', 10, 90, 5, 50),
      param('shorter', 'shorter toward the end', '%', 0, 90, 10, 40),
      choice('sides', 'on', [
        'both sides in turn',
        'both sides, in pairs',
        'the left side',
        'the right side',
      ]),
    ],
  },
  highlight: {
    words: 'light on each',
    forms: ['round', 'dagger'],
    brush: 'round2',
    params: [
      { ...PRESS, usual: 40 },
      param('inset', 'in from the edge', 'mm', 0.2, 8, 0.2, 1),
      param('side', 'side, from the top', '°', -180, 180, 15, -30),
      param('share', 'how far round', '%', 4, 60, 2, 18),
    ],
  },
} as const satisfies Record<
  string,
  { words: string; forms: readonly BrushForm[]; brush: BrushId; params: readonly Param[] }
>
export type AroundId = keyof typeof AROUND
export const AROUND_IDS = Object.keys(AROUND) as AroundId[]
