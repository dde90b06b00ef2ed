/** How paint sits on oily or sweaty skin, against clean dry skin (common practice, estimates). */
export const OILY = {
  /** Share of what a tool lets go that stays on the skin. */
  holds: 0.82,
  /** How much farther paint creeps under an edge. */
  creeps: 1.3,
} as const

/** Share of the paint that passes over hair which stays on it, against the skin between (common practice). */
export const HAIR_TAKES = 0.45

/** The colour of brows and lashes as they are drawn. */
export const BROW_HAIR = '#2a1b13'
