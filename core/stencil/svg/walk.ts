import {
  boxOf,
  compose,
  IDENTITY,
  mapRing,
  regionOf,
  scaling,
  stretchOf,
  stroked,
  translation,
  union,
  type Affine,
  type Polygon,
  type Ring,
} from '../../geometry'
import { LIMITS } from '../assemble'
import { Budget, checkPoints, checkShapes, Crossings } from '../bounds'
import type { Cascade } from './cascade'
import { cutOf, within, type Mark } from './marks'
import { ringFromRun, SHAPES, shapeRuns, type Run } from './shapes'
import { closeRun, noteOddRings } from './oddRings'
import { styleOf, unitsOf, type Style } from './style'
import { aboutOrigin, parseTransform } from './transform'
import type { Element } from './tree'
import { fitted, viewBoxOf } from './viewport'

/** Elements that are never drawn where they stand. */
const SKIPPED = new Set(
  (
    'defs clipPath mask pattern marker symbol script style metadata title desc filter linearGradient ' +
    'radialGradient animate animateTransform animateMotion set'
  ).split(' '),
)
/** Elements that hold others. */
const GROUPS = new Set(['g', 'a', 'switch'])
/** A stroke up to this width is a line to cut along, and not a shape to cut out, mm (common practice). */
const CUT_LINE_MM = 1

/** Points that are clipped in one file at most, those of the clip counted every time. */
const MOST_CLIPPED = 6_000_000
const TOO_MUCH_CLIPPED =
  'The clips and masks of this file cut too many shapes. Unite them where they were drawn, and try again.'

const pointsOf = (region: readonly Polygon[]): number =>
  region.reduce((n, p) => n + p.outer.length + p.holes.reduce((h, r) => h + r.length, 0), 0) / 2

/** What stands around an element. */
interface Place {
  readonly toMm: Affine
  readonly style: Style
  /** Size of the nearest viewport, user units. */
  readonly view: readonly [number, number]
  readonly depth: number
}

/** Goes through the elements of a file, and gathers what they draw. */
export class Walk {
  /** The sheet's edge, where the file draws one. */
  edge: Ring | null = null
  private readonly ids = new Map<string, Element>()
  private readonly crossings = new Crossings()
  private points = 0
  private shapes = 0
  private elements = 0
  private readonly clipping = new Budget(MOST_CLIPPED, TOO_MUCH_CLIPPED)

  constructor(
    root: Element,
    private readonly cascade: Cascade,
    private readonly notes: Set<string>,
  ) {
    this.index(root, 0)
  }

  private index(element: Element, depth: number): void {
    if (depth > 200) throw new RangeError('The SVG is nested more than 200 deep; ungroup it and try again.')
    if (element.attrs.id && !this.ids.has(element.attrs.id)) this.ids.set(element.attrs.id, element)
    for (const child of element.children) this.index(child, depth + 1)
  }

  /** What some marks leave open. */
  openings(marks: readonly Mark[]): Polygon[] {
    this.crossings.among(marks.flatMap(m => m.region.flatMap(p => [p.outer, ...p.holes])))
    return cutOf(marks)
  }

  /** What the children of an element draw, in order. */
  children(element: Element, place: Place): Mark[] {
    return element.children.flatMap(child => this.visit(child, place))
  }

  private visit(element: Element, outer: Place): Mark[] {
    const { name } = element
    if (name === 'text' || name === 'image' || name === 'foreignObject') {
      this.notes.add(
        name === 'image'
          ? 'A picture was left out: only lines and shapes are cut.'
          : 'Text was left out: turn it into paths where it was drawn to have it cut.',
      )
      return []
    }
    if (SKIPPED.has(name) || element.attrs.id === 'guides') return []
    if (outer.depth > LIMITS.depth)
      throw new RangeError(`Groups are nested more than ${LIMITS.depth} deep; ungroup them and try again.`)
    if (++this.elements > LIMITS.points)
      throw new RangeError('The file draws more shapes than a stencil can hold; simplify it.')
    const declared = this.cascade.of(element)
    const style = styleOf(declared, outer.style)
    if (style.gone) return []
    const own = aboutOrigin(parseTransform(declared.get('transform')), declared.get('transform-origin'))
    const place: Place = { ...outer, toMm: compose(outer.toMm, own), style, depth: outer.depth + 1 }
    return this.clipped(element, declared, place, this.drawn(element, place))
  }

  private drawn(element: Element, place: Place): Mark[] {
    if (GROUPS.has(element.name)) return this.children(element, place)
    if (element.name === 'svg') return this.nested(element, element, place)
    if (element.name === 'use') return this.used(element, place)
    return SHAPES.has(element.name) && place.style.visible ? this.shape(element, place) : []
  }

  /** An svg within another, or a symbol that is used: it has a viewport of its own. */
  private nested(element: Element, sized: Element, place: Place): Mark[] {
    const side = (key: 'width' | 'height', whole: number): number => {
      const text = sized.attrs[key] ?? element.attrs[key]
      if (text?.trim().endsWith('%')) return (whole * parseFloat(text)) / 100
      return unitsOf(text) ?? whole
    }
    const width = side('width', place.view[0])
    const height = side('height', place.view[1])
    if (!(width > 0 && height > 0)) return []
    const at =
      element.name === 'svg'
        ? translation(unitsOf(element.attrs.x) ?? 0, unitsOf(element.attrs.y) ?? 0)
        : IDENTITY
    const box = viewBoxOf(element.attrs.viewBox)
    const here = compose(place.toMm, at)
    const inner = box ? fitted(box, width, height, element.attrs.preserveAspectRatio) : IDENTITY
    const view = box ? ([box[2], box[3]] as const) : ([width, height] as const)
    const marks = this.children(element, { ...place, toMm: compose(here, inner), view })
    const overflow = this.cascade.of(element).get('overflow')
    if (overflow === 'visible' || overflow === 'auto') return marks
    const port = mapRing(here, Float64Array.from([0, 0, width, 0, width, height, 0, height]))
    return this.inside(marks, regionOf([port], 'nonzero'))
  }

  /** Marks as far as they lie in a region. */
  private inside(marks: readonly Mark[], region: readonly Polygon[]): Mark[] {
    const own = pointsOf(region)
    for (const m of marks) this.clipping.spend(own + pointsOf(m.region))
    return within(marks, region)
  }

  private used(element: Element, place: Place): Mark[] {
    const href = element.attrs.href ?? ''
    if (!href.startsWith('#')) {
      this.notes.add('A reference to another file was left out.')
      return []
    }
    const target = this.ids.get(href.slice(1))
    if (!target) return []
    const shift = translation(unitsOf(element.attrs.x) ?? 0, unitsOf(element.attrs.y) ?? 0)
    const at = { ...place, toMm: compose(place.toMm, shift) }
    if (target.name !== 'symbol') return this.visit(target, at)
    const declared = this.cascade.of(target)
    const style = styleOf(declared, place.style)
    return style.gone ? [] : this.nested(target, element, { ...at, style })
  }

  /** Marks of an element within its clip path and its mask. */
  private clipped(
    element: Element,
    declared: ReadonlyMap<string, string>,
    place: Place,
    marks: Mark[],
  ): Mark[] {
    if (marks.length === 0) return marks
    let left = marks
    for (const what of ['clip-path', 'mask'] as const) {
      const id = /url\(\s*["']?#([^"')]+)["']?\s*\)/.exec(declared.get(what) ?? '')?.[1]
      const target = id === undefined ? undefined : this.ids.get(id)
      if (!target) continue
      const units = target.attrs[what === 'clip-path' ? 'clipPathUnits' : 'maskContentUnits']
      const toMm = units === 'objectBoundingBox' ? this.boxUnits(element, place) : place.toMm
      if (toMm) left = this.inside(left, this.windowOf(target, what, { ...place, toMm }))
      else this.notes.add('A clip or mask in units of its object was left out.')
    }
    return left
  }

  /** The map from shares of a shape's box to mm; null for what is no single shape. */
  private boxUnits(element: Element, place: Place): Affine | null {
    if (!SHAPES.has(element.name)) return null
    const runs = shapeRuns(element.name, element.attrs, stretchOf(place.toMm))
    const { minX, minY, maxX, maxY } = boxOf(Float64Array.from(runs.flatMap(r => r.points)))
    return compose(place.toMm, compose(translation(minX, minY), scaling(maxX - minX, maxY - minY)))
  }

  /** Where a clip path or a mask lets something through. */
  private windowOf(target: Element, what: 'clip-path' | 'mask', place: Place): Polygon[] {
    const declared = this.cascade.of(target)
    const own = aboutOrigin(parseTransform(declared.get('transform')), declared.get('transform-origin'))
    const at: Place = { ...place, toMm: compose(place.toMm, own), depth: place.depth + 1 }
    // What is drawn in them has the style of their own place, not of what they are used on.
    const base: Style = {
      ...styleOf(declared, at.style),
      fill: 'cut',
      stroke: 'none',
      visible: true,
      gone: false,
    }
    if (what === 'clip-path') {
      const marks = this.children(target, { ...at, style: { ...base, rule: base.clipRule } })
      return union(marks.flatMap(m => [...m.region]))
    }
    const marks = this.children(target, { ...at, style: base })
    const alpha = declared.get('mask-type') === 'alpha'
    // A mask lets through where it is light: paper there stands for white, and what is dark takes it away.
    return alpha
      ? union(marks.flatMap(m => [...m.region]))
      : cutOf(marks.map(({ region, paper }) => ({ region, paper: !paper })))
  }

  private shape(element: Element, { toMm, style }: Place): Mark[] {
    const isEdge = element.attrs.id === 'sheet'
    if (style.fill === 'none' && style.stroke === 'none' && !isEdge) return []
    const stretch = stretchOf(toMm)
    if (!Number.isFinite(stretch) || stretch === 0) return []
    checkShapes(++this.shapes)
    const runs = shapeRuns(element.name, element.attrs, stretch)
    const wide = style.strokeWidth * stretch
    const asLine = style.stroke !== 'none' && style.fill !== 'cut' && wide <= CUT_LINE_MM
    const rings = runs.flatMap(run => this.ringOf(run, element.name, toMm, stretch, asLine || isEdge))
    if (isEdge) {
      this.edge = rings[0] ?? this.edge
      return []
    }
    const marks: Mark[] = []
    if (rings.length && (asLine || style.fill !== 'none')) {
      // One fill rule a shape: the rings of one path decide together what is inside.
      this.crossings.among(rings)
      noteOddRings(rings, this.notes)
      marks.push({ region: regionOf(rings, style.rule), paper: !asLine && style.fill === 'paper' })
    }
    if (style.stroke !== 'none' && !asLine && wide > 0)
      marks.push({ region: this.strokeOf(runs, toMm, stretch, style), paper: style.stroke === 'paper' })
    if (style.stroke !== 'none' && style.dashed) this.notes.add('A dashed line was taken as a whole one.')
    return marks
  }

  /** A run as a ring in mm; nothing when it encloses nothing. */
  private ringOf(run: Run, name: string, toMm: Affine, stretch: number, mustClose: boolean): Ring[] {
    this.points += run.points.length / 2
    checkPoints(this.points)
    const ring = ringFromRun(run.points)
    if (!ring) return []
    const mm = mapRing(toMm, ring)
    if (!mm.every(Number.isFinite)) throw new RangeError(`A <${name}> has a coordinate that is not a number.`)
    // A fill closes every path by itself; a line to cut along must come back to its start.
    if (!run.closed && mustClose) closeRun(run.points, stretch, this.notes)
    return [mm]
  }

  /** What the stroke of some runs covers, mm. */
  private strokeOf(runs: readonly Run[], toMm: Affine, stretch: number, style: Style): Polygon[] {
    const { cap, join, miterLimit } = style
    const back = compose(toMm, scaling(1 / stretch))
    const pen = { width: style.strokeWidth * stretch, cap, join, miterLimit }
    // A tangle is told of before anything is clipped.
    this.crossings.among(runs.map(r => Float64Array.from(r.points)))
    const regions = runs.flatMap(({ points, closed }) =>
      // Worked out at true size in the shape's own frame, since a stroke is stretched with it.
      points.length < 4
        ? []
        : stroked(
            Float64Array.from(points, v => v * stretch),
            closed,
            pen,
          ),
    )
    return union(
      regions.map(p => ({
        outer: mapRing(back, p.outer),
        holes: p.holes.map(h => mapRing(back, h)),
      })),
    )
  }
}

/** Where the walk begins. */
export const startAt = (toMm: Affine, style: Style, view: readonly [number, number]): Place => ({
  toMm,
  style,
  view,
  depth: 0,
})
