import { boxOf, type Box } from '#core/geometry'
import { isKind, kindOf, showsOf, type Look, type Pass, type Shows, type Step, type World } from '#core/look'
import { IncrementalCompositor, type Bare } from '#core/raster'
import { outcomeOf, type Outcome } from './outcomes'
import type { Picture } from './picture'

/** A pass dabbed in some way, where it lies: a picture of that place, with what comes of it. */
export interface Compared {
  readonly picture: Picture
  readonly outcome: Outcome | null
  readonly shows: Shows | null
}

/** Room that is shown round a place, mm. */
const ROOM = 4

/** A place of a picture, with a little room round it. */
export function cropped(
  rgba: Uint8ClampedArray<ArrayBuffer>,
  { head: { grid, chart } }: Bare,
  on: Box,
): Picture {
  const corners = chart.ring(
    Float64Array.of(on.minX, on.minY, on.maxX, on.minY, on.maxX, on.maxY, on.minX, on.maxY),
  )
  const box = boxOf(corners)
  const column = (x: number) => Math.round((x - grid.x0) * grid.pxPerMm)
  const row = (y: number) => Math.round((y - grid.y0) * grid.pxPerMm)
  const i0 = Math.max(0, column(box.minX - ROOM))
  const i1 = Math.min(grid.width, column(box.maxX + ROOM))
  const j0 = Math.max(0, row(box.minY - ROOM))
  const j1 = Math.min(grid.height, row(box.maxY + ROOM))
  const width = Math.max(1, i1 - i0)
  const height = Math.max(1, j1 - j0)
  const part = new Uint8ClampedArray(4 * width * height)
  for (let j = 0; j < height; j++) {
    const from = 4 * ((j + j0) * grid.width + i0)
    part.set(rgba.subarray(from, from + 4 * width), 4 * j * width)
  }
  return { rgba: part, width, height }
}

/**
 * A pass of a sheet dabbed in several ways: what lies beneath is painted once.
 * @param index which pass it is
 * @param passes the pass in each of the ways
 */
export function inWays(
  look: Look,
  stepId: string,
  index: number,
  passes: readonly Pass[],
  bare: Bare,
  worldOf: (look: Look) => World,
): Compared[] {
  const step = look.steps.find(s => s.id === stepId)
  if (!isKind('sheet', step)) return []
  const painting = new IncrementalCompositor(bare, true)
  const upTo = look.steps.findIndex(s => s.id === stepId) + 1
  return passes.map((pass, n) => {
    const tried: Step = { ...step, passes: step.passes.with(index, pass) }
    const steps = [...look.steps.slice(0, upTo - 1), tried]
    const world = worldOf({ ...look, steps })
    let shows: Shows | null = null
    for (const done of painting.toward(steps, world, s => (s.id === stepId ? `${n}` : s.id))) {
      const pairs = painting.compared()
      if (done.id === stepId && pairs.length) shows = showsOf(stepId, pairs, kindOf(done).judgedAt)
    }
    const outlines = kindOf(tried).boxes(tried, world)
    return {
      picture: cropped(painting.whole(), bare, outlines[0]!),
      outcome: outcomeOf(tried, world),
      shows,
    }
  })
}
