import type { Point } from '../../../core/geometry'
import { PLAIN_FACE } from '../../../core/skin'
import { glitterColour, look, pass, ref } from '../kit'
import { sponging } from './sponge'

/** The same place on the other side. */
const across = ([x, y]: Point): Point => [-x, y]

/** Wings stamped from a cake about each eye, with what follows their petals. */
export const heatherWing = look(
  {
    id: 'demo-heather-wing',
    name: 'Heather Wing',
    age: 10,
    skin: '#f0d2bd',
    hair: '#54331f',
    cut: 'band',
    canvas: PLAIN_FACE,
    tags: ['menu', 'wings'],
    budget: 360,
    notes: 'From the menu: petals stamped from one cake.',
  },
  ({ at, over, mid, line, glitter, gemOf, id, ground }) => {
    const { pull, rework, lights, onEach } = sponging(id, ground)
    const upper = pull(
      'Upper wing',
      'stamped',
      [at('innerEye', 3, -17), at('browPeak', 0, -9), at('browTail', 8, -8), at('outerEye', 19, 2)],
      'heather-moor',
      { width: 25, tool: 'petal', dark: 'left', free: ['eyes'] },
    )
    const lower = pull(
      'Lower wing',
      'stamped',
      [at('outerEye', 13, 14), at('cheekbone', -7, 5), at('cheekbone', -20, 9)],
      'heather-moor',
      { width: 20, tool: 'petal', dark: 'left', free: ['eyes', 'nostrils'] },
    )
    const edge = line(
      'scallops',
      [at('innerEye', 0, -31), over(2, 0.42), at('browTail', 20, -22), at('outerEye', 33, 3)],
      ref('plum'),
      { label: 'Scalloped rim', params: { press: 45, count: 6, height: 6 } },
    )
    const petals = line('petals', [mid('nasion', 3, -14), mid('nasion', 13, -30)], ref('oyster'), {
      label: 'Petals between',
      params: { count: 4, length: 11, wide: 6, lean: 0 },
    })
    return [
      upper,
      lower,
      rework('Feet of the wings cleaned', 'wetBrush', [upper, lower], { width: 1.6, stays: 0.5, edge: 0.8 }),
      edge,
      petals,
      lights('Light on each petal', petals, 'gull', { side: -20, share: 22, inset: 1 }),
      onEach('A pearl where each begins', 'ends', petals, 'lantern', { first: 2, ends: 0 }),
      line('eyeliner', [at('innerEye', 1, -1.5), at('pupil', 0, -8), at('outerEye', 2, -1.5)], ref('plum'), {
        label: 'Eyeline',
        eyes: 'shut',
        params: { press: 55, wing: 7, rise: 25 },
      }),
      glitter('Gel along the wings', 'rim', [], {
        on: upper.id,
        over: [lower.id],
        sort: 'gel',
        width: 2.4,
        amount: 0.5,
        colour: glitterColour('Violet dust'),
        optional: true,
        worth: 6,
      }),
      gemOf([mid('nasion', 0, -18)], 6, 'Ruby'),
    ]
  },
)

/** The harbour at night: one band of a cake, stars of a set, a halftone only where the band lies. */
export const nightHarbour = look(
  {
    id: 'demo-night-harbour',
    name: 'Night Harbour',
    age: 30,
    skin: '#8a5a3c',
    hair: '#120e0c',
    cut: 'braids',
    face: 5,
    canvas: PLAIN_FACE,
    tags: ['menu', 'sea'],
    budget: 330,
    notes: 'From the menu. The halftone is dabbed only on the two darkest strips.',
  },
  ({ at, over, mid, sheet, line, glitter, gemOf, id, ground }) => {
    const { pull, rework } = sponging(id, ground)
    const sky = pull(
      'Sky across the eyes',
      'drawn',
      [
        at('cheekbone', 8, -18)
          .map(v => -v)
          .map((v, i) => (i ? -v : v)) as [number, number],
        mid('nasion', 0, -12),
        at('cheekbone', 8, -18),
      ],
      'harbour-lights',
      { width: 46, rule: 'none', dark: 'left', soft: true, free: ['eyes'], label: 'Sky across the eyes' },
    )
    const soft = rework('Edges stippled out', 'blend', [sky], { width: 10, reach: 3.5 })
    const dotsOn = sheet('Halftone on the dark strips', 'halftone', mid('nasion', 0, -24), [
      pass('foam', 5, { part: { by: 'step', step: sky.id, strips: [2, 3], fades: 3 } }),
    ])
    const star = sheet('Stars', 'star-set', over(2, 0.32), [pass('gull', 6)], { rule: 'features', tilt: 12 })
    return [
      sky,
      soft,
      dotsOn,
      star,
      line('drops', [at('outerEye', 4, 13), at('cheekbone', -6, 9), at('cheekbone', -22, 10)], ref('sky'), {
        label: 'Drops under the eyes',
        params: { count: 7, length: 8, wide: 3, lean: 0, falling: 50 },
      }),
      glitter('Gel along the sky', 'rim', [], {
        on: sky.id,
        sort: 'gel',
        width: 3,
        amount: 0.5,
        colour: glitterColour('Sea dust'),
        optional: true,
        worth: 5,
      }),
      gemOf([at('outerEye', 12, 9)], 5, 'Sea', {}, 'features'),
    ]
  },
)

/** A crown of thorns and roses: filled shapes, teeth, an outline about several things at once. */
export const thornCrown = look(
  {
    id: 'demo-thorn-crown',
    name: 'Thorn Crown',
    age: 24,
    skin: '#f3dccb',
    hair: '#8a6a4c',
    cut: 'side parting',
    face: 4,
    canvas: PLAIN_FACE,
    tags: ['menu', 'crown'],
    budget: 420,
    notes: 'From the menu.',
  },
  ({ at, mid, spot, sheet, line, id, ground }) => {
    const { pull, rework, lights } = sponging(id, ground)
    const glow = pull(
      'Glow behind the crown',
      'drawn',
      [across(at('temple', -6, -12)), mid('nasion', 0, -50), at('temple', -6, -12)],
      'bonfire',
      { width: 24, rule: 'none', dark: 'right', soft: true, label: 'Glow behind the crown' },
    )
    const thorns = line(
      'teeth',
      [mid('nasion', 3, -30), at('browPeak', 4, -18), at('temple', -9, -10)],
      ref('soot'),
      {
        label: 'Thorns',
        params: { count: 7, height: 15, wide: 70, lean: 8, falling: 30 },
      },
    )
    const heart = spot(
      'Rose in the middle',
      [
        mid('nasion', 0, -46),
        mid('nasion', 9, -43),
        mid('nasion', 10, -34),
        mid('nasion', 0, -27),
        mid('nasion', -10, -34),
        mid('nasion', -9, -43),
      ],
      ['thrift', 'rosehip'],
      { brush: 'round4' },
    )
    const lace = sheet(
      'Lace under the eyes',
      'lace',
      at('outerEye', 2, 20),
      [
        pass('soot', 5, {
          runsOut: 0.35,
          axis: { kind: 'line', from: [...at('outerEye', 14, 12)], to: [...at('noseWing', 4, 2)] },
        }),
      ],
      { rule: 'features', tilt: -24, free: ['lids', 'nostrils'] },
    )
    return [
      glow,
      rework('Glow stippled out', 'blend', [glow], { width: 9, reach: 3 }),
      thorns,
      heart,
      lights('Light on the rose', heart, 'gull', { side: -40, share: 18, inset: 1.4 }),
      line('swirl', [mid('nasion', 2, -36), mid('nasion', 6, -38), mid('nasion', 1, -31)], ref('plum'), {
        label: 'Heart of the rose',
        rule: 'none',
        params: { press: 30, turns: 1.5, shrink: 20 },
      }),
      lace,
      line('eyeliner', [at('innerEye', 1, -1.5), at('pupil', 0, -8), at('outerEye', 2, -1.5)], ref('soot'), {
        label: 'Eyeline',
        eyes: 'shut',
        pressed: [0.4, 1.1, 1.4],
        params: { press: 60, wing: 10, rise: 30 },
      }),
    ]
  },
)

/** Frost that was wiped through: white over blue, with a shape taken out and outlined. */
export const frostPane = look(
  {
    id: 'demo-frost-pane',
    name: 'Frost Pane',
    age: 12,
    skin: '#a8714d',
    hair: '#2a1c14',
    cut: 'headscarf',
    face: 7,
    canvas: PLAIN_FACE,
    tags: ['menu', 'winter'],
    budget: 360,
    notes: 'From the menu. Half the face; the stars stay where the frost was wiped away.',
  },
  ({ at, mid, zones, sheet, line, dots, id, ground }) => {
    const { rework, lights } = sponging(id, ground)
    const frost = zones(
      'Frost on the right half',
      ['forehead', 'right.temple', 'right.lid', 'right.cheekbone', 'right.cheek'],
      ['gull', 'sky', 'harbour'],
      {
        gapless: true,
        free: ['left half', 'eyes', 'brows'],
        axis: { kind: 'edge', depth: 15 },
        stops: [0, 0.45, 1],
        dabs: 3,
      },
    )
    const pane = rework('Pane wiped clear', 'wipe', [], {
      area: 'outline',
      points: [
        at('cheekbone', -12, -8),
        at('cheekbone', 2, -4),
        at('cheekbone', -2, 12),
        at('cheekbone', -15, 10),
      ].map(([x, y]): [number, number] => [x, y]),
      stays: 0.15,
      edge: 1.5,
    })
    const crystals = sheet(
      'Crystals',
      'crosses',
      at('cheekbone', -4, -2),
      [pass('gull', 6, { part: { by: 'step', step: frost.id, strips: null, fades: 2 }, glitter: true })],
      { free: ['eyes', 'left half'] },
    )
    const flake = line('starburst', [mid('nasion', 18, -40), mid('nasion', 18, -54)], ref('gull'), {
      label: 'Large flake',
      rule: 'none',
      params: { press: 45, rays: 6, short: 50, hollow: 10 },
    })
    return [
      frost,
      crystals,
      pane,
      flake,
      line(
        'line',
        [at('cheekbone', -16, 11), at('cheekbone', -13, -9), at('cheekbone', 3, -5)],
        ref('midnight'),
        {
          label: 'Edge of the pane',
          rule: 'none',
          params: { press: 35, even: 20 },
        },
      ),
      lights('Light on the flake', flake, 'oyster', { inset: 0.4, share: 10 }),
      dots(
        'threes',
        [at('outerEye', 12, 26), at('outerEye', 18, 16)],
        ref('gull'),
        'Dots in threes',
        {},
        'none',
      ),
    ]
  },
)
