import { EDGE_SPREAD } from './spread'
import { TOOLS, type Tool, type ToolId, type Wetness } from './tools'

/**
 * A painter's reading of the bridge ladder: the narrowest bridge still clear with a tool at a wetness, mm.
 */
export interface EdgeReading {
  readonly tool: ToolId
  readonly wetness: Wetness
  readonly bridge: number
}

/**
 * What can be read of a tool: what it lets go per dab (mg/cm2), what it holds (mg), how wide its tip is (mm).
 */
export const TOOL_MEASURES = ['release', 'capacity', 'tip'] as const
export type ToolMeasure = (typeof TOOL_MEASURES)[number]
/** A painter's reading of one of these. */
export interface ToolReading {
  readonly tool: ToolId
  readonly measure: ToolMeasure
  readonly value: number
}

/** How fast the painter does a kind of task: times as long as by the starting values. */
export interface OwnPace {
  readonly task: string
  readonly factor: number
}

/** Everything that a painter has read of the own tools and the own hands. */
export interface Readings {
  readonly edges: readonly EdgeReading[]
  readonly tools: readonly ToolReading[]
  /** From the times that were logged; as usual when left out. */
  readonly paces?: readonly OwnPace[]
  /** How many times as long as usual films take to dry in the painter's room; as usual when left out. */
  readonly driesBy?: number
}
export const NO_READINGS: Readings = { edges: [], tools: [] }

/**
 * A value in force: the mean of the painter's readings with their count and standard deviation, else the
 * starting value (no readings).
 */
export interface Known {
  readonly value: number
  readonly readings: number
  readonly spread: number
}

function known(own: readonly number[], start: number): Known {
  const n = own.length
  if (n === 0) return { value: start, readings: 0, spread: 0 }
  const mean = own.reduce((s, v) => s + v, 0) / n
  return {
    value: mean,
    readings: n,
    spread: n > 1 ? Math.sqrt(own.reduce((s, v) => s + (v - mean) ** 2, 0) / (n - 1)) : 0,
  }
}

/** Edge spread of a tool at a wetness, mm: half of each bridge read. */
export const edgeKnown = ({ edges }: Readings, tool: ToolId, wetness: Wetness): Known =>
  known(
    edges.filter(r => r.tool === tool && r.wetness === wetness).map(r => r.bridge / 2),
    EDGE_SPREAD[tool][wetness],
  )

/** One measure of a tool, in its own unit. */
export const toolKnown = ({ tools }: Readings, tool: ToolId, measure: ToolMeasure): Known =>
  known(
    tools.filter(r => r.tool === tool && r.measure === measure).map(r => r.value),
    TOOLS[tool][measure],
  )

/**
 * A painter's tools, as a look is read against them: the own readings where there are some, else the starting
 * values.
 */
export function ownTools(readings: Readings): {
  tool: (id: ToolId) => Tool
  edge: (tool: ToolId, wetness: Wetness) => number
  pace: (task: string) => number
  driesBy: number
} {
  const paces = new Map(readings.paces?.map(p => [p.task, p.factor]))
  const read = new Set(readings.tools.map(r => r.tool))
  return {
    tool: id =>
      read.has(id)
        ? {
            ...TOOLS[id],
            release: toolKnown(readings, id, 'release').value,
            capacity: toolKnown(readings, id, 'capacity').value,
            tip: toolKnown(readings, id, 'tip').value,
          }
        : TOOLS[id],
    edge: (tool, wetness) => edgeKnown(readings, tool, wetness).value,
    pace: task => paces.get(task) ?? 1,
    driesBy: readings.driesBy ?? 1,
  }
}
