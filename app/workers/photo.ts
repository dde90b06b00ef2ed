import { expose, transfer } from 'comlink'
import { disableTypes, imageSize, types } from 'image-size'
import type { Draft } from '#core/draft'
import type { Point } from '#core/geometry'
import {
  findCard,
  findSheet,
  frameOfCorners,
  frameOfDistance,
  frameOfMarks,
  CARD_CROSSES,
  histogramOf,
  otsu,
  prepare,
  readOpenings,
  reduced,
  type CardFound,
  type Corners,
  type Found,
  type Frame,
  type FrameOf,
  type Picture,
  type Prepared,
  type ReadChoices,
  type Reading,
} from '#core/photo'

/** An answer, or the sentence that says why there is none. */
export type Told<T> = ({ ok: true } & T) | { ok: false; sentence: string }

/** How the millimetres of a picture are known. */
export type Sizing =
  | { by: 'sides'; corners: Corners; of: FrameOf; width: number; height: number }
  | { by: 'distance'; corners: Corners; of: FrameOf; from: Point; to: Point; mm: number }
  | { by: 'card'; crosses: Corners; scale: number }

/** A picture that was opened: its size, itself for the page, and what was found in it. */
export interface Opened {
  readonly width: number
  readonly height: number
  /** A JPEG of it that is small enough for the page. */
  readonly shown: Blob
  readonly found: Found | null
  readonly card: { crosses: readonly Point[]; marks: number; offMm: number; bends: boolean } | null
}

/** A picture seen from above, made small for the page, with how open each pixel is (0 to 255). */
export interface Flat {
  readonly frame: { width: number; height: number }
  readonly shown: Blob
  readonly open: { width: number; height: number; values: Uint8Array }
  /** Where Otsu's threshold lies, 0 to 1. */
  readonly otsu: number
  readonly histogram: readonly number[]
  readonly darkSheet: boolean
  readonly fineness: number
}

const MOST_BYTES = 60e6
const MOST_MEGAPIXELS = 42
/** A picture tells its size within its first bytes; cameras write small pictures and colours before that. */
const HEAD_BYTES = 4e6
/** The longer side of what the page is shown, pixels. */
const SHOWN = 1800
/** Pixels of the plane on which the page draws the threshold while it is moved. */
const LIVE = 500_000

let picture: Picture | null = null
let card: CardFound | null = null
let prepared: Prepared | null = null

async function told<T extends object>(job: () => Promise<T> | T): Promise<Told<T>> {
  try {
    return { ok: true, ...(await job()) }
  } catch (error) {
    if (error instanceof RangeError) return { ok: false, sentence: error.message }
    throw error
  }
}

// Only heads that are read here: others can make their reader run for ever.
const READ: readonly string[] = ['jpg', 'png', 'webp']
disableTypes(types.filter(type => !READ.includes(type)))

/** Refuses a file by its first bytes, before it is decoded. */
function checkFile(bytes: Uint8Array): void {
  let size: { width: number; height: number; type?: string }
  try {
    size = imageSize(bytes)
  } catch {
    throw new RangeError('This file is no picture that can be read. Choose a JPEG, PNG or WebP.')
  }
  const megapixels = (size.width * size.height) / 1e6
  if (megapixels > MOST_MEGAPIXELS)
    throw new RangeError(
      `The picture has ${megapixels.toFixed(megapixels < 100 ? 1 : 0)} megapixels; up to ${MOST_MEGAPIXELS} are read. Make it smaller: 12 megapixels are plenty for a sheet.`,
    )
  if (Math.min(size.width, size.height) < 200)
    throw new RangeError(
      `The picture is only ${size.width} × ${size.height} pixels, too small for a stencil to be read from it.`,
    )
}

/** A drawing made small enough for the page, as JPEG. */
function shownOf(source: ImageBitmap | OffscreenCanvas): Promise<Blob> {
  const { width, height } = source
  const k = Math.min(1, SHOWN / Math.max(width, height))
  const canvas = new OffscreenCanvas(Math.round(width * k), Math.round(height * k))
  canvas.getContext('2d')!.drawImage(source, 0, 0, canvas.width, canvas.height)
  return canvas.convertToBlob({ type: 'image/jpeg', quality: 0.86 })
}

function canvasOf({ width, height, data }: Picture): OffscreenCanvas {
  const canvas = new OffscreenCanvas(width, height)
  const image = new ImageData(data as Uint8ClampedArray<ArrayBuffer>, width, height)
  canvas.getContext('2d')!.putImageData(image, 0, 0)
  return canvas
}

async function pixelsOf(file: Blob): Promise<{ pixels: Picture; shown: Blob }> {
  // Telephones write how they were held beside the picture: it is turned as people see it.
  const bitmap = await createImageBitmap(file, { imageOrientation: 'from-image' }).catch(() => {
    throw new RangeError('The picture is damaged: it begins as one, and cannot be decoded. Take it again.')
  })
  const { width, height } = bitmap
  const canvas = new OffscreenCanvas(width, height)
  const context = canvas.getContext('2d', { willReadFrequently: true })!
  // What is clear in a PNG is as paper.
  context.fillStyle = '#fff'
  context.fillRect(0, 0, width, height)
  context.drawImage(bitmap, 0, 0)
  bitmap.close()
  const pixels = { width, height, data: context.getImageData(0, 0, width, height).data }
  return { pixels, shown: await shownOf(canvas) }
}

function frameOf(sizing: Sizing, from: Picture): { frame: Frame; of: FrameOf } {
  if (sizing.by === 'sides')
    return { frame: frameOfCorners(sizing.corners, sizing.width, sizing.height), of: sizing.of }
  if (sizing.by === 'distance')
    return {
      frame: frameOfDistance(sizing.corners, sizing.from, sizing.to, sizing.mm),
      of: sizing.of,
    }
  // Crosses that were moved by hand stand for themselves; as they were found, all marks count.
  const moved = !card || sizing.crosses.some((p, k) => p.some((v, c) => v !== card!.crosses[k]![c]))
  if (!moved) {
    const again = findCard(from, sizing.scale)
    if (again) return { frame: again.frame, of: 'ground' }
  }
  return { frame: frameOfMarks(CARD_CROSSES, sizing.crosses, from, sizing.scale).frame, of: 'ground' }
}

/** The levelled picture for the page, and how open each pixel is. */
async function flatOf(done: Prepared): Promise<Flat> {
  const { open, picture: flat, frame, darkSheet } = done
  const by = Math.max(1, Math.ceil(Math.sqrt((open.width * open.height) / LIVE)))
  const small = reduced(open, by)
  const values = Uint8Array.from(small.values, v => Math.max(0, Math.min(255, 64 + 128 * v)))
  const bins = histogramOf(open.values, -0.5, 1.5, 7)
  return {
    frame: { width: frame.width, height: frame.height },
    shown: await shownOf(canvasOf(flat)),
    open: { width: small.width, height: small.height, values },
    otsu: -0.5 + ((otsu(bins).bin + 1) / 256) * 2,
    histogram: Array.from({ length: 64 }, (_, i) => bins[4 * i]! + bins[4 * i + 1]! + bins[4 * i + 2]! + bins[4 * i + 3]!), // prettier-ignore
    darkSheet,
    fineness: flat.fineness,
  }
}

const photo = {
  /** Opens a picture file and looks for a sheet, and for the calibration card, in it. */
  open: (file: Blob, onProgress: (words: string, done: number) => void): Promise<Told<Opened>> =>
    told(async () => {
      if (file.size > MOST_BYTES)
        throw new RangeError(
          `The file is ${Math.round(file.size / 1e6)} MB; pictures of up to ${MOST_BYTES / 1e6} MB are read.`,
        )
      checkFile(new Uint8Array(await file.slice(0, HEAD_BYTES).arrayBuffer()))
      onProgress('opening the picture', 0.1)
      const { pixels, shown } = await pixelsOf(file)
      picture = pixels
      prepared = null
      onProgress('looking for the stencil', 0.6)
      const found = findSheet(pixels)
      onProgress('looking for a calibration card', 0.8)
      card = findCard(pixels)
      const told = card && {
        crosses: card.crosses,
        marks: card.marks,
        offMm: card.offMm,
        bends: card.frame.lens !== null,
      }
      return { width: pixels.width, height: pixels.height, shown, found, card: told }
    }),
  /** Takes perspective and light out. */
  prepare: (
    sizing: Sizing,
    dark: boolean | null,
    onProgress: (words: string, done: number) => void,
  ): Promise<Told<Flat>> =>
    told(async () => {
      if (!picture) throw new RangeError('Choose the picture again: it was put away.')
      const { frame, of } = frameOf(sizing, picture)
      prepared = prepare(picture, frame, of, dark, onProgress)
      const flat = await flatOf(prepared)
      return transfer(flat, [flat.open.values.buffer])
    }),
  /** Reads the openings. */
  read: (choices: ReadChoices, onProgress: (words: string, done: number) => void): Promise<Told<Reading>> =>
    told(() => {
      if (!prepared) throw new RangeError('Choose the picture again: it was put away.')
      return readOpenings(prepared, choices, onProgress)
    }),
  /** A part of the levelled picture as a small JPEG: to keep with the sheet. */
  async keepsake(middle: Point, { width, height }: Draft): Promise<Blob | null> {
    if (!prepared) return null
    const { picture: flat } = prepared
    const f = flat.fineness
    const source = canvasOf(flat)
    const k = Math.min(1, 900 / (Math.max(width, height) * f))
    const out = new OffscreenCanvas(Math.round(width * f * k), Math.round(height * f * k))
    const [x, y] = [(middle[0] - width / 2) * f, (middle[1] - height / 2) * f]
    out.getContext('2d')!.drawImage(source, x, y, width * f, height * f, 0, 0, out.width, out.height)
    return out.convertToBlob({ type: 'image/jpeg', quality: 0.8 })
  },
}

export type PhotoJobs = typeof photo
expose(photo)
