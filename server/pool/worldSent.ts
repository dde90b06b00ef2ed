import { LRUCache } from 'lru-cache'
import { sheetFromJson } from '../../core/formats'
import { groundFor, stepsOff, upgraded, withSteps, type Look, type World } from '../../core/look'
import { Memo } from '../../core/memo'
import { ownTools, type Paint, type Readings } from '../../core/paint'
import { prepared, type PreparedSheet } from '../../core/stencil'
import type { StencilMeta } from '../db/stencils'

/** A sheet as it is handed to a worker thread: what is noted of it, and its shape as JSON text. */
interface SheetSent {
  readonly about: StencilMeta
  readonly geometry: string
}

/** A look with all that it is read against, as plain data: what comes of it depends on nothing else. */
export interface LookSent {
  /** The look's document as JSON text. */
  readonly doc: string
  readonly sheets: readonly SheetSent[]
  readonly paints: readonly Paint[]
  readonly readings: Readings
}

/** As many prepared sheets are kept by a thread. */
const MOST_SHEETS = 60
const kept = new LRUCache<string, PreparedSheet>({ max: MOST_SHEETS })
const memo = new Memo()

/** A sheet made ready once; its shape never changes, what is noted of it does. */
function sheetOf({ about, geometry }: SheetSent): PreparedSheet {
  const key = JSON.stringify(about)
  const found = kept.get(key)
  if (found) return found
  const made = prepared({ ...about, axes: about.analysis?.axes, ...sheetFromJson(JSON.parse(geometry)) })
  kept.set(key, made)
  return made
}

/** The look that was sent, and the world that it is read against. */
export function worldSent({ doc, sheets, paints, readings }: LookSent): { look: Look; world: World } {
  const look = upgraded(JSON.parse(doc)) as Look
  const drawer = new Map(sheets.map(s => [s.about.id, sheetOf(s)]))
  const kit = new Map(paints.map(p => [p.id, p]))
  const world = withSteps(
    {
      ground: groundFor(look, memo),
      paint: id => kit.get(id),
      oily: look.skin.oily,
      ...ownTools(readings),
      stencil: id => drawer.get(id),
      memo,
    },
    look.steps,
    stepsOff(look),
  )
  return { look, world }
}
