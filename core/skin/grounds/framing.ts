import type { Box } from '../../geometry'

/** Width against height of every picture, so that cards and the stage look alike. */
const RATIO = 208 / 286

/** A box grown to the pictures' proportions about its middle. */
export function framed({ minX, minY, maxX, maxY }: Box): Box {
  const w = maxX - minX
  const h = maxY - minY
  const more = w < h * RATIO ? (h * RATIO - w) / 2 : 0
  const taller = w > h * RATIO ? (w / RATIO - h) / 2 : 0
  return { minX: minX - more, maxX: maxX + more, minY: minY - taller, maxY: maxY + taller }
}

/** A value that is worked out when it is first asked for. */
export const lazily = <T>(make: () => T): (() => T) => {
  let value: T | undefined
  return () => (value ??= make())
}
