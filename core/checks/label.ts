import { centroidOf } from '../geometry'
import { cakeRefOf, refOf } from '../look'
import {
  deltaE,
  labelFor,
  linearOf,
  paintOfStrip,
  partsOf,
  safeNear,
  useBy as useByOf,
  type Paint,
} from '../paint'
import { paintPlaces, type Case, type Check, type Fix, type KitPlace } from './finding'
import { keptOff } from './keepOff'
import { isLips, onShutLids } from './places'

/** Less paint than this near the eyes or on the lips is the edge of its neighbour, mm2 (common practice). */
const ON = 2

/** Which delicate places a step paints on: near the eyes, the lips. */
function delicate({ step, cover, regions }: Pick<Case, 'step' | 'cover' | 'regions'>): {
  eyes: boolean
  lips: boolean
} {
  return {
    eyes: onShutLids(step) || cover.area(regions.nearEyes) > ON,
    lips: isLips(step) || cover.area(regions.lips) > ON,
  }
}

/**
 * Paints of the kit that may be used where a step lies: by their labels, and not past their day. Fixes
 * propose none but these.
 */
export function usable(at: Case): Paint[] {
  const { eyes, lips } = delicate(at)
  return at.kit.filter(p => allowed(p, at, eyes, lips))
}

const allowed = (p: Paint, { kit, today }: Case, eyes: boolean, lips: boolean): boolean =>
  (!eyes || safeNear(p, 'eyes', kit)) &&
  (!lips || safeNear(p, 'lips', kit)) &&
  partsOf(p, kit).every(part => (useByOf(part) ?? today) >= today)

/** The paint nearest in colour that may be used there, of the same sort: a cake for a cake. */
function nearest(at: Case, { ref, path }: KitPlace): Fix | null {
  const cake = 'strips' in ref
  const all = usable(at).filter(p => p.id !== ref.id && p.strips.length > 0 === cake)
  const colours = 'strips' in ref && ref.strips.length ? ref.strips.map(s => s.colour) : [ref.colour]
  // Of a cake every strip should find one like it.
  const off = (p: Paint) => {
    const own = p.strips.length ? p.strips.map(s => s.colour) : [p.colour]
    const nearest = colours.map(c => Math.min(...own.map(o => deltaE(linearOf(o), linearOf(c)))))
    return nearest.reduce((sum, d) => sum + d, 0) / nearest.length
  }
  const best = all.sort((a, b) => off(a) - off(b))[0]
  return best ? { words: best.name, sets: [{ path, to: cake ? cakeRefOf(best) : refOf(best) }] } : null
}

/** The paint of a place with every paint in it; the strips are those that the kit's cake has now. */
function partsIn({ paint, strips }: KitPlace, kit: readonly Paint[]): Paint[] {
  if (!paint) return []
  if (!strips) return partsOf(paint, kit)
  // Of a cake of which only some strips are taken up, those alone count, where the kit knows each of them.
  const taken = paint.strips.filter((_, n) => strips.includes(n))
  const known = taken.flatMap(s => paintOfStrip(s, kit) ?? [])
  return known.length === taken.length && taken.length ? known : [paint, ...known]
}

/** Leaves the strips out that are cut from a paint, where others are left; null where it cannot. */
function withoutStrips(bad: Paint, { paint, strips, path }: KitPlace, kit: readonly Paint[]): Fix | null {
  if (!paint || !strips || path.at(-1) !== 'cake') return null
  const rest = strips.filter(n => {
    const strip = paint.strips[n]
    return strip !== undefined && paintOfStrip(strip, kit)?.id !== bad.id
  })
  return rest.length && rest.length < strips.length
    ? {
        words: `Leave its strip ${bad.name} out`,
        sets: [{ path: [...path.slice(0, -1), 'strips'], to: rest }],
      }
    : null
}

/**
 * Which of the paints in a place is the trouble: "its strip Flare Pink", or nothing when the paint itself is
 * named.
 */
const which = (part: Paint, { ref }: KitPlace): string =>
  part.id === ref.id ? part.name : `${ref.name}, for its strip ${part.name},`

/**
 * Paints that the label does not allow near eyes or on lips; a split cake is only as safe as each of its
 * strips.
 */
export const safe: Check = at => {
  const { step, world, kit, regions } = at
  const { eyes, lips } = delicate(at)
  if (!eyes && !lips) return []
  return paintPlaces(step, world).flatMap((place): ReturnType<Check> => {
    const parts = partsIn(place, kit)
    const lies = [...(eyes ? (['eyes'] as const) : []), ...(lips ? (['lips'] as const) : [])]
    // What is known to be unsafe is told before what nobody knows.
    const found = [false, null].flatMap(label =>
      lies.flatMap(what =>
        parts.flatMap(p => (labelFor(p, what) === label ? [{ bad: p, what, label }] : [])),
      ),
    )[0]
    if (!found) return []
    const { bad, what: wrong, label } = found
    const region = wrong === 'eyes' ? regions.nearEyes : regions.lips
    const clear = () => keptOff(step, { region, named: wrong, middle: centroidOf(region), most: ON }, world)
    return [
      {
        level: wrong === 'eyes' && label === false ? 'problem' : 'warning',
        title:
          label === false
            ? `${which(bad, place)} is not for ${wrong === 'eyes' ? 'near the eyes' : 'lips'}`
            : `${which(bad, place)} may not be for ${wrong === 'eyes' ? 'near the eyes' : 'lips'}`,
        why:
          label === false
            ? `${bad.finish === 'neon' ? 'Neon colours keep away from eyes and lips. ' : ''}The product's label and local rules come first.`
            : 'Nobody has entered what its label says, and unknown counts as not safe. Read the label and enter it on the Kit page, or take another paint.',
        fix: withoutStrips(bad, place, kit) ?? nearest(at, place) ?? clear(),
      },
    ]
  })
}

/** Paints that were opened too long ago, strips of cakes too. */
export const useBy: Check = at =>
  paintPlaces(at.step, at.world).flatMap((place): ReturnType<Check> => {
    const old = partsIn(place, at.kit).find(p => (useByOf(p) ?? at.today) < at.today)
    return old
      ? [
          {
            level: 'warning',
            title: `${which(old, place)} is past its use-by`,
            why: `Opened ${old.openedOn}, good for ${old.months} months: until ${useByOf(old)}.`,
            fix: nearest(at, place),
          },
        ]
      : []
  })

/** Strip cakes that are planned and not yet cut. */
export const toMake: Check = at =>
  paintPlaces(at.step, at.world).flatMap(({ paint }): ReturnType<Check> =>
    paint?.toMake
      ? [
          {
            level: 'tip',
            title: `${paint.name} is still to be made`,
            why: 'What to cut from which cake stands on the Kit page.',
            fix: null,
          },
        ]
      : [],
  )

/** Paints that are not in the kit: nothing is known of them, near the eyes least of all. */
export const lacking: Check = at => {
  const { eyes, lips } = delicate(at)
  const gone = paintPlaces(at.step, at.world).filter(p => !p.paint)
  return gone.map(place => ({
    level: eyes || lips ? 'warning' : 'tip',
    title: `${place.ref.name} is not in the kit`,
    why: `Its label and its age are not known${eyes || lips ? `, and it would lie ${eyes ? 'near the eyes' : 'on the lips'}` : ''}. Add it on the Kit page, or take another.`,
    fix: nearest(at, place),
  }))
}
