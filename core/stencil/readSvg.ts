import { lengthInMm, MM_PER_PX, scaling, splitLength, type Affine, type Ring } from '../geometry'
import { assembleSheet } from './assemble'
import { Cascade } from './svg/cascade'
import { ROOT_STYLE, styleOf } from './svg/style'
import { parseTree, type Element } from './svg/tree'
import { fitted, viewBoxOf } from './svg/viewport'
import { startAt, Walk } from './svg/walk'
import type { SheetGeometry } from './types'

/** How a file is read: the real size of one of its units, and whether sizes go unchecked. */
export interface ReadOptions {
  mmPerUnit?: number
  loose?: boolean
}

/** A sheet read from a file, with what was noticed on the way. */
export interface SheetRead {
  sheet: SheetGeometry
  notes: string[]
  sized: boolean
}

/**
 * Reads an SVG file into a sheet. What is drawn dark is an opening, and white over it is paper again; a thin
 * stroke without a dark fill is a line to cut along, a wide one is cut out as it is drawn. The element with id
 * "sheet" is the sheet's edge, else the page is; a group with id "guides" is left out. Text and pictures are left
 * out with a note.
 * @param text the file's text
 * @param options.mmPerUnit real size of one user unit, when the file gives none
 * @returns the sheet in its own frame (mm, origin at the sheet's centre, +y down), notes, and whether the
 *   file gave a real size
 * @throws RangeError with one sentence saying what is wrong and what to do
 */
export function readSvg(text: string, options: ReadOptions = {}): SheetRead {
  const root = parseTree(text)
  const page = pageOf(root, options.mmPerUnit)
  const notes = new Set<string>()
  const cascade = new Cascade(stylesIn(root), notes)
  const walk = new Walk(root, cascade, notes)
  const style = styleOf(cascade.of(root), ROOT_STYLE)
  const marks = style.gone ? [] : walk.children(root, startAt(page.toMm, style, page.view))
  return {
    sheet: assembleSheet(walk.openings(marks), walk.edge ?? page.outline, options.loose),
    notes: [...notes],
    sized: page.sized,
  }
}

/** The text of the style elements of a file. */
const stylesIn = (element: Element): string[] => [
  ...(element.name === 'style' ? [element.text] : []),
  ...element.children.flatMap(stylesIn),
]

interface Page {
  toMm: Affine
  outline: Ring | null
  sized: boolean
  /** Size of the page in user units. */
  view: readonly [number, number]
}

/**
 * The map from the root's user units to mm (SVG 1.1, sections 7.2 and 7.7: the viewBox is fitted into width x
 * height, centred).
 */
function pageOf(root: Element, mmPerUnit?: number): Page {
  const side = (key: 'width' | 'height'): number | null => {
    const text = root.attrs[key]
    if (text === undefined || text.trim().endsWith('%')) return null
    const mm = lengthInMm(text)
    if (mm === null || !(mm > 0))
      throw new RangeError(
        `The page's ${key} "${text.slice(0, 40)}" is not a size. Give it in mm, above zero.`,
      )
    return mm
  }
  const width = side('width')
  const height = side('height')
  const view = viewBoxOf(root.attrs.viewBox)
  const unit = splitLength(root.attrs.width ?? '')?.unit
  const sized = mmPerUnit !== undefined || (width !== null && unit !== '' && unit !== 'px')
  const rect = (w: number, h: number): Ring => Float64Array.from([0, 0, w, 0, w, h, 0, h])
  if (!view) {
    const k = mmPerUnit ?? MM_PER_PX
    const w = width === null ? null : (width * k) / MM_PER_PX
    const h = height === null ? null : (height * k) / MM_PER_PX
    return {
      toMm: scaling(k),
      outline: w !== null && h !== null ? rect(w, h) : null,
      sized,
      view: [(w ?? 0) / k, (h ?? 0) / k],
    }
  }
  const [, , vw, vh] = view
  const k =
    mmPerUnit ??
    (width !== null && height !== null
      ? Math.min(width / vw, height / vh)
      : width !== null
        ? width / vw
        : height !== null
          ? height / vh
          : MM_PER_PX)
  const w = mmPerUnit !== undefined || width === null ? vw * k : width
  const h = mmPerUnit !== undefined || height === null ? vh * k : height
  const toMm = fitted(view, w, h, root.attrs.preserveAspectRatio)
  return { toMm, outline: rect(w, h), sized, view: [vw, vh] }
}
