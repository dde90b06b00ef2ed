/**
 * What is drawn over the picture is mulberry with a light rim: on whatever skin or paint, one of the two stands
 * out by 3 to 1 or more (WCAG 2.2, 1.4.11).
 */
export const MULBERRY = '#722A57'
export const PAPER = '#FFFFFF'

/** What is drawn with: of a canvas of the page, or of one that a worker draws. */
export type Pen = CanvasRenderingContext2D | OffscreenCanvasRenderingContext2D

/** Strokes the path that is drawn in mulberry with a light rim. */
export function edged(c: Pen, rim: number, line: number, light = PAPER): void {
  c.lineWidth = rim
  c.strokeStyle = light
  c.stroke()
  c.lineWidth = line
  c.strokeStyle = MULBERRY
  c.stroke()
}

/** What the openings of a moving sheet are filled with, as it shows best on the skin. */
export const inkOn = (dark: boolean): string => (dark ? PAPER : MULBERRY)
