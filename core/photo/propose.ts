import { centroidOf, type Point, type Polygon } from '../geometry'
import type { Analysis, SheetGeometry, StencilKind } from '../stencil'

/** What a sheet is taken for by its shape: to be looked at, not to be believed. */
export interface Proposal {
  readonly kind: StencilKind
  /** Degrees clockwise from up; null where nothing says that it points anywhere. */
  readonly heading: number | null
  readonly why: string
}

/** Openings of one sheet from which on it is a texture, also without a lattice. */
const MANY = 45
/** A sheet so many times as long as wide is a border. */
const LONG = 2.3
/** Least sides of sheets for half and whole faces, mm. Common practice. */
const FACE_MM = 130
const WIDE_MM = 115

/** How far the openings reach to both sides of an axis, summed on each of its halves. */
function spreadAlong(openings: readonly Polygon[], centre: Point, [ux, uy]: Point): [number, number] {
  const sums: [number, number] = [0, 0]
  for (const { outer } of openings)
    for (let i = 0; i < outer.length; i += 2) {
      const x = outer[i]! - centre[0]
      const y = outer[i + 1]! - centre[1]
      const side = x * ux + y * uy > 0 ? 0 : 1
      sums[side] = Math.max(sums[side], Math.abs(x * uy - y * ux))
    }
  return sums
}

/** Where a sheet points: along its only mirror axis, toward the narrower end. */
function headingOf({ openings }: SheetGeometry, { symmetry }: Analysis): number | null {
  const [axis, other] = symmetry.axes
  if (!axis || other) return null
  const angle = (axis.angle * Math.PI) / 180
  const up: Point = [Math.sin(angle), -Math.cos(angle)]
  const [toward, away] = spreadAlong(openings, centroidOf(openings), up)
  const heading = toward <= away ? axis.angle : axis.angle + 180
  return Math.round(((heading % 360) + 360) % 360)
}

/** What kind a sheet looks like, and where it points, by its size, symmetry and repeat. */
export function proposalFor(sheet: SheetGeometry, analysis: Analysis): Proposal {
  const { width, height } = sheet
  const long = Math.max(width, height) / Math.min(width, height)
  if (analysis.lattice) return { kind: 'texture', heading: null, why: 'its openings repeat on a lattice' }
  if (long >= LONG) return { kind: 'border', heading: null, why: 'it is long and narrow' }
  if (analysis.openings >= MANY)
    return { kind: 'texture', heading: null, why: `it has ${analysis.openings} openings` }
  const even = analysis.symmetry.axes.some(a => Math.abs(a.angle) < 10)
  const heading = headingOf(sheet, analysis)
  if (Math.max(width, height) >= FACE_MM)
    return even || Math.min(width, height) >= WIDE_MM
      ? { kind: 'full face', heading: null, why: 'it is as large as a face' }
      : { kind: 'half face', heading: null, why: 'it is as tall as a face and one-sided' }
  if (even && width > height && analysis.openings > 6)
    return { kind: 'crest', heading: heading ?? 0, why: 'both sides are alike and it is wider than tall' }
  return { kind: 'motif', heading, why: 'it is one small picture' }
}
