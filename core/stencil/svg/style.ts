import { parse } from 'culori'
import { lengthInMm, MM_PER_PX, splitLength, type Rule } from '../../geometry'

/** What a paint does to a sheet: it is an opening where it is dark, paper where it is white. */
type Ink = 'cut' | 'paper' | 'none'

/** What of an element's look decides whether it is cut. */
export interface Style {
  readonly fill: Ink
  readonly stroke: Ink
  /** Width of the stroke, user units. */
  readonly strokeWidth: number
  readonly cap: 'butt' | 'round' | 'square'
  readonly join: 'miter' | 'round' | 'bevel'
  readonly miterLimit: number
  readonly dashed: boolean
  readonly rule: Rule
  readonly clipRule: Rule
  readonly color: string
  readonly visible: boolean
  /** Whether nothing of it is drawn, whatever its children say. */
  readonly gone: boolean
}

export const ROOT_STYLE: Style = {
  fill: 'cut',
  stroke: 'none',
  strokeWidth: 1,
  cap: 'butt',
  join: 'miter',
  miterLimit: 4,
  dashed: false,
  rule: 'nonzero',
  clipRule: 'nonzero',
  color: 'black',
  visible: true,
  gone: false,
}

/** From this lightness of all three bands on a paint is white, as paper is. */
const WHITE = 0.94
/** What is fainter than this cannot be seen. */
const FAINT = 0.02

/** What a colour does; a pattern or gradient counts as dark. */
function inkOf(text: string, color: string): Ink {
  const value = text.trim().toLowerCase()
  if (value === 'none' || value === 'transparent') return 'none'
  if (value.startsWith('url(')) return 'cut'
  const found = parse(value === 'currentcolor' ? color : value)
  if (!found) return 'cut'
  if ((found.alpha ?? 1) < FAINT) return 'none'
  return found.mode === 'rgb' && found.r >= WHITE && found.g >= WHITE && found.b >= WHITE ? 'paper' : 'cut'
}

/** A share: a number or a percentage. */
const shareOf = (text: string | undefined): number => {
  if (text === undefined) return 1
  const value = parseFloat(text) / (text.trim().endsWith('%') ? 100 : 1)
  return Number.isFinite(value) ? value : 1
}

/** A length in user units; null when it is none, or relative. */
export function unitsOf(text: string | undefined): number | null {
  const plain = text === undefined ? null : splitLength(text)
  if (!plain) return null
  if (plain.unit === '') return plain.value
  const mm = lengthInMm(text!)
  return mm === null ? null : mm / MM_PER_PX
}

const oneOf = <T extends string>(text: string | undefined, choices: readonly T[], otherwise: T): T =>
  choices.find(c => c === text?.trim().toLowerCase()) ?? otherwise

/**
 * The style of an element inside a parent's.
 * @param declared what is declared for it; see Cascade
 */
export function styleOf(declared: ReadonlyMap<string, string>, parent: Style): Style {
  const said = (name: string): string | undefined => {
    const value = declared.get(name)
    return value === 'inherit' ? undefined : value
  }
  const color = said('color') ?? parent.color
  const inked = (what: 'fill' | 'stroke'): Ink => {
    const value = said(what)
    const ink = value === undefined ? parent[what] : inkOf(value, color)
    return shareOf(said(`${what}-opacity`)) < FAINT ? 'none' : ink
  }
  const visibility = said('visibility')
  const dashes = said('stroke-dasharray')
  return {
    fill: inked('fill'),
    stroke: inked('stroke'),
    strokeWidth: Math.max(0, unitsOf(said('stroke-width')) ?? parent.strokeWidth),
    cap: oneOf(said('stroke-linecap'), ['butt', 'round', 'square'], parent.cap),
    join: oneOf(said('stroke-linejoin'), ['miter', 'round', 'bevel'], parent.join),
    miterLimit: Number(said('stroke-miterlimit')) || parent.miterLimit,
    dashed: dashes === undefined ? parent.dashed : dashes !== 'none',
    rule: oneOf(said('fill-rule'), ['nonzero', 'evenodd'], parent.rule),
    clipRule: oneOf(said('clip-rule'), ['nonzero', 'evenodd'], parent.clipRule),
    color,
    visible: visibility === undefined ? parent.visible : visibility === 'visible',
    gone: parent.gone || said('display') === 'none' || shareOf(said('opacity')) < FAINT,
  }
}
