/** A painted picture as sRGB bytes with alpha. */
export interface Picture {
  rgba: Uint8ClampedArray<ArrayBuffer>
  width: number
  height: number
}

/** What the turned head wears: the painted skin, and the back of the head; null where there is none. */
export interface Wrapped {
  front: Picture
  back: Picture | null
}
