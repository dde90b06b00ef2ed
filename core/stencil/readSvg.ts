import {
  compose,
  lengthInMm,
  mapRing,
  MM_PER_PX,
  polygonArea,
  regionOf,
  scaling,
  signedArea,
  splitLength,
  stretchOf,
  translation,
  union,
  type Affine,
  type Polygon,
  type Ring,
} from '../geometry'
import { ringFromRun, SHAPES, shapeRuns } from './svg/shapes'
import { ROOT_STYLE, styleOf, type Style } from './svg/style'
import { parseTransform } from './svg/transform'
import { parseTree, type Element } from './svg/tree'
import { assembleSheet, LIMITS } from './assemble'
import { checkPoints, checkShapes, Crossings } from './bounds'
import type { SheetGeometry } from './types'

/** How a file is read: the real size of one of its units, and whether sizes go unchecked. */
export interface ReadOptions {
  mmPerUnit?: number
  loose?: boolean
}

/** A sheet read from a file, with what was noticed on the way. */
export interface SheetRead {
  sheet: SheetGeometry
  notes: string[]
  sized: boolean
}

interface Walk {
  parts: Polygon[]
  edge: Ring | null
  points: number
  shapes: number
  crossings: Crossings
  notes: Set<string>
  ids: Map<string, Element>
  elements: number
}

/** Groups that hold guides, not cut-outs, and elements that are never drawn where they stand. */
const SKIPPED = new Set([
  'defs',
  'clipPath',
  'mask',
  'pattern',
  'marker',
  'symbol',
  'script',
  'style',
  'text',
  'image',
  'foreignObject',
  'metadata',
  'title',
  'desc',
  'filter',
  'linearGradient',
  'radialGradient',
  'animate',
  'set',
])

/**
 * Reads an SVG file into a sheet. Filled shapes, and closed shapes that are only stroked (cut lines), are
 * openings; the element with id "sheet" is the sheet's edge, else the page is; a group with id "guides" is
 * left out.
 * @param text the file's text
 * @param options.mmPerUnit real size of one user unit, when the file gives none
 * @returns the sheet in its own frame (mm, origin at the sheet's centre, +y down), notes, and whether the
 *   file gave a real size
 * @throws RangeError with one sentence saying what is wrong and what to do
 */
export function readSvg(text: string, options: ReadOptions = {}): SheetRead {
  const root = parseTree(text)
  const page = pageOf(root, options.mmPerUnit)
  const walk: Walk = {
    parts: [],
    edge: null,
    points: 0,
    shapes: 0,
    crossings: new Crossings(),
    notes: new Set(),
    ids: new Map(),
    elements: 0,
  }
  indexIds(root, walk.ids, 0)
  visitChildren(root, page.toMm, styleOf(root, ROOT_STYLE), walk, 0)
  walk.crossings.among(walk.parts.flatMap(p => [p.outer, ...p.holes]))
  return {
    sheet: assembleSheet(union(walk.parts), walk.edge ?? page.outline, options.loose),
    notes: [...walk.notes],
    sized: page.sized,
  }
}

interface Page {
  toMm: Affine
  outline: Ring | null
  sized: boolean
}

/**
 * The map from the root's user units to mm (SVG 1.1, sections 7.2 and 7.7: the viewBox is fitted into width x
 * height, centred).
 */
function pageOf(root: Element, mmPerUnit?: number): Page {
  const side = (key: 'width' | 'height'): number | null => {
    const text = root.attrs[key]
    if (text === undefined || text.trim().endsWith('%')) return null
    const mm = lengthInMm(text)
    if (mm === null || !(mm > 0))
      throw new RangeError(
        `The page's ${key} "${text.slice(0, 40)}" is not a size. Give it in mm, above zero.`,
      )
    return mm
  }
  const width = side('width')
  const height = side('height')
  const view =
    root.attrs.viewBox
      ?.trim()
      .split(/[\s,]+/)
      .map(Number) ?? null
  if (view && (view.length !== 4 || view.some(v => !Number.isFinite(v)) || !(view[2]! > 0 && view[3]! > 0))) {
    throw new RangeError(
      `The viewBox "${root.attrs.viewBox!.slice(0, 60)}" needs four numbers, with a width and height above zero.`,
    )
  }
  const unit = splitLength(root.attrs.width ?? '')?.unit
  const sized = mmPerUnit !== undefined || (width !== null && unit !== '' && unit !== 'px')
  const rect = (w: number, h: number): Ring => Float64Array.from([0, 0, w, 0, w, h, 0, h])
  if (!view) {
    const k = mmPerUnit ?? MM_PER_PX
    const w = width === null ? null : (width * k) / MM_PER_PX
    const h = height === null ? null : (height * k) / MM_PER_PX
    return { toMm: scaling(k), outline: w !== null && h !== null ? rect(w, h) : null, sized }
  }
  const [vx, vy, vw, vh] = view as [number, number, number, number]
  const k =
    mmPerUnit ??
    (width !== null && height !== null
      ? Math.min(width / vw, height / vh)
      : width !== null
        ? width / vw
        : height !== null
          ? height / vh
          : MM_PER_PX)
  const w = mmPerUnit !== undefined || width === null ? vw * k : width
  const h = mmPerUnit !== undefined || height === null ? vh * k : height
  const toMm = compose(
    translation((w - vw * k) / 2, (h - vh * k) / 2),
    compose(scaling(k), translation(-vx, -vy)),
  )
  return { toMm, outline: rect(w, h), sized }
}

function indexIds(element: Element, ids: Map<string, Element>, depth: number): void {
  if (depth > 200) throw new RangeError('The SVG is nested more than 200 deep; ungroup it and try again.')
  if (element.attrs.id && !ids.has(element.attrs.id)) ids.set(element.attrs.id, element)
  for (const child of element.children) indexIds(child, ids, depth + 1)
}

function visitChildren(element: Element, toMm: Affine, style: Style, walk: Walk, depth: number): void {
  for (const child of element.children) visit(child, toMm, style, walk, depth)
}

function visit(element: Element, outer: Affine, parent: Style, walk: Walk, depth: number): void {
  if (SKIPPED.has(element.name) || element.attrs.id === 'guides') return
  if (depth > LIMITS.depth)
    throw new RangeError(`Groups are nested more than ${LIMITS.depth} deep; ungroup them and try again.`)
  if (++walk.elements > LIMITS.points)
    throw new RangeError('The file draws more shapes than a sheet can hold; simplify it.')
  const style = styleOf(element, parent)
  if (style.hidden) return
  const toMm = compose(outer, parseTransform(element.attrs.transform))
  if (element.name === 'g' || element.name === 'a' || element.name === 'svg' || element.name === 'switch')
    visitChildren(element, toMm, style, walk, depth + 1)
  else if (element.name === 'use') visitUse(element, toMm, style, walk, depth)
  else if (SHAPES.has(element.name)) visitShape(element, toMm, style, walk)
}

function visitUse(element: Element, toMm: Affine, style: Style, walk: Walk, depth: number): void {
  const href = element.attrs.href ?? ''
  if (!href.startsWith('#')) {
    walk.notes.add('A reference to another file was left out.')
    return
  }
  const target = walk.ids.get(href.slice(1))
  if (!target) return
  const at = compose(toMm, translation(Number(element.attrs.x ?? 0) || 0, Number(element.attrs.y ?? 0) || 0))
  if (target.name === 'symbol') visitChildren(target, at, style, walk, depth + 1)
  else visit(target, at, style, walk, depth + 1)
}

function visitShape(element: Element, toMm: Affine, style: Style, walk: Walk): void {
  if (!style.fill && !style.stroke && element.attrs.id !== 'sheet') return
  const stretch = stretchOf(toMm)
  if (!Number.isFinite(stretch) || stretch === 0) return
  const rings: Ring[] = []
  checkShapes(++walk.shapes)
  for (const run of shapeRuns(element.name, element.attrs, stretch)) {
    walk.points += run.points.length / 2
    checkPoints(walk.points)
    const ring = ringFromRun(run.points)
    if (!ring) continue
    const mm = mapRing(toMm, ring)
    if (!mm.every(Number.isFinite))
      throw new RangeError(`A <${element.name}> has a coordinate that is not a number.`)
    if (!run.closed) closeRun(run.points, stretch, walk)
    rings.push(mm)
  }
  if (rings.length === 0) return
  if (element.attrs.id === 'sheet') walk.edge = rings[0]!
  // One fill rule a shape: the rings of one path decide together what is inside.
  else {
    walk.crossings.among(rings)
    noteOddRings(rings, walk)
    walk.parts.push(...regionOf(rings, style.rule))
  }
}

/** Lets an open path count as closed across a small gap only: what it encloses is a guess otherwise. */
function closeRun(points: readonly number[], mmPerUnit: number, walk: Walk): void {
  const gap = mmPerUnit * Math.hypot(points[0]! - points.at(-2)!, points[1]! - points.at(-1)!)
  if (gap >= LIMITS.closeGapMm)
    throw new RangeError(`A path is open by ${gap.toFixed(1)} mm. Close it, and try again.`)
  if (gap > 1e-3) walk.notes.add(`A path was closed across a gap of ${gap.toFixed(2)} mm.`)
}

/** Notes on rings that enclose nothing or cross themselves. */
function noteOddRings(rings: readonly Ring[], walk: Walk): void {
  for (const ring of rings) {
    const plain = Math.abs(signedArea(ring))
    const covered = regionOf([ring], 'nonzero').reduce((a, p) => a + polygonArea(p), 0)
    if (covered < LIMITS.leastAreaMm2) walk.notes.add('An opening without area was left out.')
    else if (Math.abs(covered - plain) > 0.002 * covered + 0.01)
      walk.notes.add(
        'A path crosses itself; what it encloses was taken by its fill rule. Look at it before you cut.',
      )
  }
}
