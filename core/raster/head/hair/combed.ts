import type { Point } from '../../../geometry'
import { linearOf, type LinearRgb } from '../../../paint/colour'
import { HAIR_END, hairAt, hairCrown, hairline, hairPoint, hairPolar } from '../../../skin/faces/hair'
import { hash, noise, smoothstep } from '../../grid'
import { bandRing, behindLine, drawHairline, drawShell, drawStrays, flatEdge } from './shell'
import { wayOf, type Strands } from './strands'

/** Strands combed from the hairline to the back, `off` mm off the skull where that says so. */
function combBack(hair: Strands, upTo: number, rise: (angle: number, share: number) => number): void {
  const { form } = hair
  const n = hair.count(2300)
  for (let i = 0; i < n; i++) {
    const a = upTo * (2 * hash(i, 31) - 1)
    const from = hash(i, 32) < 0.5 ? 0.08 * hash(i, 33) - 0.02 : 0.85 * hash(i, 33)
    const drift = (hash(i, 34) - 0.5) * 5
    const lock = noise(a * 0.35, 3, 41)
    const at = (t: number): Point => {
      const share = from + (1.02 - from) * t
      // At the back all of it runs to one knot.
      const angle = a * (1 - 0.14 * share * share) + drift * t * (1 - t)
      const flat = Math.abs(angle)
      const r = hairline(flat) + (hairCrown(flat) - hairline(flat)) * share
      return hairPoint(form, angle, r + rise(flat, share))
    }
    hair.draw(
      wayOf(12, at),
      { shade: 0.5 + 0.32 * lock + 0.36 * hash(i, 35), strength: 0.75, taper: [0.14, 0.8] },
      i,
    )
  }
}

/** Combed back from the face, into a knot that shows over the crown. */
export function drawTiedBack(hair: Strands): void {
  if (hair.rimmed) drawKnot(hair)
  drawShell(hair, bandRing(hair.form, [-108, 108], behindLine(2.2), flatEdge), 0.42, 1.2)
  combBack(hair, 107, () => 0)
  drawHairline(hair)
  if (hair.rimmed) drawStrays(hair, flatEdge)
}

/** The knot behind the crown: strands that run round it. */
function drawKnot(hair: Strands): void {
  const { easel, form } = hair
  const k = form.skullWidth
  const [, top] = hairPoint(form, 0, hairCrown(0))
  const at: Point = [2 * k, top + 4]
  const [rx, ry] = [22 * k, 15.5 * k]
  const ring = Float64Array.from(
    wayOf(40, t => [at[0] + rx * Math.cos(2 * Math.PI * t), at[1] + ry * Math.sin(2 * Math.PI * t)]).flat(),
  )
  hair.fill(easel.shape(ring, 0.4), 0.4, 1, () => [1, 0.2])
  const n = hair.count(340)
  for (let i = 0; i < n; i++) {
    const out = 1 - 1.9 * hash(i, 51) * (0.5 + 0.5 * hash(i, 52))
    const begin = Math.PI * (0.95 + 0.35 * hash(i, 53))
    const long = Math.PI * (0.5 + 0.6 * hash(i, 54))
    hair.draw(
      wayOf(12, t => {
        const a = begin + long * t
        return [at[0] + rx * 0.97 * Math.cos(a), at[1] + ry * out * Math.sin(a) * 0.97]
      }),
      { shade: 0.5 + 0.55 * hash(i, 55) * (0.4 + 0.6 * Math.abs(out)), strength: 0.7 },
      9000 + i,
    )
  }
}

/** A band holds the fringe back; behind it the hair stands a little off the head. */
export function drawBand(hair: Strands, cloth: string): void {
  const { form } = hair
  const puff = (angle: number) => 7 * (1 - smoothstep(40, 100, angle))
  const rise = (angle: number, share: number) => puff(angle) * smoothstep(0.38, 0.7, share)
  const edge = (angle: number) => flatEdge(angle) + puff(angle)
  drawShell(hair, bandRing(form, [-108, 108], behindLine(2.2), edge), 0.42, 1.2)
  combBack(hair, 107, rise)
  drawHairline(hair)
  if (hair.rimmed) drawStrays(hair, edge)
  drawCloth(hair, cloth)
}

/** The band itself, a strip of cloth over the head from ear to ear. */
function drawCloth({ easel, form }: Strands, cloth: string): void {
  const base = linearOf(cloth)
  const width = (a: number) => 0.26 * (1 - 0.25 * smoothstep(60, 104, a))
  const span = (share: number) => (a: number) =>
    hairline(a) + (hairCrown(a) - hairline(a)) * (0.3 + share * width(a)) + (1 - smoothstep(20, 100, a))
  const ring = bandRing(form, [-HAIR_END + 10, HAIR_END - 10], span(0), span(1))
  easel.cover(easel.shape(bandRing(form, [-100, 100], span(-0.12), span(1.12)), 1.6), [0, 0, 0], 0.45)
  easel.cover(easel.shape(ring, 0.15), (x, y): LinearRgb => {
    const { angle, r } = hairPolar(form, x, y)
    const share = (r - span(0)(angle)) / Math.max(1, span(1)(angle) - span(0)(angle))
    const round = 0.62 + 0.5 * Math.sin(Math.PI * Math.min(1, Math.max(0, share))) - 0.0035 * x
    const weave = 1 + 0.12 * (noise(x * 2.2, y * 2.2, 61) - 0.5) + 0.05 * Math.sin(share * 28)
    const light = Math.max(0.12, round * weave * (1 - 0.35 * smoothstep(50, 104, angle)))
    return [base[0] * light, base[1] * light, base[2] * light]
  })
}

/** A parting at an angle: hair falls from it to both sides and behind the ears. */
export function drawParted(hair: Strands, parting: number): void {
  const { form } = hair
  const edge = (angle: number) => flatEdge(angle) + 3.5 * (1 - smoothstep(70, 108, angle))
  drawShell(hair, bandRing(form, [-108, 108], behindLine(2.4), edge), 0.4, 1.2)
  const n = hair.count(2500)
  for (let i = 0; i < n; i++) {
    const way = hash(i, 71) < (100 + parting) / 200 ? -1 : 1
    const root = 1.04 * hash(i, 72)
    const end = way * (99 + 9 * hash(i, 73))
    const fall = 0.18 + 0.72 * root + 0.1 * (hash(i, 74) - 0.5)
    const lock = noise(root * 9, way, 42)
    // Longer locks start at the parting, others come out from among them.
    const first = 0.55 * hash(i, 75) ** 2
    const at = (u: number): Point => {
      const t = first + (1 - first) * u
      const angle = parting + (end - parting) * t
      const swell = 0.14 * Math.sin(Math.PI * Math.min(1, t * 1.25)) * (1 - root)
      const share = Math.max(0.015, root + (fall - root) * t * t + swell)
      const flat = Math.abs(angle)
      const r = hairline(flat) + (edge(flat) - hairline(flat)) * share
      return hairPoint(form, angle, r)
    }
    hair.draw(
      wayOf(14, at),
      { shade: 0.48 + 0.36 * lock + 0.34 * hash(i, 76), strength: 0.75, taper: [0.06, 0.85] },
      i,
    )
  }
  drawPartingLine(hair, parting)
  drawHairline(hair)
  if (hair.rimmed) drawStrays(hair, edge)
}

/** The scalp that shows in the parting. */
function drawPartingLine({ easel, form }: Strands, parting: number): void {
  const left = wayOf(10, t => hairAt(form, parting - 0.9 + 0.5 * t, 0.98 * t))
  const right = wayOf(10, t => hairAt(form, parting + 0.9 - 0.5 * t, 0.98 * t)).reverse()
  easel.cover(easel.shape(Float64Array.from([...left, ...right].flat()), 0.35), [0.2, 0.11, 0.075], 0.55)
}
