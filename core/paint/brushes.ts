/** How a brush is made: what it can do follows from that. */
export type BrushForm = 'round' | 'flat' | 'angled' | 'filbert' | 'dagger'

/** A brush. All values are starting values (common practice), shown as estimates. */
export interface Brush {
  readonly name: string
  readonly form: BrushForm
  /** Narrowest and widest line that pressure gives, mm. */
  readonly least: number
  readonly most: number
  /** How much line a load gives, mm. */
  readonly line: number
}

export const BRUSHES = {
  round1: { name: 'round no. 1', form: 'round', least: 0.3, most: 1.4, line: 160 },
  round2: { name: 'round no. 2', form: 'round', least: 0.4, most: 2.4, line: 220 },
  round3: { name: 'round no. 3', form: 'round', least: 0.5, most: 3.8, line: 260 },
  round4: { name: 'round no. 4', form: 'round', least: 0.6, most: 5.4, line: 300 },
  flat13: { name: 'flat 13 mm', form: 'flat', least: 1.2, most: 13, line: 140 },
  flat19: { name: 'flat 19 mm', form: 'flat', least: 1.4, most: 19, line: 160 },
  flat25: { name: 'flat 25 mm', form: 'flat', least: 1.6, most: 25, line: 180 },
  angled10: { name: 'angled flat 10 mm', form: 'angled', least: 0.9, most: 10, line: 130 },
  angled16: { name: 'angled flat 16 mm', form: 'angled', least: 1.1, most: 16, line: 150 },
  filbert8: { name: 'filbert 8 mm', form: 'filbert', least: 1, most: 8, line: 150 },
  dagger6: { name: 'dagger 6 mm', form: 'dagger', least: 0.4, most: 6, line: 240 },
} as const satisfies Record<string, Brush>

export type BrushId = keyof typeof BRUSHES
export const BRUSH_IDS = Object.keys(BRUSHES) as BrushId[]

/**
 * Film that a brush stroke leaves, mg/cm2: opaque in one go from a round, thinner from a wide flat (common
 * practice).
 */
export const brushFilm = (brush: BrushId): number =>
  BRUSHES[brush].form === 'round' || BRUSHES[brush].form === 'dagger' ? 3.4 : 2.7

/** Width that a pressure of 0 to 1 gives, mm. */
export const widthAt = (brush: BrushId, press: number): number =>
  BRUSHES[brush].least + press * (BRUSHES[brush].most - BRUSHES[brush].least)
