import type { EdgeReading, OwnPace, ToolReading } from '../../core/paint'
import type { Db } from './open'

interface Kept {
  id: number
  readAt: string
}
export type KeptEdge = EdgeReading & Kept
export type KeptTool = ToolReading & Kept
/** The painter's readings, oldest first. */
export interface KeptReadings {
  edges: KeptEdge[]
  tools: KeptTool[]
  /** From the log: times as long as by the starting values, for each kind of task. */
  paces?: OwnPace[]
  /** From the room: times as long as usual that films take to dry. */
  driesBy?: number
}

/** Parts of one to which a pace or the drying is told: every picture is painted anew when one of them changes. */
const FINE = 10
const rounded = (factor: number): number => Math.round(FINE * factor) / FINE

/** What the log and the room say of this painter's hands and paint. */
interface Own {
  /** How fast the painter does each kind of task. */
  readonly paces: () => readonly OwnPace[]
  /** How many times as long as usual films take to dry. */
  readonly driesBy: () => number
}

/**
 * The painter's readings of the bridge ladder and of the own tools, with what the log and the room say.
 */
export function readingsIn(db: Db, { paces, driesBy }: Own) {
  const edges = db.prepare<[], KeptEdge>(
    'SELECT id, tool, wetness, bridge, read_at AS readAt FROM edge_readings ORDER BY id',
  )
  const addEdge = db.prepare(
    'INSERT INTO edge_readings (tool, wetness, bridge, read_at) VALUES (@tool, @wetness, @bridge, @at)',
  )
  const tools = db.prepare<[], KeptTool>(
    'SELECT id, tool, measure, value, read_at AS readAt FROM tool_readings ORDER BY id',
  )
  const addTool = db.prepare(
    'INSERT INTO tool_readings (tool, measure, value, read_at) VALUES (@tool, @measure, @value, @at)',
  )
  const remove = {
    edges: db.prepare<[number]>('DELETE FROM edge_readings WHERE id = ?'),
    tools: db.prepare<[number]>('DELETE FROM tool_readings WHERE id = ?'),
  }
  return {
    all(): KeptReadings {
      const own = paces()
        .map(({ task, factor }) => ({ task, factor: rounded(factor) }))
        .filter(({ factor }) => factor !== 1)
      const dries = rounded(driesBy())
      return {
        edges: edges.all(),
        tools: tools.all(),
        ...(own.length && { paces: own }),
        ...(dries !== 1 && { driesBy: dries }),
      }
    },
    addEdge: (reading: EdgeReading, at: string): void => void addEdge.run({ ...reading, at }),
    addTool: (reading: ToolReading, at: string): void => void addTool.run({ ...reading, at }),
    remove: (of: 'edges' | 'tools', id: number): boolean => remove[of].run(id).changes > 0,
  }
}
