import {
  boxOf,
  intersection,
  mirrored,
  offset,
  regionOf,
  ringHolds,
  ringOf,
  signedArea,
  union,
  type Box,
  type Point,
  type Ring,
} from '../geometry'
import type { Memo } from '../memo'
import { canvasWords, type ArmCanvas, type BoardCanvas, type Canvas, type FaceCanvas } from './canvas'
import { chartOf, SAME, type Chart } from './chart'
import { faceOf, type Face } from './faces/face'
import { hairRing } from './faces/hair'
import { landmarkList, type NamedLandmark } from './faces/landmarks'
import { monotoneCubic } from './profile'
import { reliefOf, silhouetteOf, type Relief } from './relief'
import {
  cone,
  halfWidthOfGirth,
  heightField,
  PLANE,
  tabulated,
  type ConeSurface,
  type Surface,
} from './surface'
import { arcLengthChart, type Wrap } from './wrap'
import {
  ARM_ZONES,
  FACE_ZONES,
  keepOutsOf,
  zoneRing,
  type ArmZone,
  type FaceZone,
  type KeepOut,
  type ZoneId,
} from './zones'

/** What a look is painted on, worked out: its skin, its features, its zones and how a picture shows it. Lengths mm. */
export interface Ground {
  readonly kind: Canvas['kind']
  readonly canvas: Canvas
  readonly words: string
  /** The part of the picture plane that a picture shows. */
  readonly box: Readonly<Box>
  readonly surface: Surface
  /** From skin coordinates to the picture seen from the front. */
  readonly front: Chart
  /** A chart that leaves steep skin its width, for views from the side. */
  readonly wrap: () => Wrap
  /** Named features, for the guides and for words. */
  readonly marks: readonly NamedLandmark[]
  /** The face that is painted or printed; null on an arm. */
  readonly face: Face | null
  /** The relief of a face; null on an arm and on a board. */
  readonly relief: Relief | null
  readonly arm: { readonly surface: ConeSurface; readonly length: number; readonly canvas: ArmCanvas } | null
  readonly zones: readonly ZoneId[]
  /** The outline of a zone in skin coordinates; null when this ground has no such zone. */
  readonly zone: (id: ZoneId) => Ring | null
  readonly keepOuts: readonly KeepOut[]
  /** Whether the eyes are shut: their lids then lie over what is an opening else. */
  readonly eyesClosed: boolean
  /** Where there is skin to paint at all, in skin coordinates. */
  readonly extent: readonly Ring[]
}

/** Width against height of every picture, so that cards and the stage look alike. */
const RATIO = 208 / 286

/** A box grown to the pictures' proportions about its middle. */
function framed({ minX, minY, maxX, maxY }: Box): Box {
  const w = maxX - minX
  const h = maxY - minY
  const more = w < h * RATIO ? (h * RATIO - w) / 2 : 0
  const taller = w > h * RATIO ? (w / RATIO - h) / 2 : 0
  return { minX: minX - more, maxX: maxX + more, minY: minY - taller, maxY: maxY + taller }
}

const lazily = <T>(make: () => T): (() => T) => {
  let value: T | undefined
  return () => (value ??= make())
}

/** A ground weighs so much in a memo: a few fill it, as each holds a table of the relief. */
const WEIGHT = 400

/**
 * The ground of a canvas for a person of some age.
 * Throws RangeError with a sentence when such a face or arm cannot be.
 * @param memo keeps the last few, as each costs a table of the relief
 */
export function groundOf(canvas: Canvas, age: number, eyesClosed = false, memo?: Memo): Ground {
  const key = JSON.stringify(['ground', canvas, grownFor(canvas, age)])
  const make = () => openGround(canvas, age)
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
    const side = id === 'left.lid' ? 'left eye' : id === 'right.lid' ? 'right eye' : null
    if (!ring || !side) return ring
    if (!lids.has(id)) {
      const eye = open.keepOuts.find(k => k.words === side)!.ring
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

function openGround(canvas: Canvas, age: number): Ground {
  if (canvas.kind === 'arm') return armGround(canvas, age)
  return canvas.kind === 'board' ? boardGround(canvas, age) : faceGround(canvas, age)
}

function zonesOfFace(face: Face): Pick<Ground, 'zones' | 'zone'> {
  const rings = new Map<ZoneId, Ring>()
  return {
    zones: FACE_ZONES,
    zone(id) {
      if (!FACE_ZONES.includes(id as FaceZone)) return null
      if (!rings.has(id)) rings.set(id, zoneRing(face, id as FaceZone))
      return rings.get(id)!
    },
  }
}

function faceGround(canvas: FaceCanvas, age: number): Ground {
  const face = faceOf(canvas, age)
  const relief = reliefOf(face)
  const { form, landmarks } = face
  const outline = ringOf(silhouetteOf(face, relief))
  const skull = boxOf(outline)
  const { kx, ky } = form
  const reach: Box = {
    minX: skull.minX - 10,
    maxX: skull.maxX + 10,
    minY: skull.minY - 6,
    maxY: skull.maxY + 6,
  }
  const surface = lazily(() => heightField(tabulated(relief.z, reach), reach))
  const part = partOf(canvas.part, kx, ky)
  const wide = Math.max(skull.maxX * 1.42, 84)
  const extent = part
    ? intersection([{ outer: outline, holes: [] }], [{ outer: part, holes: [] }]).map(p => p.outer)
    : [outline]
  const whole = framed({
    minX: -wide,
    maxX: wide,
    minY: form.crown - 15 * form.skullHeight,
    maxY: landmarks.mid.chin[1] + 32 * ky,
  })
  const shown = part ? extent.reduce((b, r) => boxOf(r, b), boxOf(extent[0]!)) : null
  return {
    kind: 'face',
    eyesClosed: false,
    canvas,
    words: canvasWords(canvas),
    face,
    relief,
    arm: null,
    front: SAME,
    marks: landmarkList(landmarks),
    extent,
    ...zonesOfFace(face),
    box: shown
      ? framed({ minX: shown.minX - 8, maxX: shown.maxX + 8, minY: shown.minY - 8, maxY: shown.maxY + 8 })
      : whole,
    keepOuts: [...keepOutsOf(face), { words: 'hair', ring: hairRing(form) }],
    get surface() {
      return surface()
    },
    wrap: lazily(() => arcLengthChart(relief.z, y => relief.mask(0, y), skull)),
  }
}

/** The rectangle that a part of a face is cut out with; null for the whole. Left is the left of the picture. */
function partOf(part: FaceCanvas['part'], kx: number, ky: number): Ring | null {
  if (part === 'whole') return null
  const [x0, x1, y0, y1] = part.endsWith('half') ? [-3, 200, -300, 300] : [9 * kx, 200, 10 * ky, 96 * ky]
  const out = part.startsWith('left') ? -1 : 1
  return ringOf(
    (
      [
        [x0, y0],
        [x1, y0],
        [x1, y1],
        [x0, y1],
      ] as Point[]
    ).map(([x, y]): Point => [out * x, y]),
  )
}

const A4 = { minX: -105, maxX: 105, minY: -148.5, maxY: 148.5 }

/** The printed face stands a little above the middle of the paper. */
function boardGround(canvas: BoardCanvas, age: number): Ground {
  const face = faceOf({ build: canvas.build, measures: null, nudges: {} }, age)
  const paper = { minX: A4.minX, maxX: A4.maxX, minY: A4.minY + 12, maxY: A4.maxY + 12 }
  const ring = ringOf([
    [paper.minX, paper.minY],
    [paper.maxX, paper.minY],
    [paper.maxX, paper.maxY],
    [paper.minX, paper.maxY],
  ])
  return {
    kind: 'board',
    eyesClosed: false,
    canvas,
    words: canvasWords(canvas),
    face,
    relief: null,
    arm: null,
    front: SAME,
    marks: landmarkList(face.landmarks),
    extent: [ring],
    ...zonesOfFace(face),
    surface: PLANE,
    box: framed({ minX: paper.minX - 6, maxX: paper.maxX + 6, minY: paper.minY - 6, maxY: paper.maxY + 6 }),
    keepOuts: keepOutsOf(face),
    wrap: () => ({ chart: SAME, box: paper }),
  }
}

/** Girth at the upper and lower end and length of a grown arm, mm, and the fraction reached at 3, 6, 10, 14 and 18 years (common practice, coarse). */
const GROWN_ARM = {
  'forearm': { upper: 262, lower: 168, length: 240 },
  'upper arm': { upper: 300, lower: 265, length: 270 },
} as const
const ages = [3, 6, 10, 14, 18]
const girthGrown = monotoneCubic(ages.map((a, i) => [a, [0.6, 0.66, 0.77, 0.9, 1][i]!] as const))
const lengthGrown = monotoneCubic(ages.map((a, i) => [a, [0.56, 0.69, 0.83, 0.95, 1][i]!] as const))
/** Depth of an arm against its width (common practice). */
const FLAT = 0.84

/** The measures that an arm of some age has when nobody measured it. */
export function armMeasures(
  { part }: Pick<ArmCanvas, 'part'>,
  age: number,
): NonNullable<ArmCanvas['measures']> {
  const g = GROWN_ARM[part]
  const tenth = (v: number) => Math.round(v)
  return {
    upper: tenth(g.upper * girthGrown(age)),
    lower: tenth(g.lower * girthGrown(age)),
    length: tenth(g.length * lengthGrown(age)),
  }
}

/** What is wrong with an arm's measures, one sentence each. */
export function armProblems({ upper, lower, length }: NonNullable<ArmCanvas['measures']>): string[] {
  const problems: string[] = []
  for (const [words, value, least, most] of [
    ['girth at the upper end', upper, 90, 600],
    ['girth at the lower end', lower, 80, 600],
    ['length', length, 80, 420],
  ] as const) {
    if (!(value >= least && value <= most))
      problems.push(`An arm's ${words} of ${value} mm cannot be: it is between ${least} and ${most} mm.`)
  }
  if (problems.length === 0 && (lower > upper * 1.3 || upper > lower * 2.4))
    problems.push(`An arm does not go from ${upper} to ${lower} mm of girth: measure both again.`)
  return problems
}

function armGround(canvas: ArmCanvas, age: number): Ground {
  const m = canvas.measures ?? armMeasures(canvas, age)
  const wrong = armProblems(m)
  if (wrong.length) throw new RangeError(wrong.join(' '))
  const top = halfWidthOfGirth(m.upper, FLAT)
  const end = halfWidthOfGirth(m.lower, FLAT)
  const surface = cone({ half: (top + end) / 2, growth: (end - top) / m.length, flat: FLAT })
  const y0 = -m.length / 2
  const y1 = m.length / 2
  const thumb = canvas.side === 'left' ? -1 : 1
  /** A band round the arm between two heights, as far round as a share of half a turn. */
  const band = (from: number, to: number, round = 0.999): Ring => {
    const points: Point[] = []
    for (let i = 0; i <= 12; i++)
      points.push([
        surface.across(Math.PI * round, from + ((to - from) * i) / 12),
        from + ((to - from) * i) / 12,
      ])
    return ringOf([...points, ...points.map(mirrored).reverse()])
  }
  const third = m.length / 3
  const bands: Record<ArmZone, Ring> = {
    'arm': band(y0 + 4, y1 - 4),
    'upper band': band(y0 + 4, y0 + third),
    'middle band': band(y0 + third, y1 - third),
    'lower band': band(y1 - third, y1 - 4),
  }
  const side = (words: string, out: number, y = 0): NamedLandmark => ({
    id: `arm.${words.split(' ')[0]}`,
    side: 'mid',
    words,
    at: [surface.across((out * Math.PI) / 2, y), y],
  })
  const upperWords = canvas.part === 'forearm' ? 'bend of the elbow' : 'top of the arm'
  const lowerWords = canvas.part === 'forearm' ? 'wrist' : 'bend of the elbow'
  const room = 0.2 * m.length
  return {
    kind: 'arm',
    eyesClosed: false,
    canvas,
    words: canvasWords(canvas),
    face: null,
    relief: null,
    arm: { surface, length: m.length, canvas },
    surface,
    zones: ARM_ZONES,
    keepOuts: [],
    extent: [band(y0, y1)],
    zone: id => bands[id as ArmZone] ?? null,
    marks: [
      { id: 'arm.upper', side: 'mid', words: upperWords, at: [0, y0] },
      { id: 'arm.lower', side: 'mid', words: lowerWords, at: [0, y1] },
      { id: 'arm.middle', side: 'mid', words: 'middle of the arm', at: [0, 0] },
      side('thumb side', thumb),
      side('little-finger side', -thumb),
    ],
    box: framed({ minX: -top - 14, maxX: top + 14, minY: y0 - room, maxY: y1 + room }),
    front: chartOf(
      (x, y) => {
        const a = surface.angle(x, y)
        // What lies round the back gathers on the edge, where it covers nothing.
        return [surface.halfWidth(y) * Math.sin(Math.max(-Math.PI / 2, Math.min(Math.PI / 2, a))), y]
      },
      ([x, y]) => {
        const t = x / surface.halfWidth(y)
        return Math.abs(t) > 1 ? null : [surface.across(Math.asin(t), y), y]
      },
    ),
    wrap: lazily(() => ({
      chart: SAME,
      box: { ...boxOf(band(y0 - room, y1 + room)), minY: y0 - room, maxY: y1 + room },
    })),
  }
}

/** The zones in which a point lies, the smallest first. */
const SMALLEST_FIRST: readonly ZoneId[] = [
  'left.eye',
  'right.eye',
  'nose',
  'chin',
  'muzzle',
  'left.temple',
  'right.temple',
  'forehead',
  'left.cheek',
  'right.cheek',
  'left.jaw',
  'right.jaw',
  'left.cheekbone',
  'right.cheekbone',
  'face',
  'upper band',
  'middle band',
  'lower band',
  'arm',
]

/** The zone that a point of the skin lies in; null off all of them. */
export function zoneAt(ground: Ground, [x, y]: Point): ZoneId | null {
  return (
    SMALLEST_FIRST.find(id => {
      const ring = ground.zone(id)
      return ring !== null && ringHolds(ring, x, y)
    }) ?? null
  )
}

/** Whether a point of the skin can be painted on: it lies on the canvas and under no hair. */
export function onSkin(ground: Ground, [x, y]: Point): boolean {
  return (
    ground.extent.some(r => ringHolds(r, x, y)) &&
    !ground.keepOuts.some(k => k.words === 'hair' && ringHolds(k.ring, x, y))
  )
}
