// Draws a sheet of bare heads, by age above and by hair below: npm run heads
import { encode } from 'fast-png'
import { writeFileSync } from 'node:fs'
import { freshLook, groundFor, type Look } from '../core/look'
import { BareSkinCache, finishedPicture } from '../core/raster'
import { faceOf, FACES_TO_BEGIN, HAIR_CUTS, traitsToBegin } from '../core/skin'

const PX = 1
const AGES = [3, 5, 7, 10, 14, 30, 55, 75]
const SKINS = ['#d9a98a', '#4f3222', '#e6bd9e', '#b07a52', '#f3d6c2', '#84522f', '#d9a98a', '#b07a52']
const HAIRS = ['#8a5a33', '#1c1512', '#1c1512', '#3a2a20', '#c9a66b', '#1c1512', '#8c3f1f', '#3a2a20']

const IRISES = ['#7890a2', '#3f2a1c', '#3f2a1c', '#6b4a2c', '#6e7d55', '#3f2a1c', '#8a7a4a', '#6b4a2c']

type Skin = Partial<Look['skin']>
/** A look without steps: the n-th of the faces to begin with. */
function bare(n: number, skin: Skin, build: 'broad' | 'fine' = 'fine'): Look {
  const plain = freshLook('head', 'Head')
  if (plain.canvas.kind !== 'face') return plain
  const canvas = { ...plain.canvas, build }
  const usual = faceOf(canvas, skin.age ?? 30).form.traits
  return {
    ...plain,
    canvas: { ...canvas, traits: traitsToBegin(n, usual) },
    skin: { ...plain.skin, ...skin },
  }
}

const heads = [
  ...AGES.map(age => bare(0, { age, colour: '#e6bd9e' })),
  ...HAIR_CUTS.map((cut, n) =>
    bare(n % FACES_TO_BEGIN, { cut, hair: HAIRS[n]!, iris: IRISES[n]!, colour: SKINS[n]! }),
  ),
  ...HAIR_CUTS.map((cut, n) =>
    bare(
      (n + 3) % FACES_TO_BEGIN,
      { cut, age: 8, hair: HAIRS[7 - n]!, iris: IRISES[7 - n]!, colour: SKINS[7 - n]! },
      'broad',
    ),
  ),
].map(look => {
  const { head } = new BareSkinCache(1e9).of(look, groundFor(look), PX)
  return { rgba: finishedPicture(head), ...head.grid }
})

const columns = AGES.length
const wide = Math.max(...heads.map(h => h.width))
const tall = Math.max(...heads.map(h => h.height))
const rows = heads.length / columns
const data = new Uint8Array(4 * wide * columns * tall * rows)
for (let p = 0; p < data.length; p += 4) data.set([233, 230, 224, 255], p)
heads.forEach(({ rgba, width, height }, n) => {
  const x = (n % columns) * wide + Math.floor((wide - width) / 2)
  const y = Math.floor(n / columns) * tall + tall - height
  for (let j = 0; j < height; j++)
    data.set(rgba.subarray(4 * j * width, 4 * (j + 1) * width), 4 * ((y + j) * wide * columns + x))
})
writeFileSync('docs/heads.png', encode({ width: wide * columns, height: tall * rows, data, channels: 4 }))
