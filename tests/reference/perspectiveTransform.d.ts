declare module 'perspective-transform' {
  /** A map of the plane from four corners to four others, each as x0, y0, x1, y1, ... */
  export default function perspective(
    from: readonly number[],
    to: readonly number[],
  ): { transform(x: number, y: number): [number, number] }
}
