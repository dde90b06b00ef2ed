import DxfParser from 'dxf-parser'
import { boxOf, polygonArea, regionOf, signedArea, type Ring, ringHolds } from '../geometry'
import { assembleSheet, LIMITS } from './assemble'
import { checkPoints, checkShapes, Crossings } from './bounds'
import { chained } from './dxf/chains'
import { arcPoints, bulgePoints, ellipseArc, splinePoints, type Trace } from './dxf/curves'
import type { ReadOptions, SheetRead } from './readSvg'
import { ringFromRun } from './svg/shapes'

/**
 * Millimetres in one drawing unit, by the header variable $INSUNITS (DXF reference: 1 in, 2 ft, 4 mm, 5 cm, 6
 * m, 8 microinch, 9 mil, 13 micrometre, 14 dm).
 */
const MM_PER_INSUNIT: Readonly<Record<number, number>> = {
  1: 25.4,
  2: 304.8,
  4: 1,
  5: 10,
  6: 1000,
  8: 25.4e-6,
  9: 0.0254,
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

interface Vertex {
  x: number
  y: number
  bulge?: number
}
/** The fields of the parser's entities that are read here. */
interface Entity {
  type: string
  layer?: string
  vertices?: Vertex[]
  shape?: boolean
  center?: Vertex
  radius?: number
  startAngle?: number
  endAngle?: number
  majorAxisEndPoint?: Vertex
  axisRatio?: number
  degreeOfSplineCurve?: number
  knotValues?: number[]
  controlPoints?: Vertex[]
  fitPoints?: Vertex[]
  weights?: number[]
  closed?: boolean
}

/**
 * Reads a DXF file (text) into a sheet: LINE, LWPOLYLINE with bulges, CIRCLE, ARC, ELLIPSE and SPLINE; the
 * rest is passed over with a note.
 * Closed loops are openings by the even-odd rule. The sheet's edge is the loop on a layer called SHEET or
 * OUTLINE, else a loop that holds all others.
 * @param options.mmPerUnit real size of one drawing unit, when the file names none
 * @throws RangeError with one sentence saying what is wrong and what to do
 */
export function readDxf(text: string, options: ReadOptions = {}): SheetRead {
  if (text.startsWith('AutoCAD Binary DXF'))
    throw new RangeError('This is a binary DXF. Save it as text (ASCII) DXF, and try again.')
  if (!paired(text)) throw new RangeError(DAMAGED)
  let drawing: ReturnType<DxfParser['parseSync']>
  try {
    drawing = new DxfParser().parseSync(text)
  } catch {
    throw new RangeError(DAMAGED)
  }
  const entities = (drawing?.entities ?? []) as Entity[]
  const insunits = Number(drawing?.header?.$INSUNITS ?? 0)
  const k = options.mmPerUnit ?? MM_PER_INSUNIT[insunits] ?? 1
  const notes = new Set<string>()
  const { edges, loops } = collect(entities, k, notes)
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
      notes.add("The outermost loop was taken as the sheet's edge.")
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

function collect(
  entities: readonly Entity[],
  k: number,
  notes: Set<string>,
): { edges: Ring[]; loops: Ring[] } {
  const byLayer = new Map<string, Trace[]>()
  const edges: Ring[] = []
  const loops: Ring[] = []
  let points = 0
  for (const entity of entities) {
    const layer = (entity.layer ?? '').toUpperCase()
    const trace = traceOf(entity, 0.02 / k)
    if (!trace) {
      notes.add(`${entity.type} is not read and was left out.`)
      continue
    }
    points += trace.points.length / 2
    checkPoints(points)
    if (!trace.points.every(Number.isFinite))
      throw new RangeError(`A ${entity.type} has a coordinate that is not a number.`)
    const list = byLayer.get(layer)
    if (list) list.push(trace)
    else byLayer.set(layer, [trace])
  }
  for (const [layer, traces] of byLayer) {
    const into = layer === 'SHEET' || layer === 'OUTLINE' ? edges : loops
    // DXF counts y upward, the sheet downward.
    const take = (flat: number[]) => {
      const ring = ringFromRun(flat.map((v, i) => (i % 2 ? -v * k : v * k)))
      if (ring) into.push(ring)
      else notes.add('An opening without area was left out.')
    }
    traces.filter(t => t.closed).forEach(t => take(t.points))
    const {
      loops: joined,
      open,
      widest,
    } = chained(
      traces.filter(t => !t.closed),
      LIMITS.closeGapMm / k,
    )
    if (open !== null)
      throw new RangeError(`A path is open by ${(open * k).toFixed(1)} mm. Close it, and try again.`)
    if (widest * k > 1e-3) notes.add(`A path was closed across a gap of ${(widest * k).toFixed(2)} mm.`)
    joined.forEach(take)
  }
  return { edges, loops }
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
        e.axisRatio ?? 1,
        e.startAngle ?? 0,
        e.endAngle ?? 2 * Math.PI,
        tolerance,
      )
    case 'LWPOLYLINE':
    case 'POLYLINE': {
      const v = e.vertices ?? []
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
