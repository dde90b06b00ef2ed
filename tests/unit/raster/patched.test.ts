import { describe, expect, it } from 'vitest'
import { groundFor, stepsOff, withSteps, type Look, type World } from '#core/look'
import { Memo } from '#core/memo'
import { BareSkinCache, IncrementalCompositor, type Patch } from '#core/raster'
import { prepared, readSvg } from '#core/stencil'
import { keyIn } from '../../../app/workers/stagePicture'
import { looks } from '../../../demo/looks'
import { paints } from '../../../demo/paints'
import { shelf, shelfSvg } from '../../../demo/shelf'

const sheets = new Map(
  shelf.map(({ id, name, kind }) => [id, prepared({ id, name, kind, ...readSvg(shelfSvg(id)).sheet })]),
)
const kit = new Map(paints.map(p => [p.id, p]))
const memo = new Memo()
const bares = new BareSkinCache(1e9)
const PX = 1

const worldOf = (look: Look): World =>
  withSteps(
    { ground: groundFor(look, memo), stencil: id => sheets.get(id), paint: id => kit.get(id), memo },
    look.steps,
    stepsOff(look),
  )

/** A picture that is brought up to looks by patches alone, as on the stage. */
class Patched {
  readonly rgba: Uint8ClampedArray<ArrayBuffer>
  private readonly painting: IncrementalCompositor
  private readonly width: number

  constructor(look: Look) {
    const bare = bares.of(look, groundFor(look, memo), PX)
    this.painting = new IncrementalCompositor(bare)
    this.width = bare.head.grid.width
    this.rgba = new Uint8ClampedArray(4 * bare.head.light.length)
  }
  show(look: Look): void {
    const world = worldOf(look)
    const keyOf = keyIn(look.steps, world, () => 0, 0)
    for (const _ of this.painting.toward(look.steps, world, keyOf)) void _
    const patch = this.painting.patch()
    if (patch) this.put(patch)
  }
  private put({ i0, j0, width, height, rgba }: Patch): void {
    for (let j = 0; j < height; j++)
      this.rgba.set(rgba.subarray(4 * j * width, 4 * (j + 1) * width), 4 * ((j0 + j) * this.width + i0))
  }
}

/** Looks with all kinds of steps: sponged, blended, wiped, drawn around others, on an arm. */
const NAMES = [
  'Heather Wing',
  'Night Harbour',
  'Frost Pane',
  'Tale Horse',
  'Silver Eel',
  'Koi Lantern',
  'Kelp Cuff',
]
const varied = looks.filter(l => NAMES.includes(l.name) && (!l.family || l.family.letter === 'A'))

describe('a picture that is patched', () => {
  it.each(varied.map(l => [l.name, l] as const))(
    'is that which is painted from nothing, whichever step goes, comes or moves: %s',
    (_, look) => {
      const patched = new Patched(look)
      const last = look.steps.length - 1
      const without = (n: number): Look => ({ ...look, steps: look.steps.filter((_, i) => i !== n) })
      const nudged = (n: number): Look => ({
        ...look,
        steps: look.steps.map((s, i) =>
          i === n && s.kind === 'sheet' ? { ...s, at: [s.at[0] + 3, s.at[1] - 2] as [number, number] } : s,
        ),
      })
      const sheet = look.steps.findIndex(s => s.kind === 'sheet')
      for (const next of [look, without(last), look, without(1), look, nudged(sheet), without(0)]) {
        patched.show(next)
        const fresh = new Patched(look)
        fresh.show(next)
        expect(Buffer.from(patched.rgba.buffer).equals(Buffer.from(fresh.rgba.buffer))).toBe(true)
      }
    },
  )
})
