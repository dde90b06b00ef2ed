import { centroidOf, type Point } from '../core/geometry'
import {
  axisFor,
  freshLook,
  freshSheet,
  freshWash,
  movedTo,
  NO_TWIN,
  washRings,
  type Look,
  type PaintRef,
  type Pass,
  type SheetStep,
  type Twin,
  type Wash,
} from '../core/look'
import { groundOf, layOn, PLAIN_FACE, type ArmCanvas, type Canvas, type Placement } from '../core/skin'
import { prepared, readSvg, type PreparedSheet } from '../core/stencil'
import { paints } from '../demo/paints'
import { shelf, shelfSvg } from '../demo/shelf'

/** The face on which the looks were made; each is then moved to its person's. */
const ground = groundOf(PLAIN_FACE, 30)
const MIDLINE: Twin = { ...NO_TWIN, rule: 'midline' }

const ref = (id: string): PaintRef => {
  const { name, colour } = paints.find(p => p.id === id)!
  return { id, name, colour }
}

/** A base on an outline of its own, given for the right half and mirrored. */
function drawn(id: string, label: string, right: Point[], colours: string[], more: Partial<Wash> = {}): Wash {
  const outline: Point[] = [...right, ...right.map(([x, y]): Point => [-x, y]).reverse()]
  const base = {
    ...freshWash(id, label, ['face'], colours.map(ref), ground),
    zones: [],
    points: outline.map(([x, y]): [number, number] => [x, y]),
    straight: true,
  }
  return { ...base, axis: axisFor(washRings(base, ground)) as Wash['axis'], ...more }
}

const pass = (paint: string, dabs = 5, more: Partial<Pass> = {}): Pass => ({
  openings: { use: 'all' },
  load: { kind: 'one', paint: ref(paint) },
  tool: 'makeup',
  wetness: 'tacky',
  dabs,
  charge: 1,
  glitter: false,
  ...more,
})

const sheet = (
  id: string,
  label: string,
  stencil: string,
  at: Point,
  passes: Pass[],
  more: Partial<SheetStep> = {},
): SheetStep => ({ ...freshSheet(id, label, stencil, at, ref('gull')), passes, ...more })

/**
 * A stencil step that dabs only the openings which land where `keep` says, as a painter does with a texture.
 */
function patch(
  id: string,
  label: string,
  stencil: string,
  place: Placement,
  keep: (x: number, y: number) => boolean,
  passes: Pass[],
  more: Partial<SheetStep> = {},
  { surface } = ground,
): SheetStep {
  const { openings } = readSvg(shelfSvg(stencil)).sheet
  const laid = layOn(surface, place)
  const numbers = openings.flatMap((opening, i) => (keep(...laid.point(centroidOf([opening]))) ? [i] : []))
  return sheet(
    id,
    label,
    stencil,
    place.at,
    passes.map(p => ({ ...p, openings: { use: 'chosen', numbers } })),
    { tilt: place.tilt, side: place.side, ...more },
  )
}

/** A ring of skin around the right eye, out to the temple and down the cheekbone. */
const around =
  (least: number, most: number, below = 60) =>
  (x: number, y: number): boolean => {
    const d = Math.hypot((x - 31) * 0.9, y - 4)
    return d > least && d < most && x > 24 && y < below && Math.abs(x) < 66
  }

const look = (
  id: string,
  name: string,
  skin: Partial<Look['skin']>,
  about: Partial<Look>,
  steps: Look['steps'],
): Look => {
  const base = freshLook(id, name)
  return { ...base, ...about, skin: { ...base.skin, ...skin }, steps }
}

const stencil = (id: string): PreparedSheet | undefined => {
  const entry = shelf.find(s => s.id === id)
  return entry && prepared({ ...entry, ...readSvg(shelfSvg(id)).sheet })
}
/** A look moved from the face on which it was made to somebody else's. */
const worn = (made: Look, age: number, canvas: Canvas): Look => movedTo(made, canvas, age, stencil).look

/** A forearm of nobody in particular, painted where a mask would be too much. */
const FOREARM: ArmCanvas = { kind: 'arm', part: 'forearm', side: 'right', measures: null }
const arm = groundOf(FOREARM, 16)

/**
 * The outline of a mask over brows and eyes, right half, from the middle of the forehead round to the bridge
 * of the nose.
 */
const MASK: Point[] = [
  [0, -34],
  [18, -37],
  [40, -42],
  [60, -44],
  [66, -30],
  [64, -8],
  [58, 10],
  [46, 22],
  [30, 24],
  [16, 19],
  [9, 12],
  [4, 14],
]
const BROW_FAN: Point[] = [
  [0, -50],
  [22, -56],
  [46, -50],
  [58, -34],
  [60, -14],
  [48, 4],
  [36, 14],
  [18, 14],
  [10, 5],
  [5, 3],
]

/**
 * A heart-shaped face, as an owl has: two rounds that meet between the brows, down to a point at the mouth.
 */
const OWL: Point[] = [
  [0, -20],
  [10, -34],
  [28, -42],
  [48, -36],
  [59, -14],
  [57, 14],
  [46, 36],
  [30, 50],
  [14, 58],
  [0, 62],
]

/** Looks of few steps, which tests change as they like. */
export const looks: Look[] = [
  worn(
    look(
      'plain-midnight-moth',
      'Plain Midnight Moth',
      { colour: '#dcb093', hair: '#3a2a20' },
      {
        tags: ['fair', 'night'],
        budget: 360,
        notes: 'Saltmarsh Lantern Fair, ticket 014. Wants the moth right between the brows.',
      },
      [
        drawn('mm1', 'Night mask', MASK, ['lilac-pearl', 'dusk', 'midnight'], {
          axis: { kind: 'out', from: [0, -8], reach: 60 },
          dabs: 3,
          glitter: true,
        }),
        patch(
          'mm2',
          'Scales, temples',
          'scales',
          { at: [56, 6], tilt: 62, side: 'A' },
          around(25, 48, 34),
          [pass('midnight', 6)],
          { twin: MIDLINE, optional: true, worth: 3 },
        ),
        sheet('mm3', 'Moth on the brow', 'moth', [0, -30], [pass('gull', 7)]),
        sheet('mm4', 'Eye marks', 'moth-eyes', [0, -30], [pass('dusk', 7, { tool: 'dauber' })]),
        sheet('mm5', 'Stars on the cheeks', 'star-set', [47, 47], [pass('oyster', 6)], {
          tilt: 28,
          side: 'B',
          twin: MIDLINE,
          optional: true,
          worth: 4,
        }),
      ],
    ),
    12,
    { ...PLAIN_FACE, build: 'broad' },
  ),
  look(
    'plain-tide-queen',
    'Plain Tide Queen',
    { colour: '#8d5a3b', hair: '#1c1512', eyes: 'closed' },
    { tags: ['fair', 'sea', 'crown'], budget: 420 },
    [
      drawn('tq1', 'Sea base', BROW_FAN, ['sky', 'lagoon', 'harbour'], {
        axis: { kind: 'out', from: [0, 4], reach: 62 },
        dabs: 3,
      }),
      patch(
        'tq2',
        'Scales up the cheek',
        'scales',
        { at: [52, 26], tilt: -42, side: 'A' },
        around(20, 50, 56),
        [pass('sky', 6), pass('gull', 1)],
        { twin: MIDLINE },
      ),
      sheet('tq3', 'Tide crown', 'crown-crest', [0, -37], [pass('gull', 7), pass('lantern', 4)]),
      patch(
        'tq4',
        'Bubbles',
        'bubbles',
        { at: [-62, 62], tilt: 8, side: 'A' },
        (x, y) => x < -22 && y > 52 && y < 98 && x > -50,
        [pass('gull', 6)],
        { optional: true, worth: 2 },
      ),
    ],
  ),
  worn(
    look(
      'plain-hive-keeper',
      'Plain Hive Keeper',
      { colour: '#efcdb4', hair: '#6d4a2c' },
      { tags: ['fair', 'bee'], budget: 300 },
      [
        drawn(
          'hk1',
          'Honey base',
          [
            [0, -54],
            [26, -56],
            [50, -48],
            [61, -28],
            [58, 0],
            [48, 24],
            [34, 32],
            [20, 26],
            [10, 12],
            [5, 6],
          ],
          ['beacon', 'ember'],
          { axis: { kind: 'out', from: [0, -14], reach: 66 }, dabs: 3 },
        ),
        patch(
          'hk2',
          'Comb, side of the face',
          'honeycomb',
          { at: [54, -4], tilt: 74, side: 'A' },
          around(27, 60, 46),
          [pass('peat', 7)],
          { twin: MIDLINE },
        ),
        sheet('hk3', 'Heart crest', 'heart-crest', [0, -32], [pass('soot', 9)]),
        sheet('hk4', 'Highlight, a hair higher', 'heart-crest', [0.7, -32.9], [pass('beacon', 3)], {
          optional: true,
          worth: 3,
        }),
      ],
    ),
    7,
    PLAIN_FACE,
  ),
  look(
    'plain-fern-stag',
    'Plain Fern Stag',
    { colour: '#c58e66', hair: '#2a1d16' },
    { tags: ['fair', 'forest'], budget: 330 },
    [
      drawn(
        'fs1',
        'Forest lids',
        [
          [0, -6],
          [12, -20],
          [34, -30],
          [56, -28],
          [63, -10],
          [56, 6],
          [42, 15],
          [26, 15],
          [12, 8],
          [5, 4],
        ],
        ['beacon', 'fern', 'kelp'],
        { axis: { kind: 'out', from: [0, -4], reach: 62 }, dabs: 3 },
      ),
      sheet('fs2', 'Fern over the brow', 'leaf-spray', [37, -36], [pass('peat', 8), pass('fern', 2)], {
        tilt: 6,
        twin: MIDLINE,
      }),
      sheet('fs3', 'Fern on the cheek', 'leaf-spray', [50, 33], [pass('kelp', 8), pass('beacon', 1)], {
        tilt: 128,
        side: 'B',
        twin: MIDLINE,
      }),
      sheet('fs4', 'Lantern swirl', 'swirl-small', [0, -50], [pass('lantern', 8)], {
        optional: true,
        worth: 2,
      }),
    ],
  ),
  look(
    'plain-barn-owl',
    'Plain Barn Owl',
    { colour: '#e8c3a4', hair: '#4b3625', eyes: 'closed' },
    { tags: ['fair', 'bird'], budget: 360 },
    [
      drawn(
        'bo1',
        'Russet rim',
        OWL.map(([x, y]): Point => [x * 1.1, y < 0 ? y * 1.14 - 4 : y]),
        ['sand', 'ember', 'peat'],
        { axis: { kind: 'out', from: [0, 6], reach: 72 }, dabs: 3 },
      ),
      drawn(
        'bo2',
        'White heart',
        OWL.map(([x, y]): Point => [x * 0.92, y * 0.92 + 1]),
        ['gull', 'gull', 'sand'],
        { axis: { kind: 'out', from: [0, 6], reach: 62 }, dabs: 4 },
      ),
      sheet('bo3', 'Feather, brow', 'feather', [41, -37], [pass('peat', 8), pass('sand', 1)], {
        tilt: -16,
        twin: MIDLINE,
      }),
      patch(
        'bo4',
        'Flecks',
        'halftone',
        { at: [0, -36], tilt: 0, side: 'A' },
        (x, y) => y < -38 - Math.abs(x) * 0.12 && Math.abs(x) < 40,
        [pass('peat', 7)],
        { optional: true, worth: 3 },
      ),
      sheet('bo5', 'Feather, cheek', 'feather', [44, 30], [pass('driftwood', 7)], {
        tilt: 52,
        side: 'A',
        twin: MIDLINE,
      }),
    ],
  ),
  look(
    'plain-kelp-cuff',
    'Plain Kelp Cuff',
    { colour: '#84522f', age: 16 },
    {
      tags: ['fair', 'sea', 'arm'],
      budget: 240,
      canvas: FOREARM as Look['canvas'],
      focus: [0, 0],
      notes: 'Saltmarsh Lantern Fair, ticket 027. On the arm: no paint near the eyes wanted.',
    },
    [
      {
        ...freshWash(
          'kc1',
          'Tide round the arm',
          ['middle band'],
          ['sky', 'lagoon', 'harbour'].map(ref),
          arm,
        ),
        axis: { kind: 'out', from: [0, 0], reach: 62 },
        dabs: 3,
      },
      patch(
        'kc2',
        'Scales',
        'scales',
        { at: [0, 0], tilt: 0, side: 'A' },
        (_x, y) => Math.abs(y) < 28,
        [pass('midnight', 6), pass('sky', 2)],
        {},
        arm,
      ),
      sheet('kc3', 'Wave, both edges', 'waves', [0, -45], [pass('gull', 7)], {
        tilt: 0,
        twin: { rule: 'turn', about: [0, 0], own: null },
      }),
      sheet('kc4', 'Lantern swirl', 'swirl-small', [0, 0], [pass('lantern', 8)], {
        optional: true,
        worth: 3,
      }),
    ],
  ),
]
