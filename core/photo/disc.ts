/**
 * What share of its edge a disc of radius `rim` blurred by a Gaussian of `sigma` has at its rim `r`: the
 * probability that a point scattered about r lies within the disc.
 */
function discAt(r: number, rim: number, sigma: number): number {
  const steps = 48
  let sum = 0
  for (let i = 0; i < steps; i++) {
    const rho = ((i + 0.5) / steps) * rim
    const z = (rho * r) / (sigma * sigma)
    sum += (rho / (sigma * sigma)) * Math.exp(-((rho - r) ** 2) / (2 * sigma * sigma)) * besselScaled(z)
  }
  return (sum * rim) / steps
}

/** exp(-z) I0(z): Abramowitz and Stegun 1964, 9.8.1 and 9.8.2. */
function besselScaled(z: number): number {
  if (z < 3.75) {
    const t = (z / 3.75) ** 2
    const series = [1, 3.5156229, 3.0899424, 1.2067492, 0.2659732, 0.0360768, 0.0045813]
    return Math.exp(-z) * series.reduceRight((s, c) => s * t + c, 0)
  }
  const t = 3.75 / z
  const series = [
    0.39894228, 0.01328592, 0.00225319, -0.00157565, 0.00916281, -0.02057706, 0.02635537, -0.01647633,
    0.00392377,
  ]
  return series.reduceRight((s, c) => s * t + c, 0) / Math.sqrt(z)
}

/** The radius of a disc whose blurred picture is half bright at radius `seen`. */
export function discRadius(seen: number, sigma: number): number {
  if (seen > 6 * sigma) return (seen + Math.sqrt(seen * seen + 2 * sigma * sigma)) / 2
  let low = seen
  let high = seen + 1.5 * sigma
  for (let n = 0; n < 30; n++) {
    const rim = (low + high) / 2
    if (discAt(seen, rim, sigma) < 0.5) low = rim
    else high = rim
  }
  return (low + high) / 2
}
