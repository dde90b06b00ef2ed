import { expose } from 'comlink'
import { offersFor, type Draft, type Offer } from '#core/draft'
import { drawerZip, readDrawerZip, type SheetCame, type SheetOnTheWay } from '#core/formats'
import { laidWell, type ToLay } from '#core/checks'
import { groundFor, movedTo, proposedFit, type Look, type Moved, type SheetStep } from '#core/look'
import { Memo } from '#core/memo'
import type { Point } from '#core/geometry'
import type { Canvas } from '#core/skin'
import {
  analyse,
  fieldOf,
  prepared,
  proposedJoins,
  readSheetFile,
  fitsFor,
  withJoins,
  withWiderBridges,
  withWiderSlots,
  type Analysis,
  type Candidate,
  type FileRead,
  type Island,
  type Join,
  type Fit,
  type SheetGeometry,
  type Spot,
  type PreparedSheet,
  type Stencil,
} from '#core/stencil'

/** What is changed when a sheet is mended. */
export interface Mending {
  joins: Join[]
  bridge: number | null
  slot: number | null
}

/** Where a new step goes: as `laidWell` is told it, without what a worker has of its own. */
export interface WhereToLay {
  look: Pick<Look, 'skin' | 'canvas' | 'focus'>
  asked: Point | null
  /** Whether a search has found its place: then it is only put right there. */
  proposed?: boolean
  usual: Point
  today: string
}

/** A file that was read, or the sentence that says why it cannot be used. */
export type FileAnswer = { ok: true; read: FileRead } | { ok: false; sentence: string }

/** Sheets that came in one file, or the sentence that says why it cannot be read. */
export type UnpackedAnswer = { ok: true; came: SheetCame[] } | { ok: false; sentence: string }

let candidates: (Candidate & PreparedSheet)[] = []
let search = 0
const memo = new Memo()

const sheets = {
  /** Reads a file; a file that cannot be used comes back as its sentence. */
  read(text: string, widthMm?: number): FileAnswer {
    try {
      return { ok: true, read: readSheetFile(text, widthMm) }
    } catch (error) {
      if (error instanceof RangeError) return { ok: false, sentence: error.message }
      throw error
    }
  },
  analyse: (
    sheet: SheetGeometry,
    below: number,
    onProgress: (words: string, done: number) => void,
  ): Analysis => analyse(sheet, below, (words, done) => onProgress(words, done)),
  joins: (sheet: SheetGeometry, islands: Island[], width: number): Join[] =>
    proposedJoins(sheet, islands, width),
  /**
   * The mended sheet with its new analysis. Bridges and slots are measured again after each other, as one
   * changes the other.
   */
  mend(sheet: SheetGeometry, { joins, bridge, slot }: Mending): { sheet: SheetGeometry; analysis: Analysis } {
    let next = withJoins(sheet, joins)
    if (slot !== null) next = withWiderSlots(next, analyse(next).slots, slot)
    if (bridge !== null) next = withWiderBridges(next, analyse(next, bridge).bridges, bridge)
    return { sheet: next, analysis: analyse(next) }
  },
  /** What could be made even in a draft. */
  offers: (draft: Draft): Offer[] => offersFor(draft),
  /** Sheets as one file, and out of one; a file that cannot be read comes back as its sentence. */
  packed: (sheets: SheetOnTheWay[]): Uint8Array => drawerZip(sheets),
  unpacked(bytes: Uint8Array): UnpackedAnswer {
    try {
      return { ok: true, came: readDrawerZip(bytes) }
    } catch (error) {
      if (error instanceof RangeError) return { ok: false, sentence: error.message }
      throw error
    }
  },
  know(list: (Candidate & Stencil)[]): void {
    candidates = list.map(sheet => ({ ...sheet, ...prepared(sheet) }))
  },
  /** What fits a spot, best first; null when another search was begun, or this one was stopped, meanwhile. */
  async fits(
    spot: Spot,
    where: Pick<Look, 'canvas' | 'skin'>,
    onProgress: (done: number) => void,
  ): Promise<Fit[] | null> {
    const mine = ++search
    const found: Fit[] = []
    const field = fieldOf(spot)
    const ground = groundFor(where, memo)
    for (let i = 0; i < candidates.length; i += 4) {
      const some = candidates.slice(i, i + 4)
      // Ranked on the spot's picture, each is proposed only as it lies on the skin itself.
      found.push(
        ...fitsFor(spot, some, () => {}, field).flatMap(
          fit =>
            proposedFit(
              fit,
              some.find(c => c.id === fit.id)!,
              spot.ring,
              ground,
            ) ?? [],
        ),
      )
      onProgress(Math.min(1, (i + 4) / candidates.length))
      // Lets a newer search, or a stop, in between.
      await new Promise(resolve => setTimeout(resolve))
      if (mine !== search) return null
    }
    return found.sort((a, b) => b.score - a.score)
  },
  stop(): void {
    search++
  },
  /** A new step of one sheet, laid where it fits. */
  laid(step: SheetStep, about: Stencil & Pick<ToLay, 'zones'>, where: WhereToLay): SheetStep {
    const sheet: ToLay = { ...prepared(about), zones: about.zones }
    const ground = groundFor(where.look, memo)
    const world = { ground, stencil: () => sheet, paint: () => undefined, flat: true, memo }
    return laidWell(step, sheet, { ...where, world })
  },
  /** A look moved to another canvas; a canvas that cannot be comes back as its sentence. */
  moved(
    look: Look,
    canvas: Canvas,
    age: number,
  ): { ok: true; moved: Moved } | { ok: false; sentence: string } {
    try {
      return {
        ok: true,
        moved: movedTo(look, canvas, age, id => candidates.find(c => c.id === id), candidates),
      }
    } catch (error) {
      if (error instanceof RangeError) return { ok: false, sentence: error.message }
      throw error
    }
  },
}

export type Sheets = typeof sheets
expose(sheets)
