import { outlineThrough, pointsOf, tenthPoint, type Point } from '../../../core/geometry'
import { PLAIN_FACE } from '../../../core/skin'
import { look, outFrom, pass, ref, roundAbout } from '../kit'
import { sponging } from './sponge'

/** Half a skull with a garland about its socket, half a person: for the late hours of the fair. */
export const boneLantern = look(
  {
    id: 'demo-bone-lantern',
    name: 'Bone Lantern',
    age: 19,
    skin: '#e6bd9e',
    hair: '#1c1512',
    cut: 'side parting',
    canvas: PLAIN_FACE,
    tags: ['menu', 'night', 'skull'],
    budget: 600,
    notes: 'From the menu, after dark.',
  },
  ({ at, mid, spot, sheet, clear, line, dots, lips, gemOf, id, ground }) => {
    const { rework, lights, half } = sponging(id, ground)
    const p = (dx: number, dy: number): Point => mid('nasion', dx, dy)
    const one = { rule: 'none' as const }
    const hollow = spot(
      'Hollow of the cheek',
      [
        at('cheekbone', 2, 12),
        at('cheekbone', -9, 16),
        at('mouthCorner', 19, -4),
        at('mouthCorner', 15, 2),
        at('mouthCorner', 22, 8),
        at('cheekbone', 0, 30),
      ],
      ['soot', 'plum'],
      { axis: outFrom(at('cheekbone', -4, 18), 30), dabs: 4 },
    )
    const socket = spot(
      'Socket',
      [
        at('innerEye', -4, -8),
        at('browPeak', -5, 1),
        at('browTail', 0, 2),
        at('outerEye', 10, 6),
        at('pupil', 5, 20),
        at('innerEye', 0, 14),
      ],
      ['soot', 'plum'],
      { brush: 'round4', axis: outFrom(at('pupil', 0, 0), 34), dabs: 6, free: ['eyes'] },
    )
    const nose = spot(
      'Hole of the nose',
      [
        mid('noseTip', 1, -13),
        mid('noseTip', 6, -6),
        mid('noseTip', 10, 4),
        mid('noseTip', 6, 7),
        mid('noseTip', 1, 4),
      ],
      ['soot'],
      { brush: 'round4', dabs: 5, free: ['nostrils', 'left half'] },
    )
    const bone = spot(
      'Bone',
      [
        mid('hairline', 0.5, 5),
        mid('hairline', 24, 7),
        at('temple', -10, -6),
        at('temple', -3, 14),
        at('cheekbone', 6, -10),
        at('cheekbone', 4, 8),
        at('cheekbone', -10, 14),
        at('mouthCorner', 22, -6),
        at('mouthCorner', 22, 14),
        at('mouthCorner', 6, 30),
        mid('chin', 0.5, -4),
        mid('mouth', 0.5, 4),
        mid('noseTip', 0.5, 0),
        p(0.5, 0),
      ],
      ['gull', 'ivory', 'slate'],
      {
        straight: false,
        axis: outFrom(mid('noseTip', 10, -14), 96),
        stops: [0, 0.62, 1],
        dabs: 5,
        holes: [socket, nose].map(w => smooth(w.points)),
        free: ['eyes', 'nostrils', 'lips', 'left half'],
      },
    )
    const garland = line(
      'scallops',
      [
        at('innerEye', -6, 2),
        at('browStart', 4, -3),
        at('browPeak', 0, -4),
        at('browTail', 4, 0),
        at('outerEye', 12, 8),
        at('pupil', 8, 22),
        at('innerEye', 2, 17),
        at('innerEye', -5, 6),
      ],
      ref('mulberry'),
      {
        label: 'Garland about the socket',
        ...one,
        brush: 'round4',
        params: { count: 13, height: 6, press: 75 },
      },
    )
    const rose = line('petalFill', roundAbout(at('browPeak', 8, -24), 12), ref('mulberry'), {
      label: 'Rose over the brow',
      ...one,
      load: { kind: 'double', light: ref('thrift'), dark: ref('mulberry') },
      params: { rows: 3, wide: 8, heart: 5, overlap: 40 },
    })
    const leaf = (label: string, foot: Point, bend: Point, tip: Point) =>
      line('leaf', [foot, bend, tip], ref('kelp'), {
        label,
        ...one,
        load: { kind: 'double', light: ref('fern'), dark: ref('kelp') },
        params: { wide: 8, vein: 0.6 },
      })
    return [
      bone,
      leaf('Leaf', at('browPeak', 0, -21), at('browPeak', -6, -30), at('browPeak', -4, -40)),
      leaf('Second leaf', at('browPeak', 16, -18), at('browPeak', 24, -20), at('browPeak', 26, -8)),
      hollow,
      rework('Hollow smoked out', 'blend', [hollow], { width: 5, reach: 2.4 }),
      {
        ...clear(
          sheet(
            'Lace down the bone',
            'lantern-lace',
            at('cheekbone', -8, 2),
            [
              pass('lilac-pearl', 5, { part: { by: 'step', step: bone.id, strips: null, fades: 3 } }),
              pass('mulberry', 2, {
                part: { by: 'step', step: bone.id, strips: null, fades: 6 },
                carries: true,
              }),
            ],
            { free: ['eyes', 'lids', 'left half'] },
          ),
        ),
        tilt: 14,
      },
      clear({
        ...sheet(
          'Swirls on the chin',
          'swirl-small',
          at('mouthCorner', -3, 24),
          [pass('mulberry', 6, { part: { by: 'step', step: bone.id, strips: null, fades: 1 } })],
          { free: ['left half'] },
        ),
        tilt: 150,
      }),
      socket,
      garland,
      lights('Light on each petal', garland, 'thrift', { side: -30, share: 12, inset: 0.6, press: 30 }),
      nose,
      rose,
      half('Jagged outline of some petals', rose, 'plum', { side: 135, share: 34, press: 40 }),
      lips(['plum']),
      line(
        'line',
        [
          mid('mouth', 0.5, 0),
          at('mouthCorner', -4, -0.5),
          at('mouthCorner', 8, -4),
          at('mouthCorner', 21, -12),
        ],
        ref('plum'),
        { label: 'Line of the jaws', ...one, brush: 'round3', params: { press: 62 } },
      ),
      line(
        'stitches',
        [
          mid('mouth', 3, 0),
          at('mouthCorner', -4, -0.5),
          at('mouthCorner', 8, -4),
          at('mouthCorner', 18, -10),
        ],
        ref('plum'),
        { label: 'Teeth', ...one, brush: 'round2', params: { count: 8, length: 15, lean: 0, press: 70 } },
      ),
      line(
        'scallops',
        [at('mouthCorner', 19, -19), at('mouthCorner', 6, -12), mid('mouth', 2, -9)],
        ref('plum'),
        {
          label: 'Gums above',
          ...one,
          brush: 'round1',
          params: { count: 6, height: 3, press: 90 },
        },
      ),
      line(
        'scallops',
        [mid('mouth', 2, 10), at('mouthCorner', 6, 9), at('mouthCorner', 19, -1)],
        ref('plum'),
        {
          label: 'Gums below',
          ...one,
          brush: 'round1',
          params: { count: 6, height: 3, press: 90 },
        },
      ),
      dots(
        'row',
        [at('cheekbone', -2, 0), at('cheekbone', -20, 8)],
        ref('mulberry'),
        'Dots on the cheekbone',
        {
          count: 5,
          first: 3.6,
          last: 1.4,
        },
        'none',
      ),
      dots(
        'row',
        [p(5, -6), p(5, -22)],
        ref('mulberry'),
        'Dots beside the midline',
        {
          count: 3,
          first: 3,
          last: 1.4,
        },
        'none',
      ),
      line('eyeliner', [at('innerEye', 1, -1.5), at('pupil', 0, -8), at('outerEye', 2, -1.5)], ref('soot'), {
        label: 'Eyeline of the other half',
        eyes: 'shut',
        params: { press: 60, wing: 8, rise: 28 },
      }),
      line('corners', [p(13, -54), p(10, -45), p(15, -40), p(12, -31), p(15, -27)], ref('soot'), {
        label: 'Crack',
        ...one,
        brush: 'round2',
        params: { press: 55 },
      }),
      line('corners', [p(15, -40), p(21, -37), p(22, -33)], ref('soot'), {
        label: 'Its branch',
        ...one,
        brush: 'round1',
        params: { press: 80 },
      }),
      gemOf([at('browPeak', 8, -24)], 5, 'Ruby'),
    ]
  },
)

/** The outline that a base draws through its handles, as points: what it stays clear of keeps its corners. */
function smooth(points: readonly Point[]): [number, number][] {
  return pointsOf(Float64Array.from(outlineThrough(points, 4))).map(tenthPoint)
}
