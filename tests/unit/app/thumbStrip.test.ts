import fc from 'fast-check'
import { expect, it } from 'vitest'
import { freshLine, freshLook, freshOutline, groundFor, withSteps, type Look, type Step } from '#core/look'
import { BareSkinCache } from '#core/raster'
import { ground, paint, world as bareWorld } from '../world'
import { ThumbStrip } from '../../../app/workers/thumbStrip'

const PX = 0.25
const bares = new BareSkinCache(1e9)
const empty = freshLook('l', 'L')

/** Some steps, each in two forms, as an edit makes one of the other. */
const STEPS: readonly Step[] = [
  freshOutline('a', 'A', [0, 40], [paint('sky')], ground),
  freshOutline('a', 'A', [6, 44], [paint('rosehip')], ground),
  freshLine('b', 'teardrop', [20, 30], paint('soot'), ground, [0, 0]),
  freshLine('b', 'teardrop', [24, 36], paint('soot'), ground, [0, 0]),
  freshLine('c', 'swirl', [-30, 30], paint('gull'), ground, [0, 0]),
  freshOutline('d', 'D', [-20, 50], [paint('kelp')], ground),
]

async function stripOf(strip: ThumbStrip, look: Look, have: number | null) {
  const world = withSteps({ ...bareWorld, ground: groundFor(look) }, look.steps)
  const bare = bares.of(look, world.ground, PX)
  const key = (s: Step) => JSON.stringify([s, [...world.wetUnder!(s.id)]])
  return (await strip.update(look, { world, bare }, null, 'one ground', have, key))!
}

// A strip that goes on from another look on the same skin used to lack the pictures of its last steps.
it('has a picture after every step, the same as if it were painted at once, whatever it was before', async () => {
  const picked = fc.tuple(
    ...[...'abcd'].map(id => fc.constantFrom(undefined, ...STEPS.filter(s => s.id === id))),
  )
  const looks = fc.array(picked, { minLength: 2, maxLength: 5 })
  await fc.assert(
    fc.asyncProperty(looks, async list => {
      const strip = new ThumbStrip(() => Promise.resolve())
      let shown: Uint8ClampedArray[] = []
      let have: number | null = null
      for (const all of list) {
        const steps = all.filter(s => s !== undefined)
        const look = { ...empty, steps }
        const answer = await stripOf(strip, look, have)
        have = answer.strip
        shown = [...shown.slice(0, answer.from), ...answer.pictures.map(p => p.rgba)]
        const anew = await stripOf(new ThumbStrip(() => Promise.resolve()), look, null)
        expect(shown).toHaveLength(steps.length + 1)
        // Compared as bytes: asked one by one they take seconds.
        anew.pictures.forEach((p, i) =>
          expect(Buffer.compare(Buffer.from(shown[i]!.buffer), Buffer.from(p.rgba.buffer))).toBe(0),
        )
      }
    }),
    { numRuns: 20, seed: 5 },
  )
})
