import { SaxesParser } from 'saxes'
import { describe, expect, it } from 'vitest'
import { looks } from '../../looks'
import { escapeXml, lookSvg, sheetFromJson, sheetJson, sheetSvg } from '#core/formats'
import { polygonArea, signedArea } from '#core/geometry'
import { freshLook, freshOutline, freshPull, freshSheet, kindOf, type Step } from '#core/look'
import { linearOf, luminance } from '#core/paint'
import { groundOf } from '#core/skin'
import { readSvg } from '#core/stencil'
import { ground, MIDLINE, paint, sheets, world } from '../world'

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

  it('keeps prints and stencils apart, and prints at true size', () => {
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

  describe('of films of several colours', () => {
    const [gull, soot, plum] = ['gull', 'soot', 'plum'].map(paint)
    const pathsOf = (step: Step): string => {
      const text = lookSvg({ ...freshLook('l', 'L'), steps: [step] }, world)
      wellFormed(text)
      return text.slice(text.indexOf('<g id="prints"'), text.indexOf('<g id="sheets"'))
    }
    const base = freshOutline('b', 'Base', [0, -40], [gull!, soot!], ground)

    it('has a gradient out from the middle, with every colour at its stop', () => {
      const text = pathsOf({ ...base, colours: [gull!, plum!, soot!], stops: [0, 0.25, 1] })
      const [, reach] = /<radialGradient [^>]*r="([\d.]+)"/.exec(text)!
      expect(base.axis.kind === 'out' && Math.abs(Number(reach) - base.axis.reach)).toBeLessThan(0.01)
      const stops = [...text.matchAll(/offset="([\d.]+)" stop-color="(#\w+)"/g)].map(m => [
        Number(m[1]),
        m[2],
      ])
      expect(stops[0]![0]).toBe(0)
      expect(stops.some(([at]) => at === 0.25)).toBe(true)
      expect(stops.at(-1)![0]).toBe(1)
      expect(text.match(/fill="url\(#film-b-0\)"/g)).toHaveLength(1)
    })

    it('has a line that runs out to nothing', () => {
      const axis = {
        kind: 'line' as const,
        from: [0, -60] as [number, number],
        to: [0, -20] as [number, number],
      }
      const text = pathsOf({ ...base, axis, runsOut: 0.5 })
      expect(text).toMatch(/<linearGradient [^>]*x1="0" [^>]*x2="0"/)
      expect(text).toMatch(/offset="1" stop-color="#\w+" stop-opacity="0"/)
    })

    it('has ever smaller shapes in from its own edge, the rim last in its colours', () => {
      const text = pathsOf({ ...base, axis: { kind: 'edge', depth: 6 } })
      const fills = [...text.matchAll(/fill="(#\w+)"/g)].map(m => m[1]!)
      expect(fills.length).toBeGreaterThan(5)
      expect(luminance(linearOf(fills[0]!))).toBeLessThan(luminance(linearOf(fills.at(-1)!)))
    })

    it('has the strips of a cake side by side across a sponge, as wide as they are in the cake', () => {
      const cake = {
        id: 'c',
        name: 'C',
        colour: '#ffffff',
        strips: [gull!, soot!].map((p, i) => ({ ...p, width: i ? 30 : 10 })),
      }
      const strips = cake.strips.map(({ colour, name, width }) => ({ colour, name, width }))
      const load = { kind: 'cake' as const, cake: { ...cake, strips }, strips: null }
      const board = groundOf({ kind: 'board', build: 'fine' }, 30)
      const step = freshPull('p', 'drawn', [0, 0], load, board, [0, 0])
      const text = lookSvg({ ...freshLook('l', 'L'), steps: [step] }, { ...world, ground: board })
      const areas = [...text.matchAll(/ d="([^"]+)" fill="#/g)].map(([, d]) => {
        const points = [...d!.matchAll(/(-?[\d.]+) (-?[\d.]+)/g)].flatMap(m => [Number(m[1]), Number(m[2])])
        return Math.abs(signedArea(Float64Array.from(points)))
      })
      expect(areas).toHaveLength(2)
      expect(areas[1]! / areas[0]!).toBeCloseTo(3, 0)
    })
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
