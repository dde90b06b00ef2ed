import { checkWork, kindOf, printedRings, type Look, type Print, type World, stepPrints } from '../look'
import { hexOf, masstone } from '../paint'
import type { SheetGeometry } from '../stencil'
import { filmPaths } from './filmSvg'
import { f, pathData } from './svgPath'

/** Text made safe for XML. */
export const escapeXml = (text: string): string =>
  text
    .replace(/[&<>"']/g, c => `&#${c.charCodeAt(0)};`)
    .replace(/[\u0000-\u0008\u000B\u000C\u000E-\u001F]/g, '')

/** A sheet as an SVG file in mm: its edge and its openings. */
export function sheetSvg(sheet: SheetGeometry, title: string): string {
  const { width: w, height: h } = sheet
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${f(w)}mm" height="${f(h)}mm" viewBox="${f(-w / 2)} ${f(-h / 2)} ${f(w)} ${f(h)}">
<title>${escapeXml(title)}</title>
<path id="sheet" d="${pathData([sheet.outline])}" fill="none" stroke="#23201D" stroke-width="0.2"/>
<g id="openings" fill="#23201D" fill-rule="evenodd">
${sheet.openings.map(o => `<path d="${pathData([o.outer, ...o.holes])}"/>`).join('\n')}
</g>
</svg>
`
}

/** The colour that a print has by itself: of glitter that of its flakes. */
const colourOf = ({ particles, paints }: Print): string =>
  hexOf(particles?.kind === 'flakes' ? particles.colour : masstone(paints[0]!.optics))

/** How much a print covers; wiping covers with the skin's own colour what it takes off. */
const opacityIn = ({ works, opacity }: Print): number => (works?.kind === 'wipe' ? 1 - works.stays : opacity)

/** Letters of the largest SVG that is written: programs that draw refuse larger ones, or take minutes. */
const MOST_LETTERS = 40e6

/** Counts what was written, and refuses more than a file can have. */
function counted() {
  let letters = 0
  return (text: string): string => {
    letters += text.length
    if (letters > MOST_LETTERS)
      throw new RangeError(
        `The SVG would be larger than ${MOST_LETTERS / 1e6} MB, which hardly any program opens. Export the PNG, or leave out colour layers of fine stencils.`,
      )
    return text
  }
}

/**
 * A look as an SVG file at true size: the prints as paths in order of application, the sheets' edges as a
 * group of their own.
 * Where a stroke crosses itself it stays filled: holes run the other way round and nothing else makes one.
 * A film of several colours gets a gradient, or shapes beside one another; films are drawn with one opacity. What
 * is wiped gets the skin's colour, and what is blended is left out.
 * @param box the part of the picture plane to show, mm
 * @throws RangeError with a sentence when the file would be larger than any program opens
 */
export function lookSvg(look: Look, world: World, box = world.ground.box): string {
  checkWork(look.steps, world)
  const { front } = world.ground
  const within = counted()
  const w = box.maxX - box.minX
  const h = box.maxY - box.minY
  const prints = look.steps.map(step => {
    const paths = stepPrints(step, world)
      .filter(print => print.works?.kind !== 'blend')
      .flatMap((print, n) => {
        const several = print.works ? null : filmPaths(print, `film-${escapeXml(step.id)}-${n}`, front)
        const flat = () => [
          `<path d="${pathData(printedRings(print).map(front.ring))}" fill="${print.works ? look.skin.colour : colourOf(print)}" fill-opacity="${f(opacityIn(print))}" fill-rule="nonzero"/>`,
        ]
        return (several ?? flat()).map(path => within(`    ${path}`))
      })
    return `  <g id="step-${escapeXml(step.id)}">\n    <title>${escapeXml(step.label)}</title>\n${paths.join('\n')}\n  </g>`
  })
  const sheets = look.steps.flatMap(step =>
    kindOf(step)
      .outlines(step, world)
      .map(
        o =>
          `  <path d="${pathData([front.ring(o.ring)])}"><title>${escapeXml(step.label)}${o.twin ? ', twin' : ''}</title></path>`,
      ),
  )
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${f(w)}mm" height="${f(h)}mm" viewBox="${f(box.minX)} ${f(box.minY)} ${f(w)} ${f(h)}">
<title>${escapeXml(look.name)}</title>
<g id="prints" stroke="none">
${prints.join('\n')}
</g>
<g id="sheets" fill="none" stroke="#7A2E5D" stroke-width="0.3">
${sheets.join('\n')}
</g>
</svg>
`
}
