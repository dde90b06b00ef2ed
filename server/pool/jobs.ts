import { habitsOf, type Habits } from '../../core/checks'
import { cut, type CutReport } from '../../core/cutter'
import { draftOf, draftSvg } from '../../core/draft'
import {
  escapeXml,
  lookSvg,
  runsFromText,
  sheetDxf,
  sheetFromJson,
  sheetJson,
  sheetSvg,
} from '../../core/formats'
import { timesOf, parseLook, type ParsedLook } from '../../core/look'
import type { Memo } from '../../core/memo'
import {
  analyse,
  bridgeLadder,
  readSheetFile,
  summaryOf,
  type AnalysisSummary,
  type SheetGeometry,
} from '../../core/stencil'
import type { ShapeKept } from '../db/stencils'
import { jsonOr } from '../db/ways'
import { readBackup, writeBackup } from './backup'
import { findDamage } from './damage'
import { demoThings } from './demo'
import { CARD_PX, lookPng } from './pictures'
import { sheetPdf } from './sheetPdf'
import { worldSent, type LookSent } from './worldSent'

/** A sheet as it is handed to a worker thread to be drawn: its shape as JSON text, and its name. */
interface SheetToDraw {
  readonly geometry: string
  readonly name: string
}
/** As polygons (svg), as curves that cut smoothly, as DXF, or on paper. */
type DrawnAs = 'svg' | 'curves' | 'dxf' | 'pdf'

/** Letters of what is said of a file at most. */
const MOST_SAID = 200_000

/** What a card of the gallery shows of a look that must be worked out. */
interface Card {
  readonly png: Uint8Array
  readonly seconds: number
}

/** A sheet as it was read from a file: its shape as JSON text, and what there is to ask or to say. */
interface SheetTaken extends ShapeKept {
  readonly notes: readonly string[]
  readonly ask: string | null
}

const drawn = async (sheet: SheetGeometry, name: string, as: DrawnAs): Promise<string | Uint8Array> => {
  if (as === 'pdf') return sheetPdf(sheet, name)
  if (as === 'curves') return draftSvg(draftOf(sheet), escapeXml(name))
  return as === 'svg' ? sheetSvg(sheet, name) : sheetDxf(sheet)
}
const shapeOf = (geometry: string): SheetGeometry => sheetFromJson(JSON.parse(geometry))

/** A look as it was read, and what stands beside it as the version that it was made from. */
export interface LookRead {
  readonly parsed: ParsedLook
  readonly base: unknown
}

/** Reads a look from JSON, or from a field of it. */
export function lookRead(data: unknown, within: 'look' | null, memo?: Memo): LookRead {
  if (within === null) return { parsed: parseLook(data, memo), base: undefined }
  const { look, base } = (data ?? {}) as { look?: unknown; base?: unknown }
  return { parsed: parseLook(look, memo), base }
}

/**
 * The heavy work of the server, each job a function of what it is handed alone. What cannot be done throws
 * RangeError with a sentence.
 */
export const jobs = {
  /** The painted face as PNG bytes. */
  picture({ look: sent, px }: { look: LookSent; px: number }): Uint8Array {
    const { look, world } = worldSent(sent)
    return lookPng(look, world, px)
  },
  /** What a card of the gallery shows: the picture, and the seconds of painting. */
  card(sent: LookSent): Card {
    const { look, world } = worldSent(sent)
    return { png: lookPng(look, world, CARD_PX), seconds: timesOf(look, world).finish }
  },
  /** The look as SVG text at true size. */
  lookSvg(sent: LookSent): string {
    const { look, world } = worldSent(sent)
    return lookSvg(look, world)
  },
  /** What looks have by habit, from their documents as JSON text; damaged ones are passed over. */
  habits(docs: readonly string[]): Habits {
    return habitsOf(
      docs.flatMap(doc => {
        const read = parseLook(jsonOr(doc))
        return read.ok ? [read.look] : []
      }),
    )
  },
  /** A look from JSON text, checked. */
  readLook({ text, within }: { text: string; within: 'look' | null }): LookRead {
    return lookRead(JSON.parse(text), within)
  },
  /**
   * Long JSON text that carries a file: the text of the file by itself, and the rest. Throws RangeError when the
   * rest alone is long: nothing is said of a file that would be.
   */
  readSent(text: string): { file: unknown; rest: unknown } {
    const sent: unknown = JSON.parse(text)
    if (typeof sent !== 'object' || sent === null || !('file' in sent)) return { file: undefined, rest: {} }
    const { file, ...rest } = sent
    const length = JSON.stringify(rest).length + (typeof file === 'string' ? 0 : Infinity)
    if (length > MOST_SAID) throw new RangeError('More is said of this file than there is to say of any.')
    return { file, rest }
  },
  /** A sheet from the text of a file, with its real width when the file gives none. */
  readSheet({ file, widthMm }: { file: string; widthMm: number | undefined }): SheetTaken {
    const { sheet, notes, ask } = readSheetFile(file, widthMm)
    const { width, height } = sheet
    return { geometry: JSON.stringify(sheetJson(sheet)), width, height, notes, ask }
  },
  /** The measures of a sheet, from its shape as JSON text. */
  measureSheet(geometry: string): AnalysisSummary {
    return summaryOf(analyse(shapeOf(geometry)))
  },
  /** A sheet as a cut file (SVG, DXF) or as a 1:1 print (PDF). */
  drawSheet({ geometry, name, as }: SheetToDraw & { as: DrawnAs }): Promise<string | Uint8Array> {
    return drawn(shapeOf(geometry), name, as)
  },
  /** What the simulated cutter makes of a sheet's cut file. */
  cut({ geometry, name, as }: SheetToDraw & { as: 'svg' | 'dxf' }): CutReport {
    const sheet = shapeOf(geometry)
    return cut(as === 'dxf' ? sheetDxf(sheet) : sheetSvg(sheet, name))
  },
  /** Runs from the text of a file, JSON or CSV. */
  readRuns: (text: string) => runsFromText(text),
  /** Everything that is kept, written into one file; and such a file read. */
  writeBackup,
  readBackup,
  findDamage,
  demoThings,
  /** The bridge ladder. */
  ladder(as: DrawnAs): Promise<string | Uint8Array> {
    return drawn(bridgeLadder(), 'Bridge ladder', as)
  },
}

export type Jobs = typeof jobs
