import {
  areaOf,
  coverOf,
  freshAround,
  isKind,
  kindOf,
  loadPaints,
  otherSchools,
  paintsOf,
  passFilm,
  refOf,
  stepsOf,
  type Shows,
  type Step,
  type World,
  USUAL_WAYS,
} from '../look'
import {
  deltaE,
  filmOver,
  labOf,
  linearOf,
  opticsOfSwatch,
  OPAQUE_FILM,
  showsWords,
  type LinearRgb,
  type Paint,
} from '../paint'
import { ofSheets, type Case, type Check, type SheetCase } from './finding'
import { usable } from './label'

/** Hues farther apart than this are of another family, degrees. */
const FAMILY = 40
const hue = (c: LinearRgb) => {
  const { a, b } = labOf(c)
  return { angle: (Math.atan2(b, a) * 180) / Math.PI, chroma: Math.hypot(a, b) }
}

/**
 * Other paints of the kit that show better over a colour: of the same hue family first, then by how well they
 * show.
 */
export function betterPaints(
  kit: readonly Paint[],
  beneath: LinearRgb,
  film: number,
  than: number,
  like: LinearRgb | null,
): { paint: Paint; difference: number; sameFamily: boolean }[] {
  const own = like && hue(like)
  return kit
    .filter(p => p.strips.length === 0)
    .map(paint => {
      const over = filmOver(opticsOfSwatch(paint.overBlack, paint.overWhite), film / OPAQUE_FILM, beneath)
      const h = hue(over)
      const turn = own ? Math.abs(((h.angle - own.angle + 540) % 360) - 180) : 180
      return {
        paint,
        difference: deltaE(over, beneath),
        sameFamily: own !== null && (own.chroma < 12 ? h.chroma < 16 : h.chroma > 8 && turn < FAMILY),
      }
    })
    .filter(c => c.difference > Math.max(than + 4, 10))
    .sort((a, b) => Number(b.sameFamily) - Number(a.sameFamily) || b.difference - a.difference)
}

/** Films thinner than this are laid as a tone and not as a print, mg/cm2 (common practice). */
const THIN = 0.9
/** A tone that changes the colour beneath by less is not even seen as one (common practice). */
const FAINT = 1.5

/** Whether a print that hardly differs is meant so: little paint, of the hue that lies beneath. */
export function toned(
  step: Step,
  { beneath, median }: Pick<Shows, 'beneath' | 'median'>,
  world: World,
): boolean {
  const pass = isKind('sheet', step) ? step.passes.at(-1) : undefined
  const ground = hue(beneath)
  if (!pass || median < FAINT || (pass.charge === 1 && passFilm(pass, world) >= THIN)) return false
  return loadPaints(pass.load).every(({ id, colour }) => {
    const own = hue(linearOf(world.paint(id)?.colour ?? colour))
    const turn = Math.abs(((own.angle - ground.angle + 540) % 360) - 180)
    return own.chroma < 10 ? ground.chroma < 14 : ground.chroma > 6 && turn < FAMILY
  })
}

/** Whether a sheet prints a motif, which some painters always outline: a texture has no outline. */
const isMotif = ({ sheet, world }: SheetCase): boolean =>
  (world.ways ?? USUAL_WAYS).outline === 'all' && sheet.kind === 'motif'

/** A print that nobody sees needs another colour, a white under-base or an outline. */
export const contrast = ofSheets(at => {
  const { shows } = at
  if (!shows || toned(at.step, shows, at.world)) return []
  if (shows.median >= 10) return isMotif(at) ? outlined(at, shows) : []
  const lost = shows.median < 5
  const pass = at.step.passes.at(-1)!
  const best =
    pass.load.kind === 'one'
      ? betterPaints(usable(at), shows.beneath, passFilm(pass, at.world), shows.median, shows.colour)[0]
      : undefined
  return [
    {
      level: lost ? 'warning' : 'tip',
      title: lost ? 'Gets lost on what lies beneath' : 'Tone on tone',
      why: `Its colour differs by ${shows.median.toFixed(0)} (${showsWords(shows.median)}; from 10 on it reads, from 20 on across the room; estimate). ${lost ? 'Another colour, a white under-base or an outline makes it readable.' : 'Believable as texture; outline it where it must read.'}`,
      fix: best
        ? {
            words: `${best.paint.name} (${best.difference.toFixed(0)}${best.sameFamily ? ', same family' : ''})`,
            sets: [{ path: ['passes', at.step.passes.length - 1, 'load', 'paint'], to: refOf(best.paint) }],
          }
        : null,
    },
    ...underBase(at, shows),
    ...outlined(at, shows),
  ]
})

/**
 * A line around the print makes it readable: dark or light, whichever stands out more from what lies beneath.
 */
function outlined(at: SheetCase, shows: Shows) {
  const { step, look, index } = at
  const kit = usable(at)
  const has = look.steps.slice(index + 1).some(s => isKind('line', s) && stepsOf(s.of).includes(step.id))
  const over = (p: Paint) =>
    deltaE(filmOver(opticsOfSwatch(p.overBlack, p.overWhite), 1, shows.beneath), shows.beneath)
  const best = kit
    .filter(p => p.finish === 'matte' && p.strips.length === 0)
    .sort((a, b) => over(b) - over(a))[0]
  const school = (at.world.ways ?? USUAL_WAYS).outline
  if (has || !best || school === 'none' || (school === 'weak' && shows.median >= 10)) return []
  const readable = shows.median >= 10
  return [
    {
      level: 'tip' as const,
      title: readable ? 'Without an outline' : 'An outline would make it readable',
      why: `A thin line in ${best.name} differs from what lies beneath by ${over(best).toFixed(0)}. ${otherSchools('outline', school)}`,
      fix: {
        words: `Outline in ${best.name}`,
        sets: [],
        adds: [freshAround('new', 'outline', { use: 'step', step: step.id, openings: null }, refOf(best))],
      },
    },
  ]
}

/** Two colours nearer to one another than this are one line to the eye (CIEDE2000; common practice). */
const ONE_LINE = 5
/** Linework that lies on so large a share of itself on a line of its colour goes on from that (common practice). */
const GOES_ON = 0.25

/**
 * Whether linework goes on from an earlier line of its own colour, as lashes do from eyeliner: where they overlap
 * nothing need show, since both stand out from what lies around them.
 */
function goesOnFrom({ look, step, index, cover, world }: Case): boolean {
  const own = paintsOf(step).map(p => linearOf(p.colour))
  const whole = areaOf(cover.region)
  return look.steps.slice(0, index).some(below => {
    if (!kindOf(below).cautions.takesUpBase || world.off?.has(below.id)) return false
    const alike = paintsOf(below).some(p => own.some(c => deltaE(c, linearOf(p.colour)) < ONE_LINE))
    return alike && coverOf(below, world).area(cover.region) > GOES_ON * whole
  })
}

/** Linework and dots that nobody sees on what lies beneath. */
export const lineContrast: Check = at => {
  const { step, shows } = at
  const { takesUpBase } = kindOf(step).cautions
  if (!takesUpBase || !shows || shows.median === 0 || shows.median >= 10) return []
  if (goesOnFrom(at)) return []
  const [place, ...others] = kindOf(step).paintPlaces(step)
  const path = place && !others.length && !('strips' in place.ref) ? place.path : null
  const best = path ? betterPaints(usable(at), shows.beneath, 3, shows.median, shows.colour)[0] : undefined
  return [
    {
      level: shows.median < 5 ? ('warning' as const) : ('tip' as const),
      title: shows.median < 5 ? 'Gets lost on what lies beneath' : 'Hardly stands out',
      why: `Its colour differs by ${shows.median.toFixed(0)} from what lies beneath (${showsWords(shows.median)}; from 10 on it reads, from 20 on across the room).`,
      fix:
        best && path
          ? {
              words: `${best.paint.name} (${best.difference.toFixed(0)})`,
              sets: [{ path, to: refOf(best.paint) }],
            }
          : null,
    },
  ]
}

/**
 * A sheer light paint over a dark ground comes out grey: white under it, through the same openings, keeps it
 * bright.
 */
function underBase(at: SheetCase, shows: Shows) {
  const { step, world } = at
  const kit = usable(at)
  const pass = step.passes.at(-1)!
  const paint = pass.load.kind === 'one' ? world.paint(pass.load.paint.id) : undefined
  const white = kit.find(
    p =>
      p.finish === 'matte' &&
      p.strips.length === 0 &&
      labOf(filmOver(opticsOfSwatch(p.overBlack, p.overWhite), 1, [0, 0, 0])).l > 85,
  )
  if (!paint || !white || paint.id === white.id || step.passes.length > 7) return []
  const film = passFilm(pass, world) / OPAQUE_FILM
  const optics = opticsOfSwatch(paint.overBlack, paint.overWhite)
  const difference = deltaE(
    filmOver(optics, film, filmOver(opticsOfSwatch(white.overBlack, white.overWhite), film, shows.beneath)),
    shows.beneath,
  )
  if (difference < shows.median + 6) return []
  return [
    {
      level: 'tip' as const,
      title: 'A white under-base would lift it',
      why: `${paint.name} lets the dark beneath through. With ${white.name} dabbed first through the same openings it differs by ${difference.toFixed(0)} instead of ${shows.median.toFixed(0)}.`,
      fix: {
        words: `${white.name} first`,
        sets: [
          {
            path: ['passes'],
            to: [
              ...step.passes.slice(0, -1),
              { ...pass, load: { kind: 'one', paint: refOf(white) }, glitter: false },
              pass,
            ],
          },
        ],
      },
    },
  ]
}
