import { pointsOf, ringCentroid, ringHolds, type Point, type Ring } from '../geometry'
import { FOLLOWS, handlingsOf, kindOf, openingNumbers, ownNumber, paintedOpenings, placementsOf, seatingOf, washRings, type Pass, type SheetStep, type World } from '../look'
import { deltaE, linearOf, useBy as useByOf, type Paint } from '../paint'
import { layOn, SEATS_MM } from '../skin'
import type { Stencil } from '../stencil'
import { ofSheets, paintPlaces, refOf, type Case, type Check } from './finding'
import { seatedNear } from './shift'

/** A sheet that bridges a hollow lets paint under it. */
export const seats = ofSheets(({ step, sheet, world }) => {
  const painted = paintedOpenings(step, world), all = placementsOf(step, world).map((p, i) => seatingOf(sheet, p, world, painted[i])), [worst] = [...all].sort((a, b) => a.seatedPressed - b.seatedPressed)
  if (!worst || worst.seatedPressed >= FOLLOWS) return []
  // Only of a texture can the openings that stand off be left out; a motif would lose a piece.
  const standing = new Set([...all[0]!.pressed].flatMap((gap, n) => gap > 2 * SEATS_MM ? [n] : [])), rest = (pass: Pass) => openingNumbers(pass, sheet).filter(n => !standing.has(n))
  let before: number | undefined
  const keptOver = (s: SheetStep) => [...overKept(s, sheet, world).values()].reduce((n, hit) => n + hit.size, 0), fixable = sheet.kind === 'texture' && standing.size > 0 && step.passes.every(p => rest(p).length > 0)
  return [{
    level: 'care', title: `Even pressed down ${Math.round(100 * worst.seatedPressed)} % of the openings seat`, why: `${worst.sentence} (estimate)`,
    fix: fixable ? { words: 'Dab only those that seat', sets: step.passes.map((p, i) => ({ path: ['passes', i, 'openings'], to: { use: 'chosen', numbers: rest(p) } })) } : seatedNear(step, sheet, world, s => keptOver(s) <= (before ??= keptOver(step))),
  }]
})

/** Points of an opening as it lies on the skin. */
function rim(o: Stencil['openings'][number], laid: { point: (p: Point) => Point }): Point[] {
  const step = Math.max(2, 2 * Math.floor(o.outer.length / 32)), points: Point[] = [laid.point(ringCentroid(o.outer))]
  for (let i = 0; i < o.outer.length; i += step) points.push(laid.point([o.outer[i]!, o.outer[i + 1]!]))
  return points
}

/** Openings of a step, or of its twin, that lie over an eye, a nostril, the mouth or hair, as the step numbers them, by what they lie over. */
function overKept(step: SheetStep, sheet: Stencil, world: World): Map<string, Set<number>> {
  const hits = new Map<string, Set<number>>(), own = ownNumber(step, world)
  placementsOf(step, world).forEach((placement, i) => {
    const laid = layOn(world.ground.surface, placement, true)
    for (const n of paintedOpenings(step, world)[i]!) {
      const o = sheet.openings[n]
      if (!o) continue
      const points = rim(o, laid)
      for (const { words, ring } of world.ground.keepOuts) {
        if (points.some(p => ringHolds(ring, ...p))) (hits.get(words) ?? hits.set(words, new Set()).get(words)!).add(i ? own(n) : n)
      }
    }
  })
  return hits
}

export const keepOut = ofSheets(({ step, sheet, world, look }) => {
  const hits = overKept(step, sheet, world), closed = look.skin.eyes === 'closed', named = [...hits.keys()].filter(w => w !== 'hair' && !(closed && w.endsWith('eye')))
  const onHair = hits.get('hair')?.size ?? 0, bad = new Set(named.flatMap(w => [...hits.get(w)!])), worst = named.some(w => w.endsWith('eye') || w.endsWith('nostril'))
  const without = (pass: Pass, drop: ReadonlySet<number>) => openingNumbers(pass, sheet).filter(n => !drop.has(n))
  const fixOf = (drop: ReadonlySet<number>) => step.passes.every(p => without(p, drop).length) ? { words: 'Leave those openings out', sets: step.passes.map((p, i) => ({ path: ['passes', i, 'openings'], to: { use: 'chosen', numbers: without(p, drop) } })) } : null
  const found: ReturnType<Check> = []
  if (bad.size) found.push({ level: worst ? 'stop' : 'care', title: `${bad.size} ${bad.size === 1 ? 'opening lies' : 'openings lie'} over the ${named.join(' and the ')}`, why: 'Paint must keep off open eyes, nostrils and the mouth.', fix: fixOf(bad) })
  if (onHair > 0.25 * sheet.openings.length) found.push({ level: 'tip', title: `${onHair} openings lie over hair`, why: 'They print on hair, not on skin: shift the sheet, or leave them out.', fix: fixOf(hits.get('hair')!) })
  return found
})

/** The painted side would face the skin. */
export const wipe: Check = ({ look, step, world }) => handlingsOf(look.steps, world).filter(h => h.stepId === step.id && h.what === 'wipe and flip').map(h => ({
  level: 'tip' as const, title: `Wipe ${h.twin ? 'before the twin' : 'first'}`, why: 'The side that comes onto the skin was painted before: wipe it, or have a second copy of the sheet in the drawer.', fix: null,
}))

/** Whether a step paints near an open eye or on the lips. */
function touches({ step, world }: Case, which: 'eyes' | 'lips'): boolean {
  const { ground } = world, zones = which === 'lips' ? ['lips'] as const : ['left.lid', 'right.lid', 'left.under-eye', 'right.under-eye'] as const, rings = zones.flatMap(z => ground.zone(z) ?? [])
  if (step.kind === 'wash') {
    const own = washRings(step, ground)
    return rings.some(r => holdsEvenly(own, ringCentroid(r)))
  }
  if (step.kind !== 'sheet') return (step.kind === 'lips' && which === 'lips') || kindOf(step).prints(step, world).some(print => print.rings.some(r => pointsOf(r).some(p => rings.some(z => ringHolds(z, ...p)))))
  const sheet = world.stencil(step.stencil), painted = paintedOpenings(step, world)
  return sheet !== undefined && placementsOf(step, world).some((placement, i) => {
    const laid = layOn(ground.surface, placement, true)
    return [...painted[i]!].some(n => sheet.openings[n] && rim(sheet.openings[n]!, laid).some(p => rings.some(r => ringHolds(r, ...p))))
  })
}
const holdsEvenly = (rings: readonly Ring[], p: Point): boolean => rings.reduce((inside, r) => ringHolds(r, ...p) ? !inside : inside, false)

/** The paint of the kit nearest in colour that may be used. */
function nearest(kit: readonly Paint[], colour: string, may: (p: Paint) => boolean): Paint | undefined {
  return kit.filter(p => p.strips.length === 0 && may(p)).sort((a, b) => deltaE(linearOf(a.colour), linearOf(colour)) - deltaE(linearOf(b.colour), linearOf(colour)))[0]
}

/** Paints that the label does not allow near eyes or on lips. */
export const safe: Check = (at) => {
  const found: ReturnType<Check> = [], eyes = touches(at, 'eyes'), lips = touches(at, 'lips')
  for (const { path, paint } of paintPlaces(at.step, at.world)) {
    if (!paint) continue
    const wrong = eyes && !paint.eyeSafe ? 'eyes' : lips && !paint.lipSafe ? 'lips' : null
    if (!wrong) continue
    const other = nearest(at.kit, paint.colour, p => (!eyes || p.eyeSafe) && (!lips || p.lipSafe))
    found.push({
      level: wrong === 'eyes' ? 'stop' : 'care', title: `${paint.name} is not for ${wrong === 'eyes' ? 'near the eyes' : 'lips'}`, why: `${paint.finish === 'neon' ? 'Neon colours keep away from eyes and lips. ' : ''}The product's label and local rules come first.`,
      fix: other ? { words: other.name, sets: [{ path, to: refOf(other) }] } : null,
    })
  }
  return found
}

/** Paints that were opened too long ago. */
export const useBy: Check = ({ step, world, kit, today }) => paintPlaces(step, world).flatMap(({ path, paint }) => {
  const day = paint && useByOf(paint)
  if (!paint || !day || day >= today) return []
  const other = nearest(kit, paint.colour, p => p.id !== paint.id && (useByOf(p) ?? today) >= today && p.eyeSafe >= paint.eyeSafe)
  return [{ level: 'care' as const, title: `${paint.name} is past its use-by`, why: `Opened ${paint.openedOn}, good for ${paint.months} months: until ${day}.`, fix: other ? { words: other.name, sets: [{ path, to: refOf(other) }] } : null }]
})
