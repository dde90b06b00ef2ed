import { USED, type Tool } from '../paint'

/** Seconds that hands need (common practice, shown as estimates until times are logged). */
export const HANDS = {
  reload: 4,
  place: 4,
  lift: 2,
  wipe: 8,
  dab: 0.4,
  glitter: 5,
  blend: 6,
  brushLoad: 3,
  brushLift: 0.3,
  dot: 0.6,
  gem: 6,
  lips: 12,
} as const

/** How fast a brush is drawn, mm/s (common practice). */
const BRUSH_SPEED = 60

/**
 * Seconds of loading and of drawing, and loads, for some pulls of a brush: their lengths in mm, how much line a load gives, and lifting
 * between two.
 */
export function strokeEffort(
  lengths: readonly number[],
  line: number,
): { loading: number; drawing: number; loads: number } {
  const total = lengths.reduce((s, l) => s + l, 0)
  const loads = lengths.length ? Math.max(1, Math.ceil(total / line)) : 0
  return {
    loads,
    loading: HANDS.brushLoad * loads,
    drawing: total / BRUSH_SPEED + HANDS.brushLift * lengths.length,
  }
}

/**
 * Reloads for covering an area: ceil(area x film x dabs / (0.6 capacity)), at least one. Area mm2, film
 * mg/cm2.
 */
export function loadsFor(
  areaMm2: number,
  filmPerDab: number,
  dabs: number,
  tool: Pick<Tool, 'capacity'>,
): number {
  return Math.max(1, Math.ceil(((areaMm2 / 100) * filmPerDab * dabs) / (USED * tool.capacity)))
}

/** How often each place of a base is met: dabs overlap there, so that none shows (common practice). */
const OVERLAPS = 2.5
/** Seconds to begin a place of a base, and to soften its edge in each layer (common practice). */
const BEGINS = 2
const EDGE = 2

/**
 * Seconds of sponging a base: dabs that overlap, and for each separate place of it a beginning and an edge that is
 * softened (common practice: six places of a face in three layers take about a minute and a half).
 * @param areaMm2 of all places together
 */
export const baseSeconds = (
  areaMm2: number,
  places: number,
  layers: number,
  tool: Pick<Tool, 'tip'>,
): number => dabSeconds(OVERLAPS * areaMm2, layers, tool) + places * (BEGINS + EDGE * layers)

/** Seconds of dabbing over an area: one dab for each footprint of the tool's tip, for each layer. */
export function dabSeconds(areaMm2: number, dabs: number, tool: Pick<Tool, 'tip'>): number {
  const footprint = (Math.PI / 4) * tool.tip ** 2
  return HANDS.dab * Math.max(1, Math.ceil(areaMm2 / footprint)) * dabs
}
