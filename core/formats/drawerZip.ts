import { checksumsIn, crc32 } from './zipChecked'
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate'
import { z } from 'zod'
import { polygonArea } from '../geometry'
import { MATERIALS, readSheetFile, STENCIL_KINDS, type MaterialId, type SheetGeometry } from '../stencil'
import { sheetSvg } from './svgOut'

/** What one sheet's owner knows of it, as it travels. */
const about = z.object({
  id: z.string().min(1).max(80),
  file: z.string().min(1).max(200),
  name: z.string().trim().min(1).max(80),
  kind: z.enum(STENCIL_KINDS),
  tags: z.array(z.string().trim().min(1).max(30)).max(20).default([]),
  zones: z.array(z.string().max(40)).max(20).default([]),
  heading: z.number().min(-360).max(360).nullable().default(null),
  copies: z.number().int().min(0).max(99).default(1),
  notes: z.string().max(4000).default(''),
  material: z.enum(Object.keys(MATERIALS) as [MaterialId, ...MaterialId[]]).default('mylar'),
  groups: z
    .array(z.object({ name: z.string().min(1).max(40), openings: z.array(z.number().int().min(0)).min(1) }))
    .max(30)
    .default([]),
})
const list = z.object({
  format: z.literal('janusform-drawer'),
  version: z.literal(1),
  sheets: z.array(about),
})

type SheetAbout = Omit<z.infer<typeof about>, 'file'>

/** A sheet on its way: what is known of it, and its shape. */
export interface SheetOnTheWay {
  readonly about: SheetAbout
  readonly sheet: SheetGeometry
}

const LIST = 'sheets.json'
const MOST = { sheets: 600, bytes: 80e6, file: 8e6 } as const

const fileSafe = (name: string): string => name.replace(/[^\p{L}\p{N} -]+/gu, '').trim().slice(0, 60) || 'sheet' // prettier-ignore

/** Sheets as one file: a zip of SVG files in mm, and of a JSON of what is known of them. */
export function drawerZip(sheets: readonly SheetOnTheWay[]): Uint8Array {
  const files: Record<string, Uint8Array> = {}
  const told = sheets.map(({ about: known, sheet }, n) => {
    const file = `${fileSafe(known.name)} ${n + 1}.svg`
    files[file] = strToU8(sheetSvg(sheet, known.name))
    return { ...known, file }
  })
  const json = JSON.stringify({ format: 'janusform-drawer', version: 1, sheets: told }, null, 1)
  return zipSync({ [LIST]: strToU8(json), ...files }, { level: 6 })
}

/** A sheet that came in a file with its SVG text, or the sentence that says why it cannot be used. */
export type SheetCame =
  | { ok: true; about: SheetAbout; sheet: SheetGeometry; svg: string }
  | { ok: false; name: string; sentence: string }

/** The files of an archive by their names, each as its checksum says. */
function unpacked(bytes: Uint8Array): Map<string, Uint8Array> {
  let whole = 0
  try {
    const files = unzipSync(bytes, {
      filter: ({ name, originalSize }) => {
        whole += originalSize
        if (whole > MOST.bytes || originalSize > MOST.file)
          throw new RangeError('The file unpacks to far more than any collection of stencils has.')
        return name === LIST || name.endsWith('.svg')
      },
    })
    const sums = checksumsIn(bytes)
    const bent = Object.entries(files).find(([name, data]) => sums.get(name) !== crc32(data))
    if (bent)
      throw new RangeError(
        `This file is damaged: "${bent[0].slice(0, 80)}" in it is not as it was written. Ask for it again.`,
      )
    return new Map(Object.entries(files))
  } catch (error) {
    if (error instanceof RangeError) throw error
    throw new RangeError('This is no zip file, or it is damaged. Ask for it again.')
  }
}

/**
 * Reads sheets from one file. A sheet in it that cannot be used comes as its sentence; the others come too.
 * @throws RangeError with a sentence when the file as a whole cannot be read
 */
export function readDrawerZip(bytes: Uint8Array): SheetCame[] {
  const files = unpacked(bytes)
  const text = files.get(LIST)
  if (!text)
    throw new RangeError('There is no list of stencils in this file: it was not made by exporting a drawer.')
  let json: unknown
  try {
    json = JSON.parse(strFromU8(text))
  } catch {
    throw new RangeError('The list of stencils in this file is damaged.')
  }
  const read = list.safeParse(json)
  if (!read.success) {
    const [issue] = read.error.issues
    throw new RangeError(
      `The list of stencils in this file is not as it should be, at "${issue!.path.join('.')}".`,
    )
  }
  if (read.data.sheets.length > MOST.sheets)
    throw new RangeError(`The file has more than ${MOST.sheets} stencils; send them in several files.`)
  return read.data.sheets.map(({ file, ...known }) => cameAs(known, files.get(file)))
}

function cameAs(known: SheetAbout, data: Uint8Array | undefined): SheetCame {
  if (!data) return { ok: false, name: known.name, sentence: 'Its drawing is missing in the file.' }
  try {
    const svg = strFromU8(data)
    return { ok: true, about: known, sheet: readSheetFile(svg).sheet, svg }
  } catch (error) {
    if (error instanceof RangeError) return { ok: false, name: known.name, sentence: error.message }
    throw error
  }
}

/** How a sheet that came stands to those that are there. */
export type Standing = 'new' | 'same' | 'changed'

const openArea = (s: SheetGeometry) => s.openings.reduce((sum, o) => sum + polygonArea(o), 0)

/** Whether two sheets have one shape: size, number and area of openings. */
const sameShape = (a: SheetGeometry, b: SheetGeometry): boolean =>
  Math.abs(a.width - b.width) < 0.1 &&
  Math.abs(a.height - b.height) < 0.1 &&
  a.openings.length === b.openings.length &&
  Math.abs(openArea(a) - openArea(b)) < 0.002 * openArea(a)

const NOTED = ['name', 'kind', 'tags', 'zones', 'heading', 'notes', 'material', 'groups'] as const
const told = (known: SheetAbout) => JSON.stringify(NOTED.map(key => known[key]))

/** One that came beside the one of the drawer that it is, if any: by its id, else by name and shape. */
export function standingOf(
  came: SheetOnTheWay,
  have: readonly SheetOnTheWay[],
): { standing: Standing; of: SheetOnTheWay | null; shape: boolean } {
  const of =
    have.find(h => h.about.id === came.about.id) ??
    have.find(h => h.about.name === came.about.name && sameShape(h.sheet, came.sheet)) ??
    null
  if (!of) return { standing: 'new', of, shape: true }
  const shape = sameShape(of.sheet, came.sheet)
  return { standing: shape && told(of.about) === told(came.about) ? 'same' : 'changed', of, shape }
}
