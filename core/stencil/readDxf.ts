import DxfParser from 'dxf-parser'
import {
  boxOf,
  IDENTITY,
  polygonArea,
  regionOf,
  ringHolds,
  signedArea,
  stretchOf,
  type Ring,
} from '../geometry'
import { assembleSheet, LIMITS } from './assemble'
import { checkPoints, checkShapes, Crossings } from './bounds'
import { chained } from './dxf/chains'
import { arcPoints, bulgePoints, ellipseArc, splinePoints, throughFitPoints, type Trace } from './dxf/curves'
import { distinct, distinctRings } from './dxf/distinct'
import {
  looksAway,
  mappedPoints,
  placedEntities,
  ROUND_READERS,
  type Drawing,
  type Entity,
  type Placed,
} from './dxf/entities'
import type { ReadOptions, SheetRead } from './readSvg'
import { ringFromRun } from './svg/shapes'

/** Millimetres in one drawing unit, by the header variable $INSUNITS (DXF reference). */
const MM_PER_INSUNIT: Readonly<Record<number, number>> = {
  1: 25.4,
  2: 304.8,
  4: 1,
  5: 10,
  6: 1000,
  // Microinch, mil, yard, ångström, nanometre, micrometre, decimetre.
  8: 25.4e-6,
  9: 0.0254,
  10: 914.4,
  11: 1e-7,
  12: 1e-6,
  13: 0.001,
  14: 100,
}

const DAMAGED = 'This DXF is damaged: it breaks off or holds something that is no DXF.'

/** Group codes with which an entity announces how many points, knots or the like follow (DXF reference). */
const ANNOUNCED: Readonly<Record<string, readonly string[]>> = {
  LWPOLYLINE: ['90'],
  SPLINE: ['72', '73', '74'],
  MESH: ['92', '93', '94', '95'],
  HATCH: ['91', '93', '75', '78'],
}

/**
 * Whether a file is made of pairs of lines, a group code and its value, in which every x (10) has its y (20)
 * after it, and no entity announces more than the file can hold: the parser runs in circles where it has not.
 */
function paired(text: string): boolean {
  const lines = text.split(/\r\n|\r|\n/)
  let x = false,
    announced: readonly string[] = []
  for (let i = 0; i + 1 < lines.length; i += 2) {
    const code = lines[i]!.trim()
    const value = lines[i + 1]!.trim()
    if (!/^-?\d{1,4}$/.test(code) || (x && code !== '20')) return false
    if (announced.includes(code) && !(Number(value) <= lines.length)) return false
    x = code === '10'
    if (code === '0') announced = ANNOUNCED[value] ?? []
    if (code === '0' && value === 'EOF') return true
  }
  return false
}

/**
 * Reads a DXF file (text) into a sheet: LINE, LWPOLYLINE with bulges, CIRCLE, ARC, ELLIPSE and SPLINE, also in
 * blocks wherever they are inserted; the rest is passed over with a note.
 * Closed loops are openings by the even-odd rule. The sheet's edge is the loop on a layer called SHEET or
 * OUTLINE, else a loop that holds all others.
 * @param options.mmPerUnit real size of one drawing unit, when the file names none
 * @throws RangeError with one sentence saying what is wrong and what to do
 */
export function readDxf(text: string, options: ReadOptions = {}): SheetRead {
  if (text.startsWith('AutoCAD Binary DXF'))
    throw new RangeError('This is a binary DXF. Save it as text (ASCII) DXF, and try again.')
  if (!paired(text)) throw new RangeError(DAMAGED)
  const drawing = parsed(text)
  const insunits = Number(drawing.header?.$INSUNITS ?? 0)
  const k = options.mmPerUnit ?? MM_PER_INSUNIT[insunits] ?? 1
  const notes = new Set<string>()
  const { edges, loops } = collect(placedEntities(drawing, notes), k, notes)
  if (loops.length + edges.length === 0)
    throw new RangeError(
      'The DXF has nothing to cut: no closed line, polyline, circle, arc, ellipse or spline was found.',
    )
  let edge = edges[0] ?? null,
    cut = loops
  if (!edge) {
    const holder = loops.find(
      ring => loops.length > 1 && loops.every(other => other === ring || holds(ring, other)),
    )
    if (holder) {
      edge = holder
      cut = loops.filter(ring => ring !== holder)
      notes.add("The outermost loop was taken as the stencil's edge.")
    }
  }
  checkShapes(cut.length)
  new Crossings().among(cut)
  for (const ring of cut) {
    const covered = regionOf([ring], 'nonzero').reduce((a, p) => a + polygonArea(p), 0)
    if (Math.abs(covered - Math.abs(signedArea(ring))) > 0.002 * covered + 0.01)
      notes.add(
        'A path crosses itself; what it encloses was taken by the even-odd rule. Look at it before you cut.',
      )
  }
  return {
    sheet: assembleSheet(regionOf(cut, 'evenodd'), edge, options.loose),
    notes: [...notes],
    sized: options.mmPerUnit !== undefined || MM_PER_INSUNIT[insunits] !== undefined,
  }
}

function parsed(text: string): Drawing & { header?: Record<string, unknown> } {
  const parser = new DxfParser()
  for (const reader of ROUND_READERS) parser.registerEntityHandler(reader as never)
  try {
    return (parser.parseSync(text) ?? {}) as Drawing & { header?: Record<string, unknown> }
  } catch {
    throw new RangeError(DAMAGED)
  }
}

const isEdge = (layer: string): boolean => layer === 'SHEET' || layer === 'OUTLINE'

/** Nothing lies farther from the origin of a drawing, mm. */
const FARTHEST_MM = 1e9

/** What placed entities draw, by layer, in drawing units. */
function tracesOf(placed: readonly Placed[], k: number, notes: Set<string>): Map<string, Trace[]> {
  const byLayer = new Map<string, Trace[]>()
  let points = 0
  for (const { entity, layer, map } of placed) {
    const own = traceOf(entity, 0.02 / (k * Math.max(1e-9, stretchOf(map))))
    if (!own) {
      notes.add(`${entity.type} is not read and was left out.`)
      continue
    }
    const trace = map === IDENTITY ? own : { ...own, points: mappedPoints(own.points, map) }
    points += trace.points.length / 2
    checkPoints(points)
    if (!trace.points.every(Number.isFinite))
      throw new RangeError(`A ${entity.type} has a coordinate that is not a number.`)
    // Clipping shapes of such a size never ends.
    if (trace.points.some(v => Math.abs(v) * k > FARTHEST_MM))
      throw new RangeError(`A ${entity.type} reaches farther than any stencil. Draw it anew, and try again.`)
    const list = byLayer.get(layer)
    if (list) list.push(trace)
    else byLayer.set(layer, [trace])
  }
  return byLayer
}

/** Closes some traces: those that close by themselves, and loops of the others. */
function closedOf(traces: readonly Trace[], k: number) {
  const found = chained(distinct(traces.filter(t => !t.closed)), LIMITS.closeGapMm / k)
  return { ...found, loops: [...traces.flatMap(t => (t.closed ? [t.points] : [])), ...found.loops] }
}

function collect(placed: readonly Placed[], k: number, notes: Set<string>): { edges: Ring[]; loops: Ring[] } {
  const edges: Ring[] = []
  const loops: Ring[] = []
  const byLayer = [...tracesOf(placed, k, notes)]
  const cuts = byLayer.filter(([layer]) => !isEdge(layer)).map(([, traces]) => traces)
  const apart = cuts.map(traces => closedOf(traces, k))
  // A loop whose pieces lie on several layers closes only when all of them are looked at together.
  const cut = apart.some(a => a.open !== null) ? [closedOf(cuts.flat(), k)] : apart
  const edge = byLayer.filter(([layer]) => isEdge(layer)).map(([, traces]) => closedOf(traces, k))
  for (const [found, into] of [...cut.map(f => [f, loops] as const), ...edge.map(f => [f, edges] as const)]) {
    if (found.open !== null)
      throw new RangeError(`A path is open by ${(found.open * k).toFixed(1)} mm. Close it, and try again.`)
    if (found.widest * k > 1e-3)
      notes.add(`A path was closed across a gap of ${(found.widest * k).toFixed(2)} mm.`)
    for (const flat of found.loops) {
      // DXF counts y upward, the sheet downward.
      const ring = ringFromRun(flat.map((v, i) => (i % 2 ? -v * k : v * k)))
      if (ring) into.push(ring)
      else notes.add('An opening without area was left out.')
    }
  }
  const once = distinctRings(loops)
  if (once.length < loops.length) notes.add('Outlines that were drawn twice were taken once.')
  return { edges, loops: once }
}

/** What an entity draws, in drawing units; null for one that is not read. */
function traceOf(e: Entity, tolerance: number): Trace | null {
  const c = e.center ?? { x: 0, y: 0 }
  const r = e.radius ?? 0
  if (r < 0) throw new RangeError(`A ${e.type} has the negative radius ${r}.`)
  switch (e.type) {
    case 'LINE':
      return { points: (e.vertices ?? []).flatMap(v => [v.x, v.y]), closed: false }
    case 'CIRCLE':
      return { points: arcPoints(c.x, c.y, r, 0, 2 * Math.PI, tolerance).slice(0, -2), closed: true }
    case 'ARC':
      return { points: arcPoints(c.x, c.y, r, e.startAngle ?? 0, e.endAngle ?? 0, tolerance), closed: false }
    case 'ELLIPSE':
      return ellipseArc(
        c.x,
        c.y,
        e.majorAxisEndPoint?.x ?? 0,
        e.majorAxisEndPoint?.y ?? 0,
        (looksAway(e) ? -1 : 1) * (e.axisRatio ?? 1),
        e.startAngle ?? 0,
        e.endAngle ?? 2 * Math.PI,
        tolerance,
      )
    case 'LWPOLYLINE':
    case 'POLYLINE': {
      // The frame that steers a curve is no part of it.
      const v = (e.vertices ?? []).filter(p => !p.splineControlPoint)
      const points: number[] = v[0] ? [v[0].x, v[0].y] : []
      for (let i = 0; i + 1 < v.length; i++)
        points.push(...bulgePoints(v[i]!.x, v[i]!.y, v[i + 1]!.x, v[i + 1]!.y, v[i]!.bulge ?? 0, tolerance))
      if (e.shape && v.length > 1)
        points.push(
          ...bulgePoints(v.at(-1)!.x, v.at(-1)!.y, v[0]!.x, v[0]!.y, v.at(-1)!.bulge ?? 0, tolerance),
        )
      return { points, closed: Boolean(e.shape) }
    }
    case 'SPLINE': {
      const control = (e.controlPoints ?? []).flatMap(v => [v.x, v.y])
      const fit = (e.fitPoints ?? []).flatMap(v => [v.x, v.y])
      if (control.length < 4 && fit.length >= 6) {
        const points = throughFitPoints(fit, Boolean(e.closed))
        return { points: e.closed ? points.slice(0, -2) : points, closed: Boolean(e.closed) }
      }
      if (!e.degreeOfSplineCurve || control.length < 4) return null
      const points = splinePoints(
        e.degreeOfSplineCurve,
        e.knotValues ?? [],
        control,
        e.weights?.length ? e.weights : null,
      )
      return { points, closed: Math.hypot(points[0]! - points.at(-2)!, points[1]! - points.at(-1)!) < 1e-6 }
    }
    default:
      return null
  }
}

/** Whether one loop lies in another: what only lies in its mouth does not. */
function holds(outer: Ring, inner: Ring): boolean {
  const a = boxOf(outer)
  const b = boxOf(inner)
  if (a.minX > b.minX || a.maxX < b.maxX || a.minY > b.minY || a.maxY < b.maxY) return false
  const every = Math.max(2, 2 * Math.floor(inner.length / 64))
  for (let i = 0; i < inner.length; i += every) if (!ringHolds(outer, inner[i]!, inner[i + 1]!)) return false
  return true
}
