import type { Point } from '../../../geometry'
import type { Form } from '../../../skin/faces/face'
import { hairCrown, hairline, hairPoint } from '../../../skin/faces/hair'
import { hash, noise, smoothstep } from '../../grid'
import { closedCurve } from '../skinLayers'
import { bandRing, behindLine, drawHairline, drawShell, flatEdge } from './shell'
import { wayOf, type Strands } from './strands'

/** Cut short: brushed up from the hairline, closer at the sides, where the skin shows through. */
export function drawCrop(hair: Strands): void {
  const { form } = hair
  const stands = (angle: number) => 4.5 * (1 - smoothstep(35, 78, angle))
  const edge = (angle: number) => flatEdge(angle) - 1.5 + stands(angle) * 0.6
  drawShell(hair, bandRing(form, [-70, 70], behindLine(2), edge), 0.4, 1.6)
  drawShell(hair, bandRing(form, [-108, -62], behindLine(3.4), edge), 0.5, 2)
  drawShell(hair, bandRing(form, [62, 108], behindLine(3.4), edge), 0.5, 2)
  const n = hair.count(3400)
  for (let i = 0; i < n; i++) {
    const a = 108 * (2 * hash(i, 81) - 1)
    const flat = Math.abs(a)
    const up = 1 - smoothstep(40, 80, flat)
    const root = 1.02 * hash(i, 82) - 0.03
    const long = (3.5 + 9.5 * up) * (0.65 + 0.5 * hash(i, 83))
    const tuft = noise(a * 0.16, root * 5, 43)
    const turn = (tuft - 0.4) * 26 * up + (hash(i, 84) - 0.5) * 8 + 5 * up
    const r0 = hairline(flat) + (edge(flat) - hairline(flat)) * root
    const most = edge(flat) + stands(flat) * (0.5 + 0.8 * hash(i, 85)) + 0.8
    hair.draw(
      wayOf(6, t => hairPoint(form, a + turn * t * t, Math.min(most, r0 + long * t * (1 - 0.25 * t)))),
      { shade: 0.42 + 0.4 * tuft + 0.36 * hash(i, 86), strength: 0.7, taper: [0.1, 0.45] },
      i,
    )
  }
  drawHairline(hair)
}

/** How far curls stand off the skull, mm. */
const CURLS = (angle: number): number => 10 + 6 * smoothstep(20, 80, angle)
/** How far down at the sides they reach, degrees from straight up. */
const CURLS_END = 128
/** Where curls begin beside the face: at the hairline, and below it past the silhouette. */
const besideFace = (angle: number): number =>
  angle < 106 ? hairline(angle) + 2 : 73.5 + 0.55 * (angle - 106)

/** Curls all round, over the ears. */
export function drawCurls(hair: Strands): void {
  const { form } = hair
  const edge = (angle: number) => hairCrown(Math.min(angle, 112)) + CURLS(angle)
  const bumpy = (angle: number) => edge(angle) - 3.5 + 2.4 * noise(angle * 0.22, 1, 44)
  for (const s of [-1, 1]) {
    const ends = [-2 * s, s * CURLS_END].sort((a, b) => a - b) as [number, number]
    drawShell(hair, bandRing(form, ends, besideFace, bumpy), 0.26, 0.9)
  }
  const n = hair.count(1150)
  const keys = Array.from({ length: n }, (_, i) => i)
  // What lies deeper is drawn first.
  keys.sort((a, b) => hash(a, 91) - hash(b, 91))
  keys.forEach((i, order) => {
    const a = CURLS_END * (2 * hash(i, 92) - 1)
    const flat = Math.abs(a)
    const share = Math.sqrt(hash(i, 93)) * 1.02 - 0.03
    const r = besideFace(flat) + (edge(flat) - 4 - besideFace(flat)) * share
    const centre = hairPoint(form, a, r)
    drawCurl(hair, centre, order / n, i)
  })
  drawHairline(hair)
}

/** One curl at a place (mm): strands that run side by side through some turns of a coil that hangs. */
export function drawCurl(hair: Strands, [cx, cy]: Point, top: number, key: number): void {
  const k = hair.form.kx
  const radius = (1.5 + 1.7 * hash(key, 94)) * k
  const turns = 1.6 + 1.3 * hash(key, 95)
  const begin = 2 * Math.PI * hash(key, 96)
  const hand = hash(key, 97) < 0.5 ? -1 : 1
  const drop = (5 + 9 * hash(key, 98)) * k
  // A coil is seen from its side: it swings to and fro, and its turns lie close below one another.
  const lean = 0.7 * (hash(key, 99) - 0.5) + cx * 0.004
  for (let s = 0; s < 3; s++) {
    const rr = radius * (1 - 0.14 * s)
    hair.draw(
      wayOf(22, t => {
        const a = begin + hand * 2 * Math.PI * turns * t
        const along = drop * (t - 0.5) + 0.55 * s * k
        return [cx + rr * Math.cos(a) + lean * along, cy + 0.5 * rr * Math.sin(a) + along]
      }),
      { shade: 0.34 + 0.62 * top * (1 - 0.14 * s), strength: 0.72, width: 0.85, taper: [0.12, 0.7] },
      key * 3 + s,
    )
  }
}

/** A point of the mean adult, brought to a form. */
const placed = (form: Form, x: number, y: number): Point => [
  x * form.kx * (0.9 + 0.1 * form.grown),
  y < 60 ? form.fromMean(y) : form.fromMean(60) + (y - 60) * form.ky,
]

/** Long hair that hangs behind the neck, drawn before all else. */
export function drawLengths(hair: Strands): void {
  const { easel, form } = hair
  const half = [
    [60, -40],
    [77, -8],
    [80, 30],
    [81, 70],
    [79, 110],
    [72, 150],
    [20, 158],
  ] as const
  const ring = closedCurve([
    ...half.map(([x, y]) => placed(form, x, y)),
    ...half.toReversed().map(([x, y]) => placed(form, -x, y)),
  ])
  hair.fill(easel.shape(ring, 0.5), 0.36, 1, x => [0.05 * x, 1])
  hair.faces(0, 0.1)
  const n = hair.count(900)
  for (let i = 0; i < n; i++) {
    const s = hash(i, 101) < 0.5 ? -1 : 1
    const x = s * (36 + 43 * Math.sqrt(hash(i, 102)))
    const begin = -20 + 70 * hash(i, 103)
    const long = 70 + 80 * hash(i, 104)
    const wave = 2.2 * Math.sin(6 * hash(i, 105))
    hair.draw(
      wayOf(14, t =>
        placed(
          form,
          x + s * (2.5 - 9 * t) * t + wave * Math.sin(5 * t + x * 0.1),
          Math.min(156, begin + long * t),
        ),
      ),
      { shade: 0.4 + 0.45 * noise(x * 0.4, 1, 45) + 0.2 * hash(i, 106), strength: 0.7, taper: [0.05, 0.9] },
      i,
    )
  }
}

/** Two braids from behind the ears down over the shoulders. */
export function drawBraids(hair: Strands): void {
  const { form } = hair
  const k = form.kx
  const turns = 12
  for (const s of [-1, 1]) {
    const middle = (t: number): Point =>
      placed(form, s * (81 - 17 * smoothstep(0, 0.6, t) + 1.5 * Math.sin(4 * t)), 36 + 124 * t)
    for (let b = 0; b < turns; b++)
      drawTurn(
        hair,
        middle((b + 0.5) / turns),
        b % 2 ? 1 : -1,
        k * Math.min(1.12, 0.8 + 0.12 * b),
        2000 * (s + 2) + 100 * b,
      )
  }
}

/** One turn of a braid: a lock that comes in from one side and goes under the middle. */
function drawTurn(hair: Strands, [cx, cy]: Point, side: number, k: number, key: number): void {
  const { easel } = hair
  // The lock's middle line, and how thick it is about it, mm.
  const spine = (t: number): Point => [9.5 * (1 - t) ** 0.9 - 5 * t ** 1.4, -11 + 21 * t]
  const thick = (t: number) => 6.4 * Math.sin(Math.PI * (0.1 + 0.82 * t)) ** 0.8
  const at = (t: number, o: number): Point => {
    const [x, y] = spine(t)
    return [cx + side * k * (x + 0.8 * o * thick(t)), cy + k * (y + 0.6 * o * thick(t))]
  }
  const outline = [...wayOf(14, t => at(t, 1)), ...wayOf(14, t => at(1 - t, -1))]
  hair.faces(0, 0.15)
  hair.fill(easel.shape(Float64Array.from(outline.flat()), 0.5), 0.2, 1, () => [-side, 1.6])
  const n = hair.count(52)
  for (let i = 0; i < n; i++) {
    const o = 1.9 * hash(key + i, 111) - 0.95
    // Each lock is round: it turns away from the light at its edges and where it goes under.
    hair.faces(side * o * 0.55, 0.35 * o)
    const round = 0.42 + 0.62 * Math.sqrt(1 - o * o)
    hair.draw(
      wayOf(9, t => at(0.03 + 0.94 * t, o)),
      { shade: round * (0.8 + 0.3 * hash(key + i, 112)), strength: 0.75, taper: [0.25, 0.6] },
      key + i,
    )
  }
}
