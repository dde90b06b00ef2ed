import type { Source } from '../../document'
import { freshAround, freshDots } from '../freshMarks'
import type { DotsStep, LineStep } from '../../kinds'
import { made, type Starter } from './setting'

/** What goes around an arm or a placed sheet. */
export const FRAMES = {
  armFrame: {
    words: 'Arm frame',
    what: 'swirls and dots above and below',
    on: 'arm',
    make: made(({ line, dots, palette: p }) => [
      line(
        'swirl',
        [
          [-22, -58],
          [-29, -58],
          [4, -52],
        ],
        p.dark,
        { label: 'Swirl', rule: 'turn', params: { turns: 1.4, press: 60 } },
      ),
      line(
        'swirl',
        [
          [24, -56],
          [30, -56],
          [2, -66],
        ],
        p.accent,
        { label: 'Swirl back', rule: 'turn', params: { turns: 1.2, press: 50 } },
      ),
      dots(
        'row',
        [
          [-14, -66],
          [0, -70],
          [16, -68],
        ],
        p.light,
        'Dots',
        { count: 6, first: 3.4, last: 1.4 },
        'turn',
      ),
      line(
        'teardrop',
        [
          [0, -46],
          [0, -58],
        ],
        p.accent,
        { label: 'Drop', rule: 'turn', params: { press: 80 } },
      ),
    ]),
  },
  frame: {
    words: 'Frame a stencil',
    what: 'an outline and dots round the chosen stencil',
    on: 'sheet',
    make: made(({ palette: p, group }, { host, id, ground, focus }) => {
      if (!host) return []
      const of: Source = { use: 'step', step: host.id, openings: null }
      const outline: LineStep = {
        ...freshAround(id(), 'outline', of, p.dark),
        group,
        params: { press: 35, distance: 1.2 },
      }
      const dots: DotsStep = {
        ...freshDots(id(), 'around', [0, 0], of, p.light, ground, focus),
        group,
        params: { count: 26, first: 2.4, last: 1.2, distance: 5 },
      }
      return [outline, dots]
    }),
  },
} as const satisfies Record<string, Starter>
