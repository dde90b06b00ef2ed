import { TOOLS, type ToolId } from '../paint'

/** Seconds that hands need (common practice, shown as estimates until times are logged). */
export const HANDS = { reload: 4, place: 4, lift: 2, wipe: 8, dab: 0.4, glitter: 5, blend: 6 } as const

/** Reloads for covering an area: ceil(area x film x dabs / (0.6 capacity)), at least one. Area mm2, film mg/cm2. */
export function loadsFor(areaMm2: number, filmPerDab: number, dabs: number, tool: ToolId): number {
  return Math.max(1, Math.ceil(areaMm2 / 100 * filmPerDab * dabs / (0.6 * TOOLS[tool].capacity)))
}

/** Seconds of dabbing over an area: one dab for each footprint of the tool's tip, for each layer. */
export function dabSeconds(areaMm2: number, dabs: number, tool: ToolId): number {
  const footprint = Math.PI / 4 * TOOLS[tool].tip ** 2
  return HANDS.dab * Math.max(1, Math.ceil(areaMm2 / footprint)) * dabs
}

