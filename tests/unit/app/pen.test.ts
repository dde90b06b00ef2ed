import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { linearOf, SIX_SKINS } from '../../../core/paint'
import { paints } from '../../../demo/paints'
import { MULBERRY, PAPER } from '../../../app/components/bench/stage/ink'

/** Relative luminance and contrast ratio (WCAG 2.2, from the definitions). */
const luminance = (hex: string): number => {
  const [r, g, b] = linearOf(hex)
  return 0.2126 * r + 0.7152 * g + 0.0722 * b
}
const contrast = (a: number, b: number): number => (Math.max(a, b) + 0.05) / (Math.min(a, b) + 0.05)
const shows = (on: number): number =>
  Math.max(contrast(luminance(MULBERRY), on), contrast(luminance(PAPER), on))

describe('what is drawn over the picture', () => {
  it('stands out by 3 to 1 on every skin, every paint and every grey between', () => {
    for (const { colour } of [...SIX_SKINS, ...paints]) expect(shows(luminance(colour))).toBeGreaterThan(3)
    for (let grey = 0; grey <= 1; grey += 0.005) expect(shows(grey), String(grey)).toBeGreaterThan(3)
  })

  it('is an edge by itself too: the rim against the line', () => {
    expect(contrast(luminance(MULBERRY), luminance(PAPER))).toBeGreaterThan(3)
  })
})

describe('borders of fields', () => {
  const css = readFileSync(new URL('../../../app/assets/main.css', import.meta.url), 'utf8')
  const block = (from: string) => css.slice(css.indexOf(from), css.indexOf('}', css.indexOf(from)))
  it.each(['@theme {', '.dark {', '.dark .bg-stage {'])('stand out by 3 to 1 in %s', from => {
    const value = (name: string) =>
      luminance(new RegExp(`--color-${name}: (#[0-9a-f]{6})`).exec(block(from))![1]!)
    for (const ground of ['field', 'paper', 'card'])
      expect(contrast(value('edge'), value(ground)), ground).toBeGreaterThan(3)
  })
})
