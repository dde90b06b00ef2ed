/** A painted picture as sRGB bytes with alpha. */
export interface Picture {
  rgba: Uint8ClampedArray<ArrayBuffer>
  width: number
  height: number
}
