/** Bins that values are counted in. */
const BINS = 256

/** How often values lie in each of 256 equal steps between two bounds; what lies outside is left out. */
export function histogramOf(values: Float32Array, from = 0, to = 1, every = 1): Uint32Array {
  const bins = new Uint32Array(BINS)
  const k = BINS / (to - from)
  for (let i = 0; i < values.length; i += every) {
    const bin = Math.floor((values[i]! - from) * k)
    if (bin >= 0 && bin < BINS) bins[bin]!++
    else if (values[i] === to) bins[BINS - 1]!++
  }
  return bins
}

/** What Otsu's method found in a histogram. */
export interface Parting {
  /** The bin whose upper edge parts the two classes best; the middle of the bins that part equally well. */
  readonly bin: number
  /** Means of the two classes, in bins. */
  readonly below: number
  readonly above: number
  /** Variance between the classes by the whole variance, 0 to 1: how well they are parted. */
  readonly parted: number
  /** Share of the counts above. */
  readonly share: number
}

/**
 * Parts a histogram in two so that the variance between the classes is greatest (Otsu 1979, A threshold
 * selection method from gray-level histograms).
 */
export function otsu(bins: ArrayLike<number>): Parting {
  let total = 0
  let sum = 0
  let squares = 0
  for (let i = 0; i < bins.length; i++) {
    total += bins[i]!
    sum += i * bins[i]!
    squares += i * i * bins[i]!
  }
  const whole = squares / total - (sum / total) ** 2
  let best = { between: -1, first: 0, last: 0, n: 0, s: 0 }
  let n = 0
  let s = 0
  for (let i = 0; i < bins.length - 1; i++) {
    n += bins[i]!
    s += i * bins[i]!
    if (n === 0 || n === total) continue
    const between = (n / total) * (1 - n / total) * (s / n - (sum - s) / (total - n)) ** 2
    if (between > best.between * (1 + 1e-12)) best = { between, first: i, last: i, n, s }
    else if (between >= best.between * (1 - 1e-12) && best.last === i - 1) best.last = i
  }
  return {
    bin: (best.first + best.last) / 2,
    below: best.n ? best.s / best.n : 0,
    above: total > best.n ? (sum - best.s) / (total - best.n) : 0,
    parted: whole > 0 ? Math.max(0, best.between) / whole : 0,
    share: total ? 1 - best.n / total : 0,
  }
}
