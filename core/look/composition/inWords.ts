import { boxOf, EMPTY_BOX, ringHolds, type Point, type Ring } from '../../geometry'
import { colourWords, labOf, linearOf, skinClass } from '../../paint'
import { zoneAt, zoneWords, type Ground, type ZoneId } from '../../skin'
import { isKind, kindOf, openingNumbers, paintsOf, type Step, type World } from '../kinds'
import type { Look } from '../look'
import { whereIs } from '../placement'
import { listed } from './planning'

/** A look in words, for who does not see it. */
export interface LookInWords {
  /** What it is painted on, in how many steps. */
  readonly summary: string
  /** Each step from the skin up: what it is, its colours, where it lies. */
  readonly steps: readonly { readonly id: string; readonly words: string }[]
  /** Where nothing lies; null when there is no such zone. */
  readonly bare: string | null
}

/** Points across a shape along its longer side. */
const ACROSS = 28
/** A zone that has less than this share of a shape is not named. */
const SHARE = 0.12
/** At most so many zones are named. */
const MOST = 4

/** Points of the skin inside some rings, in even rows; the rings' own points where they are thinner than a row. */
function pointsWithin(rings: readonly Ring[]): Point[] {
  const box = rings.reduce((b, r) => boxOf(r, b), EMPTY_BOX)
  const step = Math.max(box.maxX - box.minX, box.maxY - box.minY, 1e-6) / ACROSS
  const inside: Point[] = []
  for (let y = box.minY + step / 2; y < box.maxY; y += step)
    for (let x = box.minX + step / 2; x < box.maxX; x += step)
      if (rings.some(r => ringHolds(r, x, y))) inside.push([x, y])
  if (inside.length > ACROSS) return inside
  return rings.flatMap(r => Array.from({ length: r.length / 2 }, (_, i): Point => [r[2 * i]!, r[2 * i + 1]!]))
}

/** Points that stand for where a step lies. */
const pointsOf = (step: Step, world: World): Point[] => {
  const rings = kindOf(step).silhouette(step, world)
  return rings.length ? pointsWithin(rings) : []
}

/** Zones in which points lie, with the share of them, the largest first. */
function zonesUnder(points: readonly Point[], world: World): [ZoneId, number][] {
  const counts = new Map<ZoneId, number>()
  for (const at of points) {
    const zone = zoneAt(world.ground, at)
    if (zone) counts.set(zone, (counts.get(zone) ?? 0) + 1)
  }
  return [...counts]
    .map(([id, n]): [ZoneId, number] => [id, n / points.length])
    .filter(([, share]) => share >= SHARE)
    .sort((a, b) => b[1] - a[1])
}

/** Zones in words, both sides of a pair as one: "both cheeks and the nose". */
function zonesInWords(zones: readonly ZoneId[], most = MOST): string {
  const words: string[] = []
  for (const id of zones) {
    const [, side, part] = /^(left|right)\.(.*)$/.exec(id) ?? []
    if (!part) words.push(`the ${zoneWords(id)}`)
    else {
      const other = `${side === 'left' ? 'right' : 'left'}.${part}` as ZoneId
      const both = `both ${part}s`
      if (zones.includes(other)) words.push(...(words.includes(both) ? [] : [both]))
      else words.push(`their ${zoneWords(id)}`)
    }
  }
  return listed(words.slice(0, most))
}

/** Zones that hold less than this of a shape do not tell where it lies. */
const TELLS = 0.35
/** unless it is larger than this, mm: then no landmark does. */
const LARGE = 60

/** How far points reach, mm. */
const acrossOf = (points: readonly Point[]): number => {
  const span = (list: readonly number[]) => Math.max(...list) - Math.min(...list)
  return Math.max(span(points.map(p => p[0])), span(points.map(p => p[1])))
}

/** Where a step lies: the zones that have a name of their own, else the nearest landmark. */
function placeInWords(step: Step, points: readonly Point[], world: World): string {
  if (!points.length) return ''
  const shares = zonesUnder(points, world)
  const named = shares.filter(([id]) => id !== 'face')
  const told = named.reduce((sum, [, share]) => sum + share, 0)
  if (named.length && (told >= TELLS || acrossOf(points) > LARGE))
    return `, on ${zonesInWords(named.map(([id]) => id))}`
  // Of a pair one side is told: the middle of both is where neither lies.
  const side = Math.sign(points[0]![0])
  const own = step.twin.rule === 'none' ? points : points.filter(p => Math.sign(p[0]) === side)
  const middle: Point = [mean(own.map(p => p[0])), mean(own.map(p => p[1]))]
  return `, by the ${whereIs(world.ground, middle).nearest.words}`
}
const mean = (list: readonly number[]): number => list.reduce((sum, v) => sum + v, 0) / list.length

/** What of a sheet's openings is painted, where that is not all of them. */
function openingsInWords(step: Step, world: World): string {
  const sheet = isKind('sheet', step) ? world.stencil(step.stencil) : undefined
  if (!sheet || !isKind('sheet', step)) return ''
  const painted = new Set(step.passes.flatMap(p => [...openingNumbers(p, sheet)])).size
  const all = sheet.openings.length
  return painted < all ? `, ${painted} of ${all} openings` : `, ${all} ${all === 1 ? 'opening' : 'openings'}`
}

/** Where a step lies in words, such as "on both cheeks"; empty when it lies nowhere. */
export const placeOf = (step: Step, world: World): string =>
  world.off?.has(step.id) ? '' : placeInWords(step, pointsOf(step, world), world).replace(/^, /, '')

function stepInWords(step: Step, number: number, points: readonly Point[], world: World): string {
  const kind = kindOf(step)
  const colours = [...new Set(paintsOf(step).map(({ name, colour }) => `${name} (${colourWords(colour)})`))]
  const off = world.off?.has(step.id)
  return [
    `${number}. ${kind.words}`,
    step.label && ` "${step.label}"`,
    openingsInWords(step, world),
    colours.length ? `, in ${listed(colours)}` : '',
    off ? '' : placeInWords(step, points, world),
    step.twin.rule === 'none' ? '' : ', with its twin',
    off ? ', left out now' : '',
    '.',
  ].join('')
}

/** A step in words: what it is, its colours, where it lies. */
export const stepAsWords = (step: Step, number: number, world: World): string =>
  stepInWords(step, number, pointsOf(step, world), world)

/** Zones that hang together with others and are not named as bare by themselves. */
const NOT_ALONE: readonly string[] = ['face', 'arm', 'muzzle']

/** The zones on which none of some points lies, by the points of each step. */
function bareZones(laid: readonly (readonly Point[])[], world: World): ZoneId[] {
  const taken = new Set(laid.flatMap(points => zonesUnder(points, world).map(([id]) => id)))
  return namedZones(world.ground).filter(id => !taken.has(id))
}
const namedZones = (ground: Ground): ZoneId[] =>
  ground.zones.filter(id => !NOT_ALONE.includes(id) && ground.zone(id) && reached(ground, id))

/** Whether points of a zone count as its own: those of a smaller zone within it do not. */
const reached = (ground: Ground, id: ZoneId): boolean => {
  const ring = ground.zone(id)!
  return pointsWithin([ring]).some(at => zoneAt(ground, at) === id)
}

/** A look in words: what lies where, in which colours, and what is bare. */
export function lookInWords(look: Look, world: World): LookInWords {
  const { steps } = look
  // Where each step lies, which is worked out once; nowhere when it is left out.
  const laid = steps.map(step => (world.off?.has(step.id) ? [] : pointsOf(step, world)))
  const bare = bareZones(laid, world)
  const on = world.ground.words
  return {
    summary: `${look.name}: ${/^[aeiou]/i.test(on) ? 'an' : 'a'} ${on}, ${look.skin.age} years, ${skinClass(labOf(linearOf(look.skin.colour)))} skin${look.skin.eyes === 'closed' ? ', eyes closed' : ''}. ${steps.length === 0 ? 'Nothing is painted yet' : steps.length === 1 ? 'One step' : `${steps.length} steps, from the skin up`}.`,
    steps: steps.map((step, i) => ({ id: step.id, words: stepInWords(step, i + 1, laid[i]!, world) })),
    bare: steps.length && bare.length ? zonesInWords(bare, Infinity) : null,
  }
}
