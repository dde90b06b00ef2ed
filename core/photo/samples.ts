import { Matrix, solve } from 'ml-matrix'
import type { Plane } from './picture'

/** How far about a sample an edge is looked for, pixels. */
const NEAR = 2
/** Terms of the light: a polynomial of third degree. */
const TERMS = 10

export interface Samples {
  readonly x: Float64Array
  readonly y: Float64Array
  readonly value: Float64Array
  /** The least and the most about each sample: far apart on an edge. */
  readonly least: Float64Array
  readonly most: Float64Array
  /** The terms of the polynomial at each sample, one after the other. */
  readonly terms: Float64Array
}

export function samplesOf({ width, height, values }: Plane, wanted: number): Samples {
  const every = Math.max(1, Math.round(Math.sqrt((width * height) / wanted)))
  const x: number[] = []
  const y: number[] = []
  const value: number[] = []
  const least: number[] = []
  const most: number[] = []
  const calm = (i: number, j: number): number => {
    let sum = 0
    for (let v = j - 1; v <= j + 1; v++)
      for (let u = i - 1; u <= i + 1; u++)
        sum += values[Math.min(height - 1, Math.max(0, v)) * width + Math.min(width - 1, Math.max(0, u))]!
    return sum / 9
  }
  for (let j = every >> 1; j < height; j += every)
    for (let i = every >> 1; i < width; i += every) {
      x.push((2 * i) / width - 1)
      y.push((2 * j) / height - 1)
      const here = calm(i, j)
      const about = [calm(i - NEAR, j), calm(i + NEAR, j), calm(i, j - NEAR), calm(i, j + NEAR)]
      value.push(here)
      least.push(Math.min(here, ...about))
      most.push(Math.max(here, ...about))
    }
  const basis = new Float64Array(TERMS * x.length)
  x.forEach((v, i) => basis.set(terms(v, y[i]!), TERMS * i))
  return {
    x: Float64Array.from(x),
    y: Float64Array.from(y),
    value: Float64Array.from(value),
    least: Float64Array.from(least),
    most: Float64Array.from(most),
    terms: basis,
  }
}

export const terms = (x: number, y: number): number[] => [
  1,
  x,
  y,
  x * x,
  x * y,
  y * y,
  x * x * x,
  x * x * y,
  x * y * y,
  y * y * y,
]
export const sumOf = (a: readonly number[], t: readonly number[]) => t.reduce((s, v, k) => s + v * a[k]!, 0)

/** The light at every sample; never nothing, so that it can be divided by. */
export function levelsOf(s: Samples, a: readonly number[]): Float64Array {
  const out = new Float64Array(s.value.length)
  for (let i = 0, k = 0; i < out.length; i++) {
    let sum = 0
    for (let p = 0; p < TERMS; p++, k++) sum += a[p]! * s.terms[k]!
    out[i] = Math.max(1e-3, sum)
  }
  return out
}

/** Fits the light to the samples, each with what it throws back and how much it counts. */
export function fitted(s: Samples, reflect: (i: number) => number, weight: (i: number) => number): number[] {
  const m = new Float64Array(TERMS * TERMS)
  const r = new Float64Array(TERMS)
  for (let i = 0, o = 0; i < s.value.length; i++, o += TERMS) {
    const w = weight(i)
    if (w === 0) continue
    const k = reflect(i)
    for (let p = 0; p < TERMS; p++) {
      const term = w * k * s.terms[o + p]!
      for (let q = 0; q <= p; q++) m[p * TERMS + q]! += term * k * s.terms[o + q]!
      r[p]! += term * s.value[i]!
    }
  }
  const square = Array.from({ length: TERMS }, (_, p) =>
    Array.from({ length: TERMS }, (_, q) => m[p > q ? p * TERMS + q : q * TERMS + p]!),
  )
  // A little against terms that few samples speak for.
  for (let p = 0; p < TERMS; p++) square[p]![p]! += (p ? 2e-3 : 0) * m[0]! + 1e-6
  return solve(new Matrix(square), Matrix.columnVector(Array.from(r))).to1DArray()
}
