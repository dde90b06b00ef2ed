import { deltaE, filmOver, HAIR_TAKES, linearOf, luminance, masstone, BROW_HAIR, OPAQUE_FILM } from '../paint'
import { isKind, kindOf, laidPaint, paintsOf, type Step, type World } from '../look'
import type { Case, Check, Fix } from './finding'

/** Less of the brows than this is touched and not painted, mm2 (common practice). */
const ON_BROWS = 25
/** Below this difference the hair is lost to the eye (CIEDE2000; common practice). */
const HIDDEN = 5
/** As many layers are worth counting: past them another way is better (common practice). */
const MOST_LAYERS = 8

/** The thickest film that a step lays, swatch films. */
const thickest = (step: Step, world: World): number =>
  Math.max(
    0,
    ...kindOf(step)
      .prints(step, { ...world, flat: true })
      .map(p => (p.particles ? 0 : p.film / OPAQUE_FILM)),
  )

/** The layers of a step, and how more of them are set; null for one that is not built up in layers. */
function layersOf(step: Step): { dabs: number; more: (n: number) => Fix['sets'] } | null {
  if (isKind('wash', step)) return { dabs: step.dabs, more: n => [{ path: ['dabs'], to: n }] }
  if (!isKind('sheet', step)) return null
  const dabs = Math.max(...step.passes.map(p => p.dabs))
  return {
    dabs,
    more: n => step.passes.map((_, i) => ({ path: ['passes', i, 'dabs'], to: n })),
  }
}

/** Paint that is lighter than the brows shows their hair, until enough of it lies on them. */
export const brows: Check = at => {
  const { step, world, cover, regions } = at
  const layers = layersOf(step)
  if (!layers || cover.area(regions.brows) < ON_BROWS) return []
  const hair = linearOf(BROW_HAIR)
  const film = thickest(step, world)
  const lightest = paintsOf(step)
    .map(p => laidPaint(p, world).optics)
    .sort((a, b) => luminance(masstone(b)) - luminance(masstone(a)))[0]
  if (!lightest || luminance(masstone(lightest)) < luminance(hair) + 0.12) return []
  const shows = (n: number): boolean => {
    const x = (film / layers.dabs) * n * HAIR_TAKES
    return deltaE(filmOver(lightest, x, hair), masstone(lightest)) > HIDDEN
  }
  if (!shows(layers.dabs)) return []
  let needed = layers.dabs + 1
  while (needed <= MOST_LAYERS && shows(needed)) needed++
  const now = `${layers.dabs} ${layers.dabs === 1 ? 'layer' : 'layers'}`
  return [
    {
      level: 'tip',
      title: 'Dark brows show through',
      why:
        needed > MOST_LAYERS
          ? `Hair takes about half the paint that skin does (estimate): not even ${MOST_LAYERS} layers of this would hide the brows. Leave them free, or take a paint that hides better.`
          : `Hair takes about half the paint that skin does (estimate): about ${needed} layers hide the brows, and there are ${now}.`,
      fix: needed > MOST_LAYERS ? null : { words: `${needed} layers`, sets: layers.more(needed) },
    },
  ]
}

/** From so many swatch films on a film cracks where the skin folds (common practice). */
const CRACKS = 1.8
/** Less of a place than this does not fold, mm2 (common practice). */
const FOLDS = 150

/** Thick paint cracks where the face moves. */
export const cracks: Check = ({ step, world, cover, regions }) => {
  const film = thickest(step, world)
  if (film < CRACKS) return []
  const places = [
    ...(cover.area(regions.forehead) > FOLDS ? ['the forehead'] : []),
    ...(cover.area(regions.smile) > FOLDS ? ['the smile lines'] : []),
  ]
  if (!places.length) return []
  return [
    {
      level: 'tip',
      title: 'Thick paint cracks where the face moves',
      why: `Over ${places.join(' and ')} a film of ${film.toFixed(1)} times opaque folds and cracks after a while (estimate). Fewer layers, or a better hiding paint, last longer.`,
      fix: fewerLayers(step, film),
    },
  ]
}

/** As few layers as hide without cracking. */
function fewerLayers(step: Step, film: number): Fix | null {
  const layers = layersOf(step)
  const n = layers && Math.floor((layers.dabs * CRACKS * 0.99) / film)
  return layers && n && n < layers.dabs ? { words: `${n} layers`, sets: layers.more(n) } : null
}

/** What oily or sweaty skin does to all paint: told once, of the whole sitting. */
export const oilySkin = ({ look }: Pick<Case, 'look'>): ReturnType<Check> =>
  look.skin.oily
    ? [
        {
          level: 'tip',
          title: 'Oily or sweaty skin',
          why: 'Paint holds about a fifth less, bleeds about a third farther and wears off sooner (estimates; the picture and the numbers count them in). Wipe and let the skin dry first; dab tacky, in thin layers.',
          fix: null,
        },
      ]
    : []
