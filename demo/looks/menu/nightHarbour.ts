import { PLAIN_FACE } from '../../../core/skin'
import { glitterColour, look, pass, ref } from '../kit'
import { sponging } from './sponge'

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
  ({ at, over, mid, sheet, line, dots, glitter, gemOf, id, ground }) => {
    const { pull, rework, half } = sponging(id, ground)
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
      glitter('Glitter along the sky', 'rim', [], {
        on: sky.id,
        sort: 'fine',
        width: 3,
        amount: 0.5,
        colour: glitterColour('Sea dust'),
        optional: true,
        worth: 5,
      }),
      dotsOn,
      star,
      half('Jagged outline of the large stars', star, 'midnight', { side: 120, share: 45, press: 60 }),
      line(
        'line',
        [
          mid('nasion', 3, 12),
          at('innerEye', 1, 15),
          at('pupil', 0, 19),
          at('outerEye', 5, 14),
          at('outerEye', 20, 0),
        ],
        ref('midnight'),
        { label: 'Edge of the quay', brush: 'round3', params: { press: 70 } },
      ),
      line(
        'line',
        [at('innerEye', 3, 18), at('pupil', 0, 22), at('outerEye', 4, 18), at('outerEye', 16, 7)],
        ref('foam'),
        { label: 'Light on the water', brush: 'round2', params: { press: 55 } },
      ),
      line('drops', [at('outerEye', 12, 14), at('outerEye', -2, 23), at('pupil', -4, 25)], ref('beacon'), {
        label: 'Lights of the harbour in the water',
        params: { count: 5, length: 14, wide: 3.6, lean: 0, falling: 50 },
      }),
      line(
        'eyeliner',
        [at('innerEye', 1, -1.5), at('pupil', 0, -8), at('outerEye', 2, -1.5)],
        ref('midnight'),
        {
          label: 'Eyeline',
          eyes: 'shut',
          params: { press: 85, wing: 12, rise: 28 },
        },
      ),
      line('swirl', [at('cheekbone', -4, 20), at('cheekbone', -8, 20), at('outerEye', 11, 17)], ref('sky'), {
        label: 'Swirl of fog',
        params: { press: 60, turns: 1.3 },
      }),
      dots(
        'row',
        [mid('nasion', 0, -8), mid('nasion', 0, 8)],
        ref('foam'),
        'Dots down the nose',
        { count: 3, first: 3.6, last: 1.4 },
        'none',
      ),
      dots('row', [at('pupil', -2, 42), at('noseWing', 10, -2)], ref('foam'), 'Dots in threes', {
        count: 3,
        first: 3.4,
        last: 1.4,
      }),
      gemOf([mid('nasion', 0, -16)], 6, 'Sea'),
    ]
  },
)
