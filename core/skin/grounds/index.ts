import { offset, regionOf, signedArea, union, type Ring } from '../../geometry'
import type { Memo } from '../../memo'
import type { Canvas } from '../canvas'
import type { ZoneId } from '../zones'
import { armGround } from './arm'
import { boardGround } from './board'
import { faceGround } from './face'
import type { Ground } from './ground'

export { armMeasures, armProblems } from './arm'
export * from './ground'

/** What a person does that changes what can be painted on. */
interface Worn {
  readonly eyesClosed?: boolean
  /** Without hair: the skull is seen as it is, and nothing is kept off for hair. */
  readonly bald?: boolean
}

/** A ground weighs so much in a memo: a few fill it, as each holds a table of the relief. */
const WEIGHT = 400

/**
 * The ground of a canvas for a person of some age.
 * Throws RangeError with a sentence when such a face or arm cannot be.
 * @param memo keeps the last few, as each costs a table of the relief
 */
export function groundOf(
  canvas: Canvas,
  age: number,
  { eyesClosed = false, bald = false }: Worn = {},
  memo?: Memo,
): Ground {
  const key = JSON.stringify(['ground', canvas, grownFor(canvas, age), bald])
  const make = () => openGround(canvas, age, bald)
  const open = memo ? memo.recall(key, [], make, WEIGHT) : make()
  if (!eyesClosed || !open.face) return open
  return memo ? memo.recall(`shut ${key}`, [open], () => withLidsDown(open)) : withLidsDown(open)
}

/** The age that shapes a canvas: that of a grown person where the measures are known. */
const grownFor = (canvas: Canvas, age: number): number =>
  canvas.kind === 'face' && canvas.measures ? Math.min(age, 18) : age

/** Half the width of the crease that a lid closes over, mm (common practice). */
const CREASE = 4

/** The same ground with the eyes shut: the lids reach down over the openings. Everything else is shared. */
function withLidsDown(open: Ground): Ground {
  const lids = new Map<ZoneId, Ring>()
  const zone = (id: ZoneId): Ring | null => {
    const ring = open.zone(id)
    const side = id === 'left.lid' ? 'left' : id === 'right.lid' ? 'right' : null
    if (!ring || !side) return ring
    if (!lids.has(id)) {
      const eye = open.keepOuts.find(k => k.kind === 'eye' && k.side === side)!.ring
      const both = union([ring, eye].flatMap(r => regionOf([r], 'nonzero')))
      // The crease between them is skin of the lid too: grown and shrunk again, they close over it.
      const whole = offset(offset(both, CREASE), -CREASE)
      lids.set(
        id,
        whole.reduce((best, p) =>
          Math.abs(signedArea(p.outer)) > Math.abs(signedArea(best.outer)) ? p : best,
        ).outer,
      )
    }
    return lids.get(id)!
  }
  return Object.create(open, {
    eyesClosed: { value: true, enumerable: true },
    zone: { value: zone, enumerable: true },
  }) as Ground
}

function openGround(canvas: Canvas, age: number, bald: boolean): Ground {
  if (canvas.kind === 'arm') return armGround(canvas, age)
  return canvas.kind === 'board' ? boardGround(canvas, age) : faceGround(canvas, age, bald)
}
