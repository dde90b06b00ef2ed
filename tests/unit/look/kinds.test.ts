import { describe, expect, it } from 'vitest'
import {
  applied,
  freeTwin,
  freshDots,
  freshGem,
  freshGlitter,
  freshGuide,
  freshLine,
  freshLips,
  freshLook,
  freshOutline,
  freshPull,
  freshRework,
  freshSheet,
  isMark,
  KINDS,
  kindOf,
  NO_TWIN,
  paintsOf,
  parseLook,
  withSteps,
  type Look,
  type MarkStep,
  type Step,
  type Transfer,
} from '#core/look'
import { boxOf, type Box, type Point, type Ring } from '#core/geometry'
import { ground, MIDLINE, paint, world as bare } from '../world'

// What the rest of the application counts on of every kind of step. A new kind needs a sample here.

const soot = paint('soot')
const gull = paint('gull')
const FOCUS: Point = [0, 0]

/** One of each kind, away from the midline, without a twin. */
const SAMPLES: Record<string, Step> = {
  wash: { ...freshOutline('wash', 'Base', [45, -25], [soot, gull], ground), free: ['eyes'] },
  sheet: freshSheet('sheet', 'Feather', 'feather', [42, 25], soot),
  line: freshLine('line', 'sCurve', [45, -25], soot, ground, FOCUS),
  dots: freshDots('dots', 'row', [45, -25], null, soot, ground, FOCUS),
  gem: { ...freshGem('gem', [45, -25], 'drop'), heading: 30 },
  glitter: freshGlitter('glitter', 'trail', [45, -25], null, ground),
  lips: freshLips('lips', [soot, gull]),
  pull: freshPull(
    'pull',
    'drawn',
    [45, -25],
    { kind: 'double', first: gull, second: soot, share: 0.4 },
    ground,
    FOCUS,
  ),
  guide: freshGuide('guide', 'line', [45, -25], ground),
  rework: freshRework('rework', 'wipe', 'outline', [45, -25], [], ground),
}
const samples = Object.entries(SAMPLES)
const marks = samples.filter((entry): entry is [string, MarkStep] => isMark(entry[1]))
/** The same with a twin across the midline. */
const twinned = marks.map(([name, step]) => [name, { ...step, twin: MIDLINE }] as [string, MarkStep])

const worldOf = (...steps: Step[]) => withSteps(bare, steps)
const lookOf = (...steps: Step[]): Look => ({ ...freshLook('l', 'L'), steps })
/** What it prints; of what prints nothing, where it lies. */
const ringsOf = (step: Step): readonly Ring[] => {
  const printed = kindOf(step)
    .prints(step, worldOf(step))
    .flatMap(p => p.rings)
  return printed.length ? printed : kindOf(step).silhouette(step, worldOf(step))
}

const joined = (boxes: readonly Box[]): Box => ({
  minX: Math.min(...boxes.map(b => b.minX)),
  minY: Math.min(...boxes.map(b => b.minY)),
  maxX: Math.max(...boxes.map(b => b.maxX)),
  maxY: Math.max(...boxes.map(b => b.maxY)),
})
const around = (rings: readonly Ring[]): Box => joined(rings.map(r => boxOf(r)))
/** How far the edges of two boxes lie apart at most, mm. */
const apart = (a: Box, b: Box): number =>
  Math.max(...(['minX', 'minY', 'maxX', 'maxY'] as const).map(side => Math.abs(a[side] - b[side])))
const middleOf = ({ minX, minY, maxX, maxY }: Box): Point => [(minX + maxX) / 2, (minY + maxY) / 2]
const width = (box: Box): number => Math.max(box.maxX - box.minX, box.maxY - box.minY)

/** A point that is surely painted: half-way between two edges of a ring across its middle. */
function somePaint(rings: readonly Ring[]): Point {
  const ring = [...rings].sort((a, b) => width(boxOf(b)) - width(boxOf(a)))[0]!
  const y = middleOf(boxOf(ring))[1]
  const crossings: number[] = []
  for (let i = 0, j = ring.length - 2; i < ring.length; j = i, i += 2) {
    const [x0, y0, x1, y1] = [ring[j]!, ring[j + 1]!, ring[i]!, ring[i + 1]!]
    if (y0 > y !== y1 > y) crossings.push(x0 + ((x1 - x0) * (y - y0)) / (y1 - y0))
  }
  const [left, right] = crossings.sort((a, b) => a - b)
  return [(left! + right!) / 2, y]
}

/**
 * How far boxes and silhouettes may lie from what is printed, mm: both are quick, and lay on the skin by a
 * coarser fan of geodesics.
 */
const TOLERANCE = { boxes: 1.5, silhouette: 1 }

/** Kinds that print nothing that another could go around. */
const LOOSE = ['glitter', 'rework', 'guide']

/** What lies at a path of a step. */
const at = (step: Step, path: readonly (string | number)[]): unknown =>
  path.reduce<unknown>((value, key) => (value as Record<string | number, unknown> | undefined)?.[key], step)

describe('every kind of step', () => {
  it('is in the table under its own name, and has a sample here', () => {
    for (const [name, kind] of Object.entries(KINDS)) expect(kind.kind).toBe(name)
    expect(samples.map(([name]) => name).sort()).toEqual(Object.keys(KINDS).sort())
  })

  it.each(samples)('%s survives being written and read', (_, step) => {
    const read = parseLook(JSON.parse(JSON.stringify(lookOf(step))))
    expect(read).toEqual({ ok: true, look: lookOf(step) })
  })

  it.each(samples)('%s is refused with a sentence when its name is a number', (name, step) => {
    const broken = { ...lookOf(step), steps: [{ ...step, label: 7 }] }
    const read = parseLook(JSON.parse(JSON.stringify(broken)))
    expect(read.ok).toBe(false)
    expect(read.ok ? [] : read.errors, name).toEqual([expect.stringContaining('label')])
  })

  it.each(samples)('%s names its paints where they are', (_, step) => {
    const kind = kindOf(step)
    for (const { path, ref } of kind.paintPlaces(step)) expect(at(step, path)).toEqual(ref)
    const ids = paintsOf(step).map(p => p.id)
    const laid = kind.lays(step, worldOf(step))
    for (const { refs, mg } of laid) {
      expect(mg).toBeGreaterThan(0)
      for (const { id } of refs) expect(ids).toContain(id)
    }
    expect(laid.length > 0).toBe(ids.length > 0)
  })

  it.each(samples)('%s shows only fields that it has', (_, step) => {
    const fields = kindOf(step).fields(step)
    expect(fields.length).toBeGreaterThan(0)
    for (const { path, label } of fields) {
      expect(label).toMatch(/\S/)
      if (path) expect(at(step, path.split('.')), path).not.toBeUndefined()
    }
  })

  it.each(samples)('%s says on the step sheet what it is, in words', (_, step) => {
    const lines = kindOf(step).lines(step, worldOf(step))
    expect(lines.length).toBeGreaterThan(0)
    for (const { label, text } of lines) expect(`${label}: ${text}`).not.toMatch(/undefined|NaN|null|: $/)
  })

  it.each(samples)('%s takes time', (_, step) => {
    const kind = kindOf(step)
    expect(kind.effort(step, worldOf(step)).seconds).toBeGreaterThan(0)
    expect(kind.dries(step, worldOf(step))).toBeGreaterThanOrEqual(0)
  })
})

describe('where a step lies', () => {
  it.each(samples)('%s prints rings that are shut and finite', (_, step) => {
    const prints = kindOf(step).prints(step, worldOf(step))
    // Of a mark to go by nothing is painted, whatever else it has.
    expect(prints.length > 0).toBe(step.kind !== 'guide')
    for (const { rings, spread, film, opacity, particles, works } of prints) {
      expect(film > 0 || particles !== undefined || works !== undefined).toBe(true)
      if (!works) expect(opacity).toBeGreaterThan(0)
      expect(opacity).toBeLessThanOrEqual(1)
      if (spread) expect(spread).toHaveLength(rings.length)
      for (const ring of rings) {
        expect(ring.length).toBeGreaterThanOrEqual(6)
        expect([...ring].every(Number.isFinite)).toBe(true)
      }
    }
  })

  it.each(samples)('%s tells its boxes, silhouette and contour from where it prints', (_, step) => {
    const kind = kindOf(step)
    const world = worldOf(step)
    const printed = around(ringsOf(step))
    expect(apart(joined(kind.boxes(step, world)), printed)).toBeLessThan(TOLERANCE.boxes)
    expect(apart(around(kind.silhouette(step, world)), printed)).toBeLessThan(TOLERANCE.silhouette)
    const contour = kind.contour(step, world, null)
    // Nothing goes around what is loose.
    expect(contour.length > 0).toBe(!LOOSE.includes(kind.kind))
    if (contour.length) expect(apart(around(contour), printed)).toBeLessThan(TOLERANCE.silhouette)
  })

  it.each(twinned)('%s has its twin on the other side, as large', (_, step) => {
    const { minX, maxX } = around(ringsOf(step))
    // The shade of a gem falls to the right of both.
    expect(Math.abs(maxX + minX)).toBeLessThan(0.8)
    expect(maxX - minX).toBeGreaterThan(60)
  })

  it.each(twinned)('%s is found under a tap, and its twin as the twin', (_, step) => {
    const { hit } = kindOf(step)
    const world = worldOf(step)
    const own = around(ringsOf({ ...step, twin: NO_TWIN } as Step))
    // Where it is a line, the middle of the box need not be paint.
    const [x, y] = somePaint(ringsOf({ ...step, twin: NO_TWIN } as Step))
    expect(hit(step, world, [x, y], false)).toEqual({ twin: false })
    expect(hit(step, world, [-x, y], false)).toEqual({ twin: true })
    expect(hit(step, world, [own.maxX + 10, own.maxY + 10], false)).toBeNull()
  })
})

describe('how a step moves', () => {
  const still: Transfer = { from: ground, to: ground, map: p => p, zones: ids => [...ids] }

  it.each(samples)('%s stays as it is on the canvas that it is on', (_, step) => {
    const carried = structuredClone(step)
    kindOf(carried).moves.carry(carried, still)
    expect(apart(around(ringsOf(carried)), around(ringsOf(step)))).toBeLessThan(0.2)
    expect(kindOf(step).moves.misfit(step, worldOf(step))).toBeNull()
  })

  it.each(marks)('%s moves with the skin under it', (_, step) => {
    const carried = structuredClone(step)
    const map = ([x, y]: Point): Point => [x + 4, y + 3]
    kindOf(carried).moves.carry(carried, { ...still, map })
    const [own, other] = [middleOf(around(ringsOf(step))), middleOf(around(ringsOf(carried)))]
    expect(other[0] - own[0]).toBeCloseTo(4, 0)
    expect(other[1] - own[1]).toBeCloseTo(3, 0)
  })

  it.each(marks)('%s grows about its middle, every length of it', (_, step) => {
    const { grow } = kindOf(step).moves
    const larger = structuredClone(step)
    grow(larger, worldOf(step), 1.5)
    const [before, after] = [around(ringsOf(step)), around(ringsOf(larger))]
    expect(width(after) / width(before)).toBeGreaterThan(1.25)
    expect(apart({ ...before, ...after }, after)).toBe(0)
    const again = structuredClone(larger)
    grow(again, worldOf(step), 1 / 1.5)
    expect(apart(around(ringsOf(again)), before)).toBeLessThan(0.6)
  })

  it.each(marks)('%s says so when it lies beside the skin', (_, step) => {
    const off = structuredClone(step)
    off.points = off.points.map(([x, y]) => [x + 400, y])
    const found = kindOf(off).moves.misfit(off, worldOf(off))
    expect(found?.sentence).toBe(`${step.label}: most of it lies beside the skin.`)
  })

  it.each(marks)('%s is aimed once for all', (_, step) => {
    const aimed = structuredClone(step)
    const kind = kindOf(aimed)
    const world = worldOf(step)
    kind.moves.aim(aimed, world, [10, 40])
    const once = structuredClone(aimed)
    kind.moves.aim(aimed, world, [10, 40])
    // Aimed at the same point again, it has nothing left to turn but the rounding of its numbers.
    expect(apart(around(ringsOf(once)), around(ringsOf(aimed)))).toBeLessThan(0.5)
  })

  it.each(twinned)('%s prints the same once its twin is a step of its own', (_, step) => {
    const world = worldOf(step)
    const look = applied(lookOf(step), freeTwin(step, 'twin', world))
    expect(look.steps.map(s => s.id)).toEqual([step.id, 'twin'])
    const together = around(ringsOf(step))
    const apiece = around(look.steps.flatMap(s => ringsOf(s)))
    expect(apart(together, apiece)).toBeLessThan(0.5)
    expect(look.steps.every(s => !isMark(s) || s.twin.rule === 'none')).toBe(true)
  })
})
