import { LRUCache } from 'lru-cache'

/** Room for painted pictures, bytes. */
const MOST_BYTES = 64e6

/** Pictures that were asked for at some fineness, by what they were painted from. */
export const paintedPngs = new LRUCache<string, Uint8Array>({
  maxSize: MOST_BYTES,
  sizeCalculation: png => png.byteLength || 1,
})
