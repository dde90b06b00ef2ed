declare module 'polylabel' {
  /** The point of a polygon farthest from its outline, with that distance. */
  export default function polylabel(
    polygon: readonly (readonly (readonly number[])[])[],
    precision?: number,
  ): number[] & { distance: number }
}
