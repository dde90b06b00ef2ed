import { compose, IDENTITY, mapRing, rotation, scaling, translation, type Affine } from '../../geometry'
import { LIMITS } from '../assemble'

interface Vertex {
  x: number
  y: number
  bulge?: number
  /** A point of the frame that steers a curve: the curve does not go through it. */
  splineControlPoint?: boolean
}
interface Point3 {
  x: number
  y: number
  z?: number
}

/** The fields of the parser's entities that are read here. */
export interface Entity {
  type: string
  layer?: string
  inPaperSpace?: boolean
  visible?: boolean
  vertices?: Vertex[]
  shape?: boolean
  center?: Vertex
  radius?: number
  startAngle?: number
  endAngle?: number
  majorAxisEndPoint?: Vertex
  axisRatio?: number
  degreeOfSplineCurve?: number
  knotValues?: number[]
  controlPoints?: Vertex[]
  fitPoints?: Vertex[]
  weights?: number[]
  closed?: boolean
  extrusionDirection?: Point3
  extrusionDirectionZ?: number
  name?: string
  position?: Vertex
  xScale?: number
  yScale?: number
  rotation?: number
  columnCount?: number
  rowCount?: number
  columnSpacing?: number
  rowSpacing?: number
}

/** A block of entities that is drawn wherever it is inserted. */
interface Block {
  readonly entities?: Entity[]
  readonly position?: Vertex
}

/** A drawing as the parser gives it. */
export interface Drawing {
  readonly entities?: Entity[]
  readonly blocks?: Readonly<Record<string, Block>>
  readonly tables?: {
    readonly layer?: {
      readonly layers?: Readonly<Record<string, { readonly visible?: boolean; readonly frozen?: boolean }>>
    }
  }
}

/** An entity where it is drawn: on which layer, and the map from its own coordinates to the drawing's. */
export interface Placed {
  readonly entity: Entity
  readonly layer: string
  readonly map: Affine
}

const TOO_MUCH = 'The DXF draws more than a stencil can hold; simplify it, and try again.'
/** Blocks stand within one another as deep as this at most. */
const MOST_DEEP = 12
/** Entities whose coordinates are those of the world, whatever their extrusion (DXF reference). */
const OF_WORLD = new Set(['LINE', 'SPLINE', 'ELLIPSE'])

/** Whether an entity looks away: the arbitrary axis then mirrors its x (DXF reference). */
export const looksAway = (e: Entity): boolean => (e.extrusionDirectionZ ?? e.extrusionDirection?.z ?? 1) < 0

/**
 * The entities of a drawing with those of its blocks wherever they are inserted. What lies in paper space, on a
 * layer that is off, or is hidden by itself is left out with a note.
 */
export function placedEntities(
  { entities = [], blocks = {}, tables }: Drawing,
  notes: Set<string>,
): Placed[] {
  const layers = tables?.layer?.layers ?? {}
  const found: Placed[] = []
  let met = 0
  const hidden = (layer: string) => {
    const own = layers[layer]
    return own?.visible === false || own?.frozen === true
  }

  function place(entity: Entity, outer: Affine, inLayer: string, depth: number): void {
    if (++met > LIMITS.elements) throw new RangeError(TOO_MUCH)
    if (entity.inPaperSpace) return void notes.add('What lies in paper space was left out.')
    const layer = entity.layer === undefined || entity.layer === '0' ? inLayer : entity.layer
    if (hidden(layer) || entity.visible === false)
      return void notes.add('What lies on a layer that is off was left out.')
    const mirrored = looksAway(entity) && !OF_WORLD.has(entity.type)
    const map = mirrored ? compose(outer, scaling(-1, 1)) : outer
    if (entity.type === 'INSERT') return insert(entity, map, layer, depth)
    found.push({ entity, layer: layer.toUpperCase(), map })
  }

  function insert(entity: Entity, outer: Affine, layer: string, depth: number): void {
    const block = blocks[entity.name ?? '']
    if (!block?.entities) return void notes.add('A block that is not in the file was left out.')
    if (depth >= MOST_DEEP)
      throw new RangeError(`Blocks stand within one another more than ${MOST_DEEP} deep; explode them.`)
    const { x = 0, y = 0 } = entity.position ?? {}
    const base = block.position ?? { x: 0, y: 0 }
    const turn = rotation(entity.rotation ?? 0, 0, 0)
    const size = scaling(entity.xScale ?? 1, entity.yScale ?? 1)
    const copies = Math.max(1, entity.rowCount ?? 1) * Math.max(1, entity.columnCount ?? 1)
    if (!(copies <= LIMITS.elements)) throw new RangeError(TOO_MUCH)
    for (let row = 0; row < Math.max(1, entity.rowCount ?? 1); row++)
      for (let column = 0; column < Math.max(1, entity.columnCount ?? 1); column++) {
        const step = translation(column * (entity.columnSpacing ?? 0), row * (entity.rowSpacing ?? 0))
        const own = compose(turn, compose(step, compose(size, translation(-base.x, -base.y))))
        const map = compose(outer, compose(translation(x, y), own))
        for (const part of block.entities) place(part, map, layer, depth + 1)
      }
  }

  for (const entity of entities) place(entity, IDENTITY, '0', 0)
  return found
}

/** Flat points under a map. */
export const mappedPoints = (points: readonly number[], map: Affine): number[] =>
  Array.from(mapRing(map, Float64Array.from(points)))

/** One group of the parser's scanner. */
interface Group {
  readonly code: number
  readonly value: number | string
}
interface Scanner {
  next: () => Group
  isEOF: () => boolean
}

/** Reads circles and ellipses with their extrusion, which the parser's own readers pass over. */
const roundReader = (name: 'CIRCLE' | 'ELLIPSE') =>
  class {
    ForEntityName = name

    parseEntity(scanner: Scanner): Entity {
      const entity: Entity = { type: name, center: { x: 0, y: 0 }, majorAxisEndPoint: { x: 0, y: 0 } }
      for (let group = scanner.next(); !scanner.isEOF() && group.code !== 0; group = scanner.next())
        readRound(entity, group)
      return entity
    }
  }

function readRound(entity: Entity, { code, value }: Group): void {
  const number = Number(value)
  switch (code) {
    case 8:
      entity.layer = String(value)
      break
    case 10:
      entity.center!.x = number
      break
    case 20:
      entity.center!.y = number
      break
    case 11:
      entity.majorAxisEndPoint!.x = number
      break
    case 21:
      entity.majorAxisEndPoint!.y = number
      break
    case 40:
      if (entity.type === 'CIRCLE') entity.radius = number
      else entity.axisRatio = number
      break
    case 41:
      entity.startAngle = number
      break
    case 42:
      entity.endAngle = number
      break
    case 60:
      entity.visible = number === 0
      break
    case 67:
      entity.inPaperSpace = number !== 0
      break
    case 230:
      entity.extrusionDirectionZ = number
      break
  }
}

export const ROUND_READERS = [roundReader('CIRCLE'), roundReader('ELLIPSE')]
