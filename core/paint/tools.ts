/** The wetness of a loaded tool, dry to wet, in the trade's words. */
export const WETNESSES = ['chalky', 'tacky', 'damp', 'runny'] as const
export type Wetness = (typeof WETNESSES)[number]

/**
 * What a tool lets go and holds. The values of the table are starting values (common practice), shown as
 * estimates until the painter's own readings replace them.
 */
export interface Tool {
  readonly name: string
  /** Paint let go per dab, mg/cm2. */
  readonly release: number
  /** Paint it holds, mg. */
  readonly capacity: number
  /** Diameter of its tip, mm. */
  readonly tip: number
  /** Soft rim that it leaves when nothing masks it, mm. */
  readonly rim: number
}

export const TOOLS = {
  openCell: { name: 'open-cell sponge', release: 0.9, capacity: 900, tip: 45, rim: 4 },
  makeup: { name: 'makeup sponge', release: 0.35, capacity: 250, tip: 30, rim: 2.6 },
  point: { name: 'makeup sponge, its point', release: 0.35, capacity: 60, tip: 8, rim: 1.4 },
  dauber: { name: 'finger dauber', release: 0.45, capacity: 120, tip: 18, rim: 1.8 },
  petal: { name: 'petal sponge', release: 0.6, capacity: 400, tip: 40, rim: 3 },
  halfMoon: { name: 'half-moon sponge', release: 0.6, capacity: 400, tip: 40, rim: 3 },
  baseBrush: { name: 'soft base brush', release: 0.7, capacity: 700, tip: 35, rim: 3.4 },
} as const satisfies Record<string, Tool>

export type ToolId = keyof typeof TOOLS
export const TOOL_IDS = Object.keys(TOOLS) as ToolId[]

/** Thickness of an opaque film, mg/cm2 (common practice). */
export const OPAQUE_FILM = 3

/** How much a wetness lets go against damp paint: dry sponges print thin. */
const FLOW: Record<Wetness, number> = { chalky: 0.55, tacky: 0.85, damp: 1, runny: 1.25 }

/** Thickness of the film that some dabs leave, mg/cm2. */
export const filmOf = ({ release }: Pick<Tool, 'release'>, wetness: Wetness, dabs: number): number =>
  release * FLOW[wetness] * dabs

/** Share of what a tool holds that it lets go before it prints pale (common practice). */
export const USED = 0.6

/** What a tool lets go, mg/cm2, when so many dabs at a wetness hide a line: by then the film is opaque. */
export const releaseOfDabs = (dabs: number, wetness: Wetness): number => OPAQUE_FILM / (dabs * FLOW[wetness])

/** What a tool holds, mg, when one load covers so many cm2 with one dab everywhere before it prints pale. */
export const capacityOfArea = (cm2: number, tool: Pick<Tool, 'release'>, wetness: Wetness): number =>
  (cm2 * filmOf(tool, wetness, 1)) / USED

/**
 * Share of what lies beneath that a film covers, 0 to 1: it fades exponentially, and an opaque film lets 2 %
 * through.
 */
export const opacityOf = (film: number): number => 1 - Math.exp((Math.log(0.02) * film) / OPAQUE_FILM)
