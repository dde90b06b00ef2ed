/** CRC-32 of each byte (ISO 3309, as zip files use it). */
const TABLE = Uint32Array.from({ length: 256 }, (_, n) => {
  let c = n
  for (let k = 0; k < 8; k++) c = c & 1 ? (c >>> 1) ^ 0xedb88320 : c >>> 1
  return c
})

export function crc32(data: Uint8Array): number {
  let c = 0xffffffff
  for (const byte of data) c = TABLE[(c ^ byte) & 255]! ^ (c >>> 8)
  return (c ^ 0xffffffff) >>> 0
}

/** The beginning of an entry of the list at the end of a zip file, and its fixed length (APPNOTE 4.3.12). */
const ENTRY = 0x02014b50
const ENTRY_BYTES = 46

/** The checksums that a zip file gives for what is in it, by name. */
export function checksumsIn(zip: Uint8Array): Map<string, number> {
  const view = new DataView(zip.buffer, zip.byteOffset, zip.byteLength)
  const found = new Map<string, number>()
  const start = listStart(view)
  for (let at = start; at + ENTRY_BYTES <= zip.length && view.getUint32(at, true) === ENTRY;) {
    const [name, extra, comment] = [28, 30, 32].map(k => view.getUint16(at + k, true)) as [
      number,
      number,
      number,
    ]
    const text = new TextDecoder().decode(zip.subarray(at + ENTRY_BYTES, at + ENTRY_BYTES + name))
    found.set(text, view.getUint32(at + 16, true))
    at += ENTRY_BYTES + name + extra + comment
  }
  return found
}

/** The end of a zip file, with the longest comment that it may carry (APPNOTE 4.3.16). */
const END = 0x06054b50
const END_BYTES = 22
const MOST_COMMENT = 65_535

/** Where the list of entries begins; the end of the file where there is none. */
function listStart(view: DataView): number {
  const last = view.byteLength - END_BYTES
  for (let at = last; at >= Math.max(0, last - MOST_COMMENT); at--)
    if (view.getUint32(at, true) === END) return view.getUint32(at + 16, true)
  return view.byteLength
}
