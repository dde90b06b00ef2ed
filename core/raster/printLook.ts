import type { Print } from '../look'
import type { Memo } from '../memo'
import { HAIR_TAKES, opacityOf, OPAQUE_FILM } from '../paint'
import { along, thinnedAt } from './along'
import { hash } from './grid'
import type { HeadPicture } from './head'
import { inkOver, inksOf, stepOf } from './inks'
import type { Mask } from './coverage'
import { boxOfMask, shared, type Painted, type PixelBox } from './painted'
import { layFlakes, layGem } from './particles'
import { maskOf } from './printMask'
import type { Before } from './dragged'
import { grainAt, textureOf, thicknessAt, type Texture } from './texture'
import { workOver } from './workOver'
import { LaidOnWet, type FilmInks, type Meeting } from './wetFilms'

/**
 * Lays one film on painted skin, in place, under what its cover says; see maskOf.
 * @param clip leaves all pixels outside it as they are
 * @param meeting what it finds beneath that is not dry; null where all is
 * @param before the skin as it was, for what runs into its surroundings
 */
export function layPrint(
  painted: Painted,
  print: Print,
  head: HeadPicture,
  grain: Float32Array,
  mask = maskOf(print, head),
  memo?: Memo,
  clip = boxOfMask(mask),
  meeting: Meeting | null = null,
  before?: Before,
): void {
  if (print.works) return workOver(painted, print.works, head, mask, clip, before)
  if (!print.particles) {
    const inks = inksFor(print, memo)
    if (!meeting && isPlain(inks.inks, print)) return layPlain(painted, head, grain, mask, inks, clip)
    const onWet = meeting && new LaidOnWet(meeting, inks, print.meets)
    return layFilm(painted, print, head, grain, mask, inks, clip, onWet)
  }
  if (print.particles.kind === 'gem') layGem(painted, print.particles, head, mask, clip)
  else layFlakes(painted, print.particles, head, mask, clip)
}

/** What a film is laid with: its inks, its thickness in swatch films and its texture. */
interface FilmLoad extends FilmInks {
  readonly swatches: number
  readonly texture: Texture
}

function inksFor(print: Print, memo: Memo | undefined): FilmLoad {
  const swatches = print.film / OPAQUE_FILM
  const texture = textureOf(print)
  const { swing, mean, rim } = texture
  const most = Math.max(0.02, (swatches * (1 + swing / 2) * (1 + rim)) / mean)
  return { inks: inksOf(print, most, memo), swatches, most, texture }
}

/** Whether a film is the same all over but for its grain: one paint without a sheen, on what is dry. */
const isPlain = ({ list }: FilmLoad['inks'], print: Print): boolean =>
  list.length === 1 &&
  list[0]!.glow === 0 &&
  list[0]!.sheen === 0 &&
  print.runsOut === undefined &&
  print.thins === undefined

/**
 * Lays a plain film as `layFilm` does, to the last bit: most films are plain, and so little is to be asked of
 * each pixel that they are laid in a third of the time.
 */
function layPlain(
  { paint, sheen }: Painted,
  head: HeadPicture,
  grain: Float32Array,
  mask: Mask,
  { inks, swatches, most, texture }: FilmLoad,
  clip: PixelBox,
): void {
  const { grid, skin, hair } = head
  const { table } = inks.list[0]!
  const { tool, swing, mean, rim, thin } = texture
  const { data: covers, spans } = mask
  const area = shared(clip, boxOfMask(mask))
  const last = table.length / 9 - 1
  const steps = ((swatches / mean) * last) / most
  for (let j = area.j0; j < area.j1; j++) {
    const y = grid.y0 + (j + 0.5) / grid.pxPerMm
    const i0 = spans ? Math.max(area.i0, mask.i0 + spans.first[j - mask.j0]!) : area.i0
    const i1 = spans ? Math.min(area.i1, mask.i0 + spans.end[j - mask.j0]!) : area.i1
    let p = j * grid.width + i0
    let m = (j - mask.j0) * mask.width + i0 - mask.i0
    for (let i = i0; i < i1; i++, p++, m++) {
      const cover = covers[m]!
      if (cover < 0.004) continue
      const a = cover * skin[p]!
      if (a < 0.002) continue
      const g = tool === 'sponge' ? grain[p]! : grainAt(tool, grid.x0 + (i + 0.5) / grid.pxPerMm, y)
      // What `thicknessAt` and `stepOf` say, written out: calls would cost as much again.
      const even = 1 + swing * (0.5 - g)
      const edge = cover > 0.5 ? rim * 16 * (cover - 0.5) * (1 - cover) : 0
      const thick =
        (even > 0 ? even : 0) * (1 - thin + thin * cover + edge) * (1 - (1 - HAIR_TAKES) * hair[p]!)
      const n = (thick * steps + 0.5) | 0
      const o = 9 * (n < last ? n : last)
      // Band by band, written out: of each pixel that is laid this is the most of the work.
      const q = 3 * p
      const red = paint[q]!
      const green = paint[q + 1]!
      const blue = paint[q + 2]!
      const onRed = red < 0.99 ? red : 0.99
      const onGreen = green < 0.99 ? green : 0.99
      const onBlue = blue < 0.99 ? blue : 0.99
      const r = table[o]!
      const gr = table[o + 3]!
      const b = table[o + 6]!
      paint[q] = red + ((r + onRed * table[o + 1]!) / (table[o + 2]! - onRed * r) - red) * a
      paint[q + 1] = green + ((gr + onGreen * table[o + 4]!) / (table[o + 5]! - onGreen * gr) - green) * a
      paint[q + 2] = blue + ((b + onBlue * table[o + 7]!) / (table[o + 8]! - onBlue * b) - blue) * a
      if (sheen[p]! > 0) sheen[p]! += -sheen[p]! * opacityOf((3 * swatches * thick) / mean) * a
    }
  }
}

function layFilm(
  { paint, sheen }: Painted,
  print: Print,
  head: HeadPicture,
  grain: Float32Array,
  mask: Mask,
  { inks, swatches, most, texture }: FilmLoad,
  clip: PixelBox,
  onWet: LaidOnWet | null,
): void {
  const { grid, chart, skin, hair } = head
  const single = inks.list.length === 1 ? inks.list[0]! : null
  const placed = !single || print.runsOut !== undefined || print.thins !== undefined
  const { tool } = texture
  const { data: covers, spans } = mask
  const area = shared(clip, boxOfMask(mask))
  // Written out by the pixel, without calls that make anything: this is where painting spends its time.
  for (let j = area.j0; j < area.j1; j++) {
    const y = grid.y0 + (j + 0.5) / grid.pxPerMm
    const i0 = spans ? Math.max(area.i0, mask.i0 + spans.first[j - mask.j0]!) : area.i0
    const i1 = spans ? Math.min(area.i1, mask.i0 + spans.end[j - mask.j0]!) : area.i1
    for (
      let i = i0, p = j * grid.width + i0, m = (j - mask.j0) * mask.width + i0 - mask.i0;
      i < i1;
      i++, p++, m++
    ) {
      const cover = covers[m]!
      if (cover < 0.004) continue
      const a = cover * skin[p]!
      if (a < 0.002) continue
      let n = 0
      let share = 1
      if (placed) {
        const at = chart.back([grid.x0 + (i + 0.5) / grid.pxPerMm, y])
        if (at) {
          const t = print.axis ? along(print.axis, at[0], at[1], mask.depth?.[m]) : 0
          if (!single) n = inks.at(t, hash(i, j, 5))
          share = thinnedAt(print, t, at[0], at[1])
        }
      }
      const ink = single ?? inks.list[n]!
      // Grain is thickness: a sponge leaves pores where little paint lies, and as much more beside them.
      const g = tool === 'sponge' ? grain[p]! : grainAt(tool, grid.x0 + (i + 0.5) / grid.pxPerMm, y)
      // Hair takes less of what passes over it than the skin does.
      const x = swatches * share * thicknessAt(texture, g, cover) * (1 - (1 - HAIR_TAKES) * hair[p]!)
      const { table, glow } = ink
      const row = 9 * stepOf(x, most)
      const shine = glow > 0 || ink.sheen > 0 || sheen[p]! > 0 ? opacityOf(3 * x) : 0
      if (onWet) onWet.lay(p, n, x, paint, a > 0.5)
      for (let b = 0; b < 3; b++) {
        const under = paint[3 * p + b]!
        let over = onWet ? onWet.over[b]! : inkOver(table, row + 3 * b, under < 0.99 ? under : 0.99)
        if (glow > 0) over += glow * over * shine
        paint[3 * p + b] = under + (over - under) * a
      }
      if (shine > 0) sheen[p]! += (ink.sheen * shine - sheen[p]! * shine) * a
    }
  }
}
