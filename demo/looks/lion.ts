import { PLAIN_FACE } from '../../core/skin'
import { look, pass, ref } from './kit'

/** A lion from a set of three sheets that register, with brushed whiskers and mane. */
export const harbourLion = look(
  {
    id: 'demo-harbour-lion',
    name: 'Harbour Lion',
    age: 28,
    skin: '#e3b78f',
    hair: '#5a3417',
    cut: 'short crop',
    canvas: { ...PLAIN_FACE, build: 'broad' },
    tags: ['fair', 'animal', 'set'],
    budget: 540,
    notes:
      'Saltmarsh Lantern Fair, ticket 003. Three stencils of one set: hold the dots of the edge on each other.',
    focus: [0, 20],
  },
  ({ at, mid, over, drawn, sheet, clear, line, dots, lips }) => {
    const base = clear(sheet('Gold, first stencil', 'lion-base', mid('nasion', 0, 16), [pass('beacon', 6)]))
    return [
      drawn(
        'Warm base',
        [
          mid('hairline', 0, 8),
          over(-8, 0.8),
          over(10, 0.62),
          at('browTail', 8, -14),
          at('cheekbone', 9, -6),
          at('cheekbone', 4, 24),
          at('mouthCorner', 16, 10),
          mid('chin', 16, -8),
          mid('chin', 0, -3),
        ],
        ['ivory', 'sand', 'ember'],
        { axis: { kind: 'out', from: [0, 26], reach: 92 }, tool: 'baseBrush', dabs: 3 },
      ),
      base,
      clear(
        sheet('Marks, second stencil', 'lion-marks', mid('nasion', 0, 16), [pass('peat', 7)], {
          register: { on: base.id, way: 'edge', turn: 0, shift: [0, 0] },
        }),
      ),
      clear(
        sheet('Lights, third stencil', 'lion-lights', mid('nasion', 0, 16), [pass('gull', 7)], {
          register: { on: base.id, way: 'edge', turn: 0, shift: [0, 0] },
        }),
      ),
      line('eyeliner', [at('innerEye', -3, 2), at('pupil', 0, -7.5), at('outerEye', 2, -1)], ref('soot'), {
        label: 'Eyeliner',
        params: { press: 90, wing: 10, rise: 20 },
      }),
      line('leaf', [mid('noseTip', 0, 6), mid('noseTip', 0, -10)], ref('soot'), {
        label: 'Nose',
        rule: 'none',
        params: { wide: 20, vein: 0 },
      }),
      line('line', [mid('noseBase', 0, 0), mid('upperLip', 0, -2.5)], ref('soot'), {
        label: 'Line under the nose',
        rule: 'none',
        params: { press: 55, even: 50 },
      }),
      line('whiskers', [at('mouthCorner', 2, -15), at('mouthCorner', 46, -20)], ref('gull'), {
        label: 'Whiskers',
        brush: 'round3',
        params: { count: 4, fan: 34, gap: 4.5, bow: 4, press: 40 },
      }),
      dots('cluster', [at('mouthCorner', -8, -13), at('mouthCorner', 0, -13)], ref('soot'), 'Whisker dots', {
        count: 8,
        first: 2.2,
        last: 1.3,
      }),
      line(
        'fur',
        [
          mid('hairline', 0, 12),
          over(-4, 0.74),
          over(12, 0.48),
          at('browTail', 14, -10),
          at('cheekbone', 3, 4),
          at('cheekbone', -6, 34),
          at('mouthCorner', 14, 14),
          mid('chin', 14, -8),
        ],
        ref('rust'),
        { label: 'Mane', brush: 'round4', params: { count: 44, length: 15, lean: 8, press: 45, uneven: 60 } },
      ),
      line(
        'fur',
        [
          mid('hairline', 4, 16),
          over(-2, 0.66),
          over(12, 0.4),
          at('browTail', 12, -8),
          at('cheekbone', 1, 6),
          at('cheekbone', -8, 34),
          at('mouthCorner', 13, 14),
        ],
        ref('beacon'),
        {
          label: 'Light in the mane',
          brush: 'round3',
          params: { count: 34, length: 11, lean: 14, press: 45, uneven: 70 },
        },
      ),
      line('fur', [mid('chin', 8, -19), mid('chin', 0, -20.5), mid('chin', -8, -19)], ref('gull'), {
        label: 'Beard',
        rule: 'none',
        brush: 'round4',
        params: { count: 9, length: 15, lean: 0, press: 45, uneven: 45 },
      }),
      lips(['plum'], { which: 'upper' }),
    ]
  },
)
