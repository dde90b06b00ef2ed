import { Resvg } from '@resvg/resvg-js'
import { describe, expect, it } from 'vitest'
import { boxOf, polygonArea } from '#core/geometry'
import { readSvg } from '#core/stencil'

/**
 * What is cut must be what is drawn: the same files go through a general renderer (resvg, by its npm package),
 * and the dark share of its picture is held against the open area of the sheet that is read.
 */
const PX_PER_MM = 8

function darkArea(svg: string): number {
  const picture = new Resvg(svg, {
    fitTo: { mode: 'zoom', value: (PX_PER_MM * 25.4) / 96 },
    background: '#ffffff',
    font: { loadSystemFonts: false },
  }).render()
  const { pixels } = picture
  let dark = 0
  for (let p = 0; p < pixels.length; p += 4) dark += 1 - pixels[p]! / 255
  return dark / PX_PER_MM ** 2
}
const openArea = (svg: string): number => readSvg(svg).sheet.openings.reduce((a, o) => a + polygonArea(o), 0)

const page = (body: string, head = 'width="100mm" height="80mm" viewBox="0 0 100 80"') =>
  `<svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" ${head}>${body}</svg>`
/** A repeatable number in [0, 1). */
const rnd = (n: number): number => {
  const v = Math.sin(n * 127.1 + 11.7) * 43758.5453
  return v - Math.floor(v)
}
const blob = (n: number, cx: number, cy: number, r: number): string => {
  const at = (i: number) => {
    const k = r * (0.7 + 0.5 * rnd(n * 31 + (i % 7)))
    return [cx + k * Math.cos((i * 2 * Math.PI) / 7), cy + k * Math.sin((i * 2 * Math.PI) / 7)]
  }
  const pts = Array.from({ length: 7 }, (_, i) => at(i))
  return `M${pts[0]!.map(v => v.toFixed(3)).join(' ')}${pts
    .slice(1)
    .map(
      p => `Q${(p[0]! + rnd(n)).toFixed(3)} ${(p[1]! - 1).toFixed(3)} ${p.map(v => v.toFixed(3)).join(' ')}`,
    )
    .join('')}Z`
}

/** Files that show every way of drawing, several of each with other numbers. */
const FEATURES: Record<string, (n: number) => string> = {
  'a style sheet with classes': n =>
    page(`<style>.cut{fill:#000} .not{fill:none} g > .deep{fill:black}</style>
      <path class="cut" d="${blob(n, 25, 30, 12)}"/><path class="not" d="${blob(n + 1, 60, 30, 12)}"/>
      <g fill="none"><path class="deep" d="${blob(n + 2, 70, 55, 10)}"/></g>`),
  'ids and weights of selectors': n =>
    page(`<style>#one{fill:black} path.a{fill:none} path{fill:black} .b.c{fill:black}</style>
      <path id="one" class="a" d="${blob(n, 25, 30, 12)}"/><path class="a" d="${blob(n, 60, 25, 8)}"/>
      <path class="b c" style="" d="${blob(n + 3, 70, 58, 9)}"/>`),
  '!important': n =>
    page(`<style>.x{fill:black !important}.y{fill:none !important}</style>
      <path class="x" style="fill:none" d="${blob(n, 25, 30, 12)}"/>
      <path class="y" style="fill:black" d="${blob(n, 60, 30, 12)}"/>
      <path class="y" style="fill:black !important" d="${blob(n + 2, 70, 60, 9)}"/>`),
  'nothing that can be seen': n =>
    page(`<path opacity="0" d="${blob(n, 25, 30, 12)}"/><path fill-opacity="0" d="${blob(n, 50, 30, 9)}"/>
      <path fill="transparent" d="${blob(n, 75, 30, 9)}"/><g style="opacity:0"><circle cx="20" cy="60" r="8"/></g>
      <circle cx="60" cy="60" r="${6 + n}"/>`),
  'white as paper': n =>
    page(`<rect width="100" height="80" fill="#fff"/><path d="${blob(n, 40, 40, 20)}"/>
      <circle cx="40" cy="40" r="${4 + n}" fill="white"/><rect x="36" y="38" width="8" height="3" fill="#000"/>
      <rect x="70" y="10" width="12" height="9" fill="#ffffff"/>`),
  'clip paths': n =>
    page(`<defs><clipPath id="c"><circle cx="35" cy="40" r="${12 + n}"/><rect x="60" y="30" width="10" height="20"/></clipPath></defs>
      <g clip-path="url(#c)"><path d="${blob(n, 35, 40, 22)}"/><rect x="55" y="35" width="30" height="10"/></g>`),
  'clip paths on shapes, moved and in shares': n =>
    page(`<defs><clipPath id="c" transform="translate(${n} 2)"><rect x="20" y="20" width="22" height="18"/></clipPath>
      <clipPath id="d" clipPathUnits="objectBoundingBox"><rect x="0.25" y="0.1" width="0.5" height="0.6"/></clipPath></defs>
      <circle cx="30" cy="30" r="14" clip-path="url(#c)"/>
      <ellipse cx="70" cy="45" rx="${12 + n}" ry="15" style="clip-path:url(#d)"/>`),
  'masks': n =>
    page(`<defs><mask id="m"><rect width="100" height="80" fill="white"/><circle cx="40" cy="40" r="${6 + n}" fill="black"/></mask></defs>
      <path d="${blob(n, 40, 40, 22)}" mask="url(#m)"/>`),
  'wide strokes': n =>
    page(`<path d="M15 20L50 ${24 + n}L80 15" fill="none" stroke="black" stroke-width="4"/>
      <path d="M15 45H80" stroke="#000" stroke-width="3" stroke-linecap="round" fill="none"/>
      <path d="M20 62H${60 + n}" stroke="#000" stroke-width="5" stroke-linecap="square" fill="none"/>`),
  'strokes round fills': n =>
    page(`<rect x="15" y="15" width="${20 + n}" height="18" stroke="black" stroke-width="4"/>
      <rect x="55" y="15" width="20" height="18" stroke="white" stroke-width="3"/>
      <circle cx="35" cy="58" r="10" stroke="black" stroke-width="2.5" fill="none"/>
      <path d="M60 50l20 4l-9 16z" stroke="black" stroke-width="3" stroke-linejoin="round"/>`),
  'strokes under transforms': n =>
    page(`<g transform="translate(50 40) rotate(${10 * n}) scale(2 1)">
      <path d="M-18 -8L0 6L18 -8" fill="none" stroke="black" stroke-width="3" stroke-linejoin="bevel"/></g>`),
  'symbols': n =>
    page(`<symbol id="s" viewBox="0 0 10 10"><circle cx="5" cy="5" r="4.5"/><rect x="-4" y="4" width="6" height="2"/></symbol>
      <use href="#s" x="10" y="10" width="${20 + n}" height="20"/><use xlink:href="#s" x="50" y="30" width="30" height="15"/>`),
  'svg within svg': n =>
    page(`<svg x="10" y="10" width="40" height="30" viewBox="0 0 20 10" preserveAspectRatio="xMinYMax meet"><rect width="${8 + n}" height="8"/></svg>
      <svg x="55" y="20" width="30" height="40" viewBox="0 0 10 10" preserveAspectRatio="none"><circle cx="5" cy="5" r="5"/></svg>
      <svg x="10" y="50" width="20" height="20" viewBox="0 0 10 5" preserveAspectRatio="xMidYMid slice"><circle cx="5" cy="2.5" r="4"/></svg>`),
  'a page that is fitted': n =>
    page(
      `<circle cx="25" cy="25" r="${15 + n}"/>`,
      `width="100mm" height="60mm" viewBox="0 0 50 50" preserveAspectRatio="${['xMinYMin', 'xMaxYMid meet', 'none'][n % 3]}"`,
    ),
  'transforms as attributes': n =>
    page(`<rect x="10" y="10" width="20" height="10" transform="translate(6 ${n}) rotate(20)"/>
      <rect x="30" y="30" width="20" height="10" transform="skewX(${5 * n}) scale(0.8 1.2)"/>
      <rect x="-60" y="20" width="12" height="9" transform="scale(-1 1)"/>`),
  'what shows within what is hidden': n =>
    page(`<g visibility="hidden"><circle cx="25" cy="30" r="10"/><circle cx="60" cy="30" r="${8 + n}" visibility="visible"/></g>
      <g display="none"><rect x="10" y="50" width="20" height="10" display="inline"/></g>
      <rect x="60" y="55" width="20" height="10"/>`),
  'fill rules and holes': n =>
    page(`<path fill-rule="evenodd" d="${blob(n, 30, 40, 20)}${blob(n + 5, 30, 40, 10)}"/>
      <path d="M60 20h25v25h-25zM65 25v${8 + n}h10v-${8 + n}z"/>`),
  'text and pictures': n =>
    page(`<rect x="20" y="20" width="${20 + n}" height="30"/><text x="50" y="40"></text>`),
}
const NUMBERS = [0, 1, 2, 3]

describe('an SVG is cut as it is drawn', () => {
  const files = Object.entries(FEATURES).flatMap(([name, make]) =>
    NUMBERS.map(n => [`${name}, ${n + 1}`, make(n)] as const),
  )

  it('is tried on more than sixty files', () => expect(files.length).toBeGreaterThanOrEqual(60))

  it.each(files)('%s', (_name, svg) => {
    const drawn = darkArea(svg)
    expect(drawn).toBeGreaterThan(40)
    expect(Math.abs(openArea(svg) - drawn) / drawn).toBeLessThan(0.005)
  })

  // The renderer knows no transforms with units: they are held against the same ones as attributes.
  it('transforms of CSS are those of attributes, units and origin in them', () => {
    const boxes = (body: string) => readSvg(page(body)).sheet.openings.map(o => boxOf(o.outer))
    const rect = (how: string) => `<rect x="20" y="20" width="20" height="10" ${how}/>`
    const pairs = [
      [
        'style="transform: translate(6px, 1mm) rotate(20deg)"',
        `transform="translate(6 ${96 / 25.4}) rotate(20)"`,
      ],
      ['style="transform: rotate(0.05turn) scaleX(0.8)"', 'transform="rotate(18) scale(0.8 1)"'],
      ['style="transform: rotate(30deg); transform-origin: 30px 25px"', 'transform="rotate(30 30 25)"'],
      ['style="transform: translateX(3px) scaleY(2)"', 'transform="translate(3 0) scale(1 2)"'],
    ] as const
    for (const [css, attribute] of pairs) {
      const [a, b] = [boxes(rect(css)), boxes(rect(attribute))]
      for (const key of ['minX', 'minY', 'maxX', 'maxY'] as const)
        expect(a[0]![key], css).toBeCloseTo(b[0]![key], 3)
    }
  })

  it('says what it leaves out', () => {
    const { notes } = readSvg(
      page('<rect x="9" y="9" width="9" height="9"/><text x="5" y="50">Fair</text><image href="x.png"/>'),
    )
    expect(notes.join(' ')).toMatch(/Text was left out/)
    expect(notes.join(' ')).toMatch(/picture was left out/)
  })
})
