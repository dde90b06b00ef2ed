import { SaxesParser } from 'saxes'
import { describe, expect, it } from 'vitest'
import { looks } from '../../looks'
import { escapeXml, lookSvg, sheetFromJson, sheetJson, sheetSvg } from '#core/formats'
import { polygonArea } from '#core/geometry'
import { freshLook, freshSheet, kindOf } from '#core/look'
import { groundOf } from '#core/skin'
import { readSvg } from '#core/stencil'
import { MIDLINE, paint, sheets, world } from '../world'

/** Throws when the text is not well-formed XML. */
const wellFormed = (text: string): void => {
  const parser = new SaxesParser()
  parser.on('error', error => {
    throw error
  })
  parser.write(text).close()
}

describe('a look as SVG', () => {
  it.each(looks.map(l => [l.name, l] as const))(
    '%s is well-formed, with a group for every step',
    (_name, look) => {
      const text = lookSvg(look, world)
      wellFormed(text)
      expect(text.match(/<g id="step-/g)).toHaveLength(look.steps.length)
      for (const step of look.steps) {
        expect(text).toContain(`<title>${escapeXml(step.label)}</title>`)
      }
    },
  )

  it('keeps prints and sheets apart, and prints at true size', () => {
    const step = freshSheet('s', 'S', 'honeycomb', [10, -20], paint('soot'))
    const board = groundOf({ kind: 'board', build: 'fine' }, 30)
    const text = lookSvg({ ...freshLook('l', 'L'), steps: [step] }, { ...world, ground: board })
    const prints = text.slice(text.indexOf('<g id="prints"'), text.indexOf('<g id="sheets"'))
    const back = readSvg(
      `<svg xmlns="http://www.w3.org/2000/svg" width="300mm" height="400mm" viewBox="-150 -200 300 400">${prints}</svg>`,
    ).sheet
    const area = (list: typeof back.openings) => list.reduce((a, o) => a + polygonArea(o), 0)
    expect(area(back.openings)).toBeCloseTo(area(sheets.get('honeycomb')!.openings), 0)
    expect(text.slice(text.indexOf('<g id="sheets"')).match(/<path/g)).toHaveLength(1)
  })

  it('lets no name break out of its place', () => {
    const step = { ...freshSheet('s', '</title><script>alert(1)</script>', 'moth', [0, 0], paint('soot')) }
    const text = lookSvg({ ...freshLook('l', 'A & B "quoted" <i>'), steps: [step] }, world)
    wellFormed(text)
    expect(text).not.toContain('<script')
    expect(text).not.toContain('<i>')
  })
})

describe('sheets', () => {
  it('come back from JSON to a micrometre', () => {
    for (const sheet of sheets.values()) {
      const { id } = sheet
      const back = sheetFromJson(JSON.parse(JSON.stringify(sheetJson(sheet))))
      expect(back.openings).toHaveLength(sheet.openings.length)
      expect(back.width, id).toBe(sheet.width)
      back.openings.forEach((o, i) =>
        o.outer.forEach((v, k) => expect(Math.abs(v - sheet.openings[i]!.outer[k]!)).toBeLessThan(0.00051)),
      )
    }
  })

  it('are drawn with their title made safe', () => {
    const text = sheetSvg(sheets.get('moth')!, 'Moth <b> & "wing"\u0007')
    wellFormed(text)
    expect(text).toContain('<title>Moth &#60;b&#62; &#38; &#34;wing&#34;</title>')
  })
})

it("the twin's print is the mirror image of the first", () => {
  const step = { ...freshSheet('s', 'S', 'feather', [37, 12], paint('soot')), tilt: 23, twin: MIDLINE }
  const [own, twin] = kindOf(step).prints(step, world)
  expect(twin!.rings).toHaveLength(own!.rings.length)
  own!.rings.forEach((ring, r) =>
    ring.forEach((v, i) => expect(twin!.rings[r]![i]).toBeCloseTo(i % 2 ? v : -v, 9)),
  )
})
