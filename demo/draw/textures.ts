import { difference, intersection, offset, type Point, type Polygon } from '../../core/geometry'
import { ellipsePoints } from '../../core/geometry/flatten'
import { among, disc, poly, polar, regions, type Shape } from './pen'
import type { Drawing } from './sheet'

const discRegion = (x: number, y: number, r: number): Polygon => ({
  outer: Float64Array.from(ellipsePoints(x, y, r, r, 0.02)),
  holes: [],
})
const inside = (w: number, h: number, margin: number) => (x: number, y: number, r: number) =>
  Math.abs(x) + r <= w / 2 - margin && Math.abs(y) + r <= h / 2 - margin

/** Overlapping scales: each disc less the two that lie over it, drawn back by half a bridge. */
function scales(): Drawing {
  const w = 120
  const h = 90
  const pitch = 12
  const rise = 5.6
  const r = pitch / 2
  const bridge = 1.3
  const fits = inside(w, h, 4)
  const shapes: Shape[] = []
  for (let row = -9; row <= 9; row++) {
    for (let col = -8; col <= 8; col++) {
      const x = (col + (row % 2 ? 0.5 : 0)) * pitch
      const y = row * rise
      if (!fits(x, y, r)) continue
      const over = [-1, 1].map(s => discRegion(x + (s * pitch) / 2, y - rise, r))
      shapes.push(...regions(offset(offset(difference([discRegion(x, y, r)], over), -bridge / 2 - 0.5), 0.5)))
    }
  }
  return {
    id: 'scales',
    name: 'Harbour Scales',
    kind: 'texture',
    tags: ['fish', 'sea', 'rows'],
    zones: ['forehead', 'cheek', 'temple'],
    width: w,
    height: h,
    shapes,
    heading: 180,
  }
}

const hexagon = (x: number, y: number, r: number): Point[] =>
  Array.from({ length: 6 }, (_, i) => polar(x, y, 60 * i, r))

function honeycomb(): Drawing {
  const w = 120
  const h = 90
  const pitch = 9.6
  const bridge = 1.5
  const fits = inside(w, h, 4.5)
  const r = (pitch - bridge) / Math.sqrt(3)
  const shapes: Shape[] = []
  for (let row = -7; row <= 7; row++) {
    for (let col = -8; col <= 8; col++) {
      const x = (col + (row % 2 ? 0.5 : 0)) * pitch
      const y = (row * pitch * Math.sqrt(3)) / 2
      if (!fits(x, y, r)) continue
      const hex: Polygon = { outer: Float64Array.from(hexagon(x, y, r).flat()), holes: [] }
      shapes.push(...regions(offset(offset([hex], -0.5), 0.5)))
    }
  }
  return {
    id: 'honeycomb',
    name: 'Honeycomb',
    kind: 'texture',
    tags: ['bee', 'hex'],
    zones: ['forehead', 'cheek', 'temple'],
    width: w,
    height: h,
    shapes,
    heading: 0,
  }
}

/**
 * The diamonds and the crosses share one lattice, so that the crosses fall on the middles of the diamonds.
 */
const LATTICE = { x: 10, y: 15 }
function latticeNodes(w: number, h: number, rx: number, ry: number): Point[] {
  const nodes: Point[] = []
  for (let row = -12; row <= 12; row++) {
    for (let col = -12; col <= 12; col++) {
      const x = (col + (row % 2 ? 0.5 : 0)) * LATTICE.x
      const y = (row * LATTICE.y) / 2
      if (Math.abs(x) + rx <= w / 2 - 4 && Math.abs(y) + ry <= h / 2 - 4) nodes.push([x, y])
    }
  }
  return nodes
}

function diamonds(): Drawing {
  const w = 110
  const h = 90
  const rx = LATTICE.x / 2 - 0.85
  const ry = LATTICE.y / 2 - 1.28
  return {
    id: 'diamonds',
    name: 'Harlequin Diamonds',
    kind: 'texture',
    tags: ['diamond', 'lattice'],
    zones: ['forehead', 'cheek', 'eye'],
    width: w,
    height: h,
    heading: 0,
    shapes: latticeNodes(w, h, rx, ry).map(([x, y]) =>
      poly([
        [x, y - ry],
        [x + rx, y],
        [x, y + ry],
        [x - rx, y],
      ]),
    ),
  }
}

function crosses(): Drawing {
  const w = 110
  const h = 90
  const spark = (x: number, y: number): Shape =>
    poly(Array.from({ length: 8 }, (_, i) => polar(x, y, 45 * i, i % 2 ? 0.75 : i % 4 ? 2 : 3)))
  return {
    id: 'crosses',
    name: 'Lattice Sparks',
    kind: 'texture',
    tags: ['diamond', 'lattice', 'cross'],
    zones: ['forehead', 'cheek', 'eye'],
    width: w,
    height: h,
    heading: 0,
    shapes: latticeNodes(w, h, LATTICE.x / 2 - 0.85, LATTICE.y / 2 - 1.28).map(([x, y]) => spark(x, y)),
  }
}

/** Dots that shrink from the middle of one edge outward and down. */
function halftone(): Drawing {
  const w = 130
  const h = 84
  const pitch = 4.4
  const fits = inside(w, h, 3.4)
  const shapes: Shape[] = []
  for (let row = -12; row <= 12; row++) {
    for (let col = -16; col <= 16; col++) {
      const x = (col + (row % 2 ? 0.5 : 0)) * pitch
      const y = row * pitch * 0.866
      const fade = Math.hypot(x / 66, (y + 42) / 84)
      const r = 1.42 * (1 - fade) + 0.38
      if (r > 0.4 && fits(x, y, r)) shapes.push(disc(x, y, r))
    }
  }
  return {
    id: 'halftone',
    name: 'Fading Halftone',
    kind: 'texture',
    tags: ['dots', 'comic'],
    zones: ['forehead', 'cheek', 'temple'],
    width: w,
    height: h,
    shapes,
    heading: 180,
  }
}

/** Bubbles packed at random, big ones first, none nearer than a bridge. */
function bubbles(): Drawing {
  const w = 105
  const h = 105
  const placed: [number, number, number][] = []
  const fits = inside(w, h, 4.5)
  const rim: Shape[] = []
  for (let i = 0; i < 9000; i++) {
    const r = i < 60 ? among(5, 7.5, i, 1) : i < 700 ? among(2.6, 4.4, i, 1) : among(0.8, 2, i, 1)
    const x = among(-w / 2, w / 2, i, 2)
    const y = among(-h / 2, h / 2, i, 3)
    if (fits(x, y, r) && placed.every(([u, v, q]) => Math.hypot(x - u, y - v) > r + q + 1))
      placed.push([x, y, r])
  }
  for (const [x, y, r] of placed) {
    if (r < 3.4) {
      rim.push(disc(x, y, r))
      continue
    }
    // Large bubbles keep a glint: a crescent joined to the sheet by two bridges.
    const glint = difference(
      [discRegion(x - r * 0.1, y - r * 0.1, r * 0.72)],
      [discRegion(x + r * 0.14, y + r * 0.14, r * 0.74)],
    )
    const bar = (from: number, to: number): Polygon => ({
      outer: Float64Array.from(
        [
          [from, -0.55],
          [to, -0.55],
          [to, 0.55],
          [from, 0.55],
        ].flatMap(([u, v]) => [x - (u! + v!) * Math.SQRT1_2, y - (u! - v!) * Math.SQRT1_2]),
      ),
      holes: [],
    })
    const tie = [bar(r * 0.55, r * 1.1)]
    const solid = [...glint, ...intersection(tie, [discRegion(x, y, r)])]
    rim.push(
      ...regions(
        offset(offset(difference([discRegion(x, y, r)], solid), -0.25), 0.25).filter(
          o => o.holes.length === 0,
        ),
      ),
    )
  }
  return {
    id: 'bubbles',
    name: 'Bubbles',
    kind: 'texture',
    tags: ['sea', 'dots'],
    zones: ['cheek', 'temple', 'forehead'],
    width: w,
    height: h,
    shapes: rim,
    heading: 0,
  }
}

export const textures = (): Drawing[] => [scales(), honeycomb(), diamonds(), crosses(), halftone(), bubbles()]
