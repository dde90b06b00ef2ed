/**
 * A picture made smaller by a whole factor: each pixel the mean of the block it stands for.
 * @param rgba four bytes a pixel
 * @returns the smaller picture with its size
 */
export function shrunk(rgba: Uint8ClampedArray, width: number, height: number, factor: number): { rgba: Uint8ClampedArray<ArrayBuffer>, width: number, height: number } {
  const w = Math.floor(width / factor), h = Math.floor(height / factor), out = new Uint8ClampedArray(4 * w * h)
  for (let j = 0; j < h; j++) {
    for (let i = 0; i < w; i++) {
      for (let k = 0; k < 4; k++) {
        let sum = 0
        for (let v = 0; v < factor; v++) for (let u = 0; u < factor; u++) sum += rgba[4 * ((j * factor + v) * width + i * factor + u) + k]!
        out[4 * (j * w + i) + k] = sum / (factor * factor)
      }
    }
  }
  return { rgba: out, width: w, height: h }
}
