import { degrees, type Point } from '../../../geometry'
import {
  colourWords,
  hexOf,
  labDifference,
  labOf,
  linearOf,
  showsWords,
  type Lab,
  type LinearRgb,
  type Paint,
} from '../../../paint'
import { plainZone, zoneAt } from '../../../skin'
import type { Fit } from '../../../stencil'
import type { PaintRef } from '../../document'
import { paintsOf, type World } from '../../kinds'
import type { Look } from '../../look'

/** What alternatives are made from. */
export interface Sources {
  readonly look: Look
  readonly world: World
  readonly kit: readonly Paint[]
  /** Stencils that fit where the step lies, best first. */
  readonly fits: readonly Fit[]
  /** The colour that lies beneath. */
  readonly beneath: LinearRgb
}

/** A difference at which a print shows as well as can be, and for tone on tone the range, CIEDE2000. */
const SHOWS_FULLY = 28
const TONE = [6, 17] as const
/** As many of each are made: more are hardly better. */
const MOST = { contrast: 8, tone: 4 } as const
/** A colour with less chroma has no hue to speak of; hues within this are one, degrees (CIELAB). */
const GREY = 14
const ONE_HUE = 22

/** Hues that go with another one, degrees apart, in the words of painters (common practice). */
const HARMONIES = [
  [180, 'opposite in hue to'],
  [32, 'next in hue to'],
  [-32, 'next in hue to'],
  [120, 'a third of the circle from'],
  [-120, 'a third of the circle from'],
] as const

const chromaOf = ({ a, b }: Lab): number => Math.hypot(a, b)
const hueOf = ({ a, b }: Lab): number => degrees(Math.atan2(b, a))
const hueApart = (p: number, q: number): number => Math.abs(((p - q + 540) % 360) - 180)

export const labOfHex = (hex: string): Lab => labOf(linearOf(hex))

/** How a colour shows over another, 0 to 1. */
export const showsShare = (lab: Lab, beneath: Lab): number =>
  Math.min(1, Math.max(0.1, labDifference(lab, beneath) / SHOWS_FULLY))

/** Paints that may be used where a step lies. */
export function mayLie({ eyeSafe, lipSafe }: Paint, at: Point | null, { world }: Sources): boolean {
  const zone = at && zoneAt(world.ground, at)
  const plain = zone ? plainZone(zone) : ''
  if (['eye', 'lid', 'under-eye'].includes(plain)) return eyeSafe === true
  return plain !== 'lips' || lipSafe === true
}

/** The colour of the look, besides one step, that the eye goes to: the most colourful. */
function leadingColour(look: Look, but: string | null): PaintRef | null {
  const all = look.steps.filter(s => s.id !== but).flatMap(s => paintsOf(s))
  const byChroma = all.map(p => [chromaOf(labOfHex(p.colour)), p] as const).sort((p, q) => q[0] - p[0])
  return byChroma[0] && byChroma[0][0] > GREY ? byChroma[0][1] : null
}

interface Recolouring {
  readonly paint: Paint
  readonly why: string
  readonly worth: number
}

/** Paints that could take the place of a step's, each with why: by contrast, by harmony, tone on tone. */
export function recolourings(
  now: string,
  at: Point | null,
  but: string | null,
  sources: Sources,
): Recolouring[] {
  const { look, kit, beneath } = sources
  const below = labOf(beneath)
  const paints = kit
    .filter(p => !p.strips.length && p.id !== now && mayLie(p, at, sources))
    .map(paint => ({ paint, lab: labOfHex(paint.colour) }))
    .map(p => ({ ...p, off: labDifference(p.lab, below) }))
  const contrast = [...paints]
    .sort((p, q) => q.off - p.off)
    .slice(0, MOST.contrast)
    .map(({ paint, lab, off }) => ({
      paint,
      why: `${paint.name}: ${showsWords(off)}`,
      worth: showsShare(lab, below),
    }))
  const lead = leadingColour(look, but)
  const harmony = !lead
    ? []
    : HARMONIES.flatMap(([turn, words]) => {
        const wanted = hueOf(labOfHex(lead.colour)) + turn
        const near = paints
          .filter(p => chromaOf(p.lab) > GREY && hueApart(hueOf(p.lab), wanted) < ONE_HUE)
          .sort((p, q) => hueApart(hueOf(p.lab), wanted) - hueApart(hueOf(q.lab), wanted))[0]
        return near
          ? [
              {
                paint: near.paint,
                why: `${near.paint.name}: ${words} ${lead.name}`,
                worth: 0.9 * showsShare(near.lab, below),
              },
            ]
          : []
      })
  const ground = colourWords(hexOf(beneath))
  const tone = paints
    .filter(p => p.off >= TONE[0] && p.off <= TONE[1])
    .filter(p => chromaOf(p.lab) < GREY || hueApart(hueOf(p.lab), hueOf(below)) < 2 * ONE_HUE)
    .slice(0, MOST.tone)
    .map(({ paint }) => ({ paint, why: `${paint.name}: tone on tone over ${ground}`, worth: 0.6 }))
  // A paint is offered once, for the first reason that there is.
  return [...harmony, ...contrast, ...tone].filter(
    (r, i, all) => all.findIndex(o => o.paint.id === r.paint.id) === i,
  )
}
