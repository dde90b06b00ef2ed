/** A picture in colour as a canvas gives it: four bytes a pixel, red, green, blue, alpha. */
export interface Picture {
  readonly width: number
  readonly height: number
  readonly data: Uint8ClampedArray
}

/** One value a pixel; the middle of pixel (i, j) lies at (i + 0.5, j + 0.5). */
export interface Plane {
  readonly width: number
  readonly height: number
  readonly values: Float32Array
}

/** Says how far a reading is, 0 to 1. */
export type Progress = (words: string, done: number) => void

/** How one value is made of red, green and blue. */
export type Channel = 'luma' | 'least' | 'most'

const CHANNELS: Record<Channel, (r: number, g: number, b: number) => number> = {
  luma: (r, g, b) => 0.2126 * r + 0.7152 * g + 0.0722 * b,
  // Dried paint is darker than paper in one of the three at least,
  least: (r, g, b) => Math.min(r, g, b),
  // and lighter than a black ground in one.
  most: (r, g, b) => Math.max(r, g, b),
}

/** One channel of a picture, 0 to 1. */
export function channelOf({ width, height, data }: Picture, channel: Channel): Plane {
  const values = new Float32Array(width * height)
  const of = CHANNELS[channel]
  for (let i = 0, k = 0; i < values.length; i++, k += 4)
    values[i] = of(data[k]!, data[k + 1]!, data[k + 2]!) / 255
  return { width, height, values }
}

/** A plane made smaller by a whole number: the mean of each block. */
export function reduced({ width, height, values }: Plane, by: number): Plane {
  const w = Math.max(1, Math.floor(width / by))
  const h = Math.max(1, Math.floor(height / by))
  const out = new Float32Array(w * h)
  const share = 1 / (by * by)
  for (let j = 0; j < h; j++)
    for (let y = 0; y < by; y++) {
      let k = (j * by + y) * width
      for (let i = 0; i < w; i++) {
        let sum = 0
        for (let x = 0; x < by; x++) sum += values[k++]!
        out[j * w + i]! += sum * share
      }
    }
  return { width: w, height: h, values: out }
}

/** Weights of a Gaussian, normalised, from the middle outward to three sigma. */
function gaussian(sigma: number): number[] {
  const reach = Math.max(1, Math.ceil(3 * sigma))
  const half = Array.from({ length: reach + 1 }, (_, k) => Math.exp(-(k * k) / (2 * sigma * sigma)))
  const sum = half[0]! + 2 * half.slice(1).reduce((a, b) => a + b, 0)
  return half.map(w => w / sum)
}

/** A plane blurred by a Gaussian of `sigma` pixels; at its edges the outermost pixel goes on. */
export function blurred({ width, height, values }: Plane, sigma: number): Plane {
  if (!(sigma > 0.05)) return { width, height, values }
  const weights = gaussian(sigma)
  const reach = weights.length - 1
  const across = new Float32Array(values.length)
  for (let j = 0; j < height; j++) {
    const row = j * width
    for (let i = 0; i < width; i++) {
      let sum = weights[0]! * values[row + i]!
      if (i >= reach && i + reach < width)
        for (let k = 1; k <= reach; k++) sum += weights[k]! * (values[row + i - k]! + values[row + i + k]!)
      else
        for (let k = 1; k <= reach; k++)
          sum += weights[k]! * (values[row + Math.max(0, i - k)]! + values[row + Math.min(width - 1, i + k)]!)
      across[row + i] = sum
    }
  }
  const out = new Float32Array(values.length)
  for (let j = 0; j < height; j++)
    for (let k = -reach; k <= reach; k++) {
      const from = width * Math.min(height - 1, Math.max(0, j + k))
      const w = weights[Math.abs(k)]!
      const row = j * width
      for (let i = 0; i < width; i++) out[row + i]! += w * across[from + i]!
    }
  return { width, height, values: out }
}

/** The value between pixels, bilinear; `x` and `y` in pixels, held within the plane. */
export function valueAt({ width, height, values }: Plane, x: number, y: number): number {
  const u = Math.min(width - 1, Math.max(0, x - 0.5))
  const v = Math.min(height - 1, Math.max(0, y - 0.5))
  const i = Math.min(width - 2, Math.floor(u))
  const j = Math.min(height - 2, Math.floor(v))
  if (i < 0 || j < 0) return values[0]!
  const s = u - i
  const t = v - j
  const k = j * width + i
  return (
    (values[k]! * (1 - s) + values[k + 1]! * s) * (1 - t) +
    (values[k + width]! * (1 - s) + values[k + width + 1]! * s) * t
  )
}
