/**
 * Values of a picture evened out: three running means over rows and columns, which together are nearly a Gaussian.
 * @param radius of each mean, pixels
 */
export function evened(values: Float32Array, w: number, h: number, radius: number): Float32Array {
  const a = values.slice()
  const b = new Float32Array(a.length)
  for (let n = 0; n < 3; n++) {
    for (let j = 0; j < h; j++) runningMean(a, b, j * w, 1, w, radius)
    for (let i = 0; i < w; i++) runningMean(b, a, i, w, h, radius)
  }
  return a
}

function runningMean(
  from: Float32Array,
  to: Float32Array,
  start: number,
  step: number,
  count: number,
  radius: number,
): void {
  const at = (i: number) => from[start + step * Math.min(count - 1, Math.max(0, i))]!
  let sum = 0
  for (let i = -radius; i <= radius; i++) sum += at(i)
  for (let i = 0; i < count; i++) {
    to[start + step * i] = sum / (2 * radius + 1)
    sum += at(i + radius + 1) - at(i - radius)
  }
}
