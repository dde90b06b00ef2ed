/** Width of the rulers along the stage's top and left edge, px. */
export const RULER = 18
