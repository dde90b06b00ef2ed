import { freshLook, freshSheet, NO_TWIN } from '../core/look'

const NAMES = [
  'scales',
  'moth',
  'feather',
  'leaf-spray',
  'honeycomb',
  'star-set',
  'swirl-large',
  'paw-set',
  'crown-crest',
  'fans',
]

/** A look of 20 stencils spread over the face, some of them with their twins. */
export const twenty = {
  ...freshLook('t', 'T'),
  steps: Array.from({ length: 20 }, (_, i) => ({
    ...freshSheet(`s${i}`, 's', NAMES[i % 10]!, [((i % 5) - 2) * 22, -40 + Math.floor(i / 5) * 28], {
      id: 'p',
      name: 'p',
      colour: ['#1F4E9A', '#F4F1EA', '#B3202C'][i % 3]!,
    }),
    tilt: 17 * i,
    ...(i % 4 === 0 && { twin: { ...NO_TWIN, rule: 'midline' as const } }),
  })),
}
