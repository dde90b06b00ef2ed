declare module 'spectral.js' {
  export class Color {
    constructor(css: string | readonly [number, number, number])
    readonly lRGB: readonly [number, number, number]
    toString(): string
  }
  export function mix(...parts: (readonly [Color, number])[]): Color
}
