import type { Ring } from '../geometry'

/** A number as files have it: to a thousandth, and never minus zero. */
export const f = (v: number): string => String(Math.round(v * 1000) / 1000 + 0)

/** Rings as SVG path data, mm to a micrometre. */
export function pathData(rings: readonly Ring[]): string {
  return rings
    .map(ring => {
      let d = ''
      for (let i = 0; i < ring.length; i += 2) d += `${i ? 'L' : 'M'}${f(ring[i]!)} ${f(ring[i + 1]!)}`
      return `${d}Z`
    })
    .join('')
}
