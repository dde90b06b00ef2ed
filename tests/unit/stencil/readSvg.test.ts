import { describe, expect, it } from 'vitest'
import { polygonArea } from '#core/geometry'
import { readSvg } from '#core/stencil'

const svg = (body: string, head = 'width="100mm" height="60mm" viewBox="0 0 100 60"') =>
  `<svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" ${head}>${body}</svg>`
const area = (body: string, head?: string) =>
  readSvg(svg(body, head)).sheet.openings.reduce((a, o) => a + polygonArea(o), 0)

describe('shapes', () => {
  it.each([
    ['rect', '<rect x="10" y="10" width="20" height="5"/>', 100, 1e-6],
    ['rounded rect', '<rect x="10" y="10" width="20" height="10" rx="3"/>', 200 - (4 - Math.PI) * 9, 0.3],
    ['circle', '<circle cx="30" cy="30" r="10"/>', Math.PI * 100, 0.9],
    ['ellipse', '<ellipse cx="30" cy="30" rx="10" ry="4"/>', Math.PI * 40, 0.5],
    ['polygon', '<polygon points="10,10 30,10 30,30"/>', 200, 1e-6],
    ['path with an arc', '<path d="M20 30a10 10 0 0 1 20 0z"/>', Math.PI * 50, 0.8],
    ['path with cubics and shorthands', '<path d="M10 10h20v20H10z"/>', 400, 1e-6],
    ['quadratic', '<path d="M10 30Q30 -10 50 30Z"/>', (2 / 3) * 40 * 20, 1.2],
    ['smooth shorthands', '<path d="M10 30C10 10 30 10 30 30S50 50 50 30L50 31 10 31Z"/>', 480, 1.5],
    ['relative repeated lines', '<path d="m10 10 20 0 0 10-20 0z m40 0 5 0 0 5-5 0z"/>', 225, 1e-6],
  ])('reads a %s', (_name, body, expected, slack) => {
    expect(Math.abs(area(body) - expected)).toBeLessThan(slack)
  })

  it('takes nested groups and transforms in order', () => {
    const { sheet } = readSvg(
      svg(
        '<g transform="translate(50 30)"><g transform="rotate(90) scale(2)"><rect x="0" y="0" width="5" height="2"/></g></g>',
      ),
    )
    const xs = sheet.openings[0]!.outer.filter((_, i) => i % 2 === 0)
    const ys = sheet.openings[0]!.outer.filter((_, i) => i % 2 === 1)
    expect(
      [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)].map(
        v => Math.round(v * 1e6) / 1e6 + 0,
      ),
    ).toEqual([-4, 0, 0, 10])
  })

  it('follows fill rules, style attributes and use', () => {
    expect(area('<path fill-rule="evenodd" d="M10 10h20v20h-20zM15 15h10v10h-10z"/>')).toBeCloseTo(300, 5)
    expect(area('<path d="M10 10h20v20h-20zM15 15h10v10h-10z"/>')).toBeCloseTo(400, 5)
    expect(area('<path d="M10 10h20v20h-20zM15 15v10h10v-10z"/>')).toBeCloseTo(300, 5)
    expect(
      area('<g style="fill-rule: evenodd"><path d="M10 10h20v20h-20zM15 15h10v10h-10z"/></g>'),
    ).toBeCloseTo(300, 5)
    expect(
      area(
        '<defs><rect id="r" width="4" height="4"/></defs><use href="#r" x="10" y="10"/><use xlink:href="#r" transform="translate(30 30)"/>',
      ),
    ).toBeCloseTo(32, 5)
  })

  it('leaves out what is not cut', () => {
    const body =
      '<rect x="10" y="10" width="5" height="5"/><rect x="1" y="1" width="9" height="9" display="none"/><g id="guides"><rect width="50" height="50"/></g><text>a</text><rect x="2" y="2" width="8" height="8" fill="none"/><clipPath id="c"><rect width="90" height="40"/></clipPath>'
    expect(area(body)).toBeCloseTo(25, 6)
  })

  it('joins openings that touch or overlap, and keeps near ones apart', () => {
    expect(
      readSvg(svg('<rect x="10" y="10" width="10" height="10"/><rect x="18" y="12" width="10" height="10"/>'))
        .sheet.openings,
    ).toHaveLength(1)
    expect(
      readSvg(
        svg('<rect x="10" y="10" width="10" height="10"/><rect x="20.300" y="10" width="10" height="10"/>'),
      ).sheet.openings,
    ).toHaveLength(2)
  })
})

describe('sizes', () => {
  it('fits the viewBox into width and height', () => {
    const { sheet, sized } = readSvg(
      svg('<rect x="5" y="5" width="10" height="10"/>', 'width="4in" height="2in" viewBox="0 0 40 20"'),
    )
    expect([sheet.width, sheet.height, sized]).toEqual([101.6, 50.8, true])
    expect(polygonArea(sheet.openings[0]!)).toBeCloseTo(25.4 ** 2, 4)
  })

  it('says when a file has no real size, and takes one', () => {
    expect(readSvg(svg('<rect x="5" y="5" width="10" height="10"/>', 'viewBox="0 0 40 20"')).sized).toBe(
      false,
    )
    expect(
      readSvg(svg('<rect x="5" y="5" width="10" height="10"/>', 'viewBox="0 0 40 20"'), { mmPerUnit: 2 })
        .sheet.width,
    ).toBe(80)
  })

  it("takes the stencil's edge from the element called stencil", () => {
    const { sheet } = readSvg(
      svg(
        '<rect id="sheet" x="10" y="10" width="60" height="40" fill="none"/><circle cx="40" cy="30" r="5"/>',
      ),
    )
    expect([sheet.width, sheet.height, sheet.openings.length]).toEqual([60, 40, 1])
  })
})

describe('bad input', () => {
  const many = `<path d="M0 0${'l0.1 0.1 0.1 -0.1'.repeat(70_000)}z"/>`
  it.each([
    ['no SVG', 'hello', /not an SVG/],
    ['another XML', '<html xmlns="http://www.w3.org/1999/xhtml"/>', /not an SVG/],
    ['damaged XML', '<svg xmlns="http://www.w3.org/2000/svg"><g>', /damaged/],
    ['no opening', svg('<text>hi</text>'), /no opening/],
    ['only zero areas', svg('<path d="M1 1L5 5Z"/>'), /no opening/],
    ['not a number', svg('<rect x="NaN" y="1" width="5" height="5"/>'), /not a number/],
    ['a path that breaks off', svg('<path d="M1 1 L NaN 4"/>'), /cannot be read/],
    ['a negative size', svg('<rect x="1" y="1" width="-5" height="5"/>'), /negative/],
    ['a negative page', svg('<rect width="5" height="5"/>', 'width="-4mm" height="10mm"'), /above zero/],
    ['a bad viewBox', svg('<rect width="5" height="5"/>', 'viewBox="0 0 0 10"'), /viewBox/],
    ['too many points', svg(many), /points/],
    [
      'a stencil of four metres',
      svg('<rect width="5" height="5"/>', 'width="4m" height="1m" viewBox="0 0 4 1"'),
      /size|long/,
    ],
    [
      'a stencil of 4000 mm',
      svg('<rect width="5" height="5"/>', 'width="4000mm" height="100mm"'),
      /4.0 m long/,
    ],
    ['an opening past the edge', svg('<rect x="90" y="10" width="20" height="20"/>'), /past the stencil/],
    ['an open cut line', svg('<path fill="none" stroke="red" d="M10 10h10v10"/>'), /open by/],
    ['a strange transform', svg('<rect width="5" height="5" transform="bend(4)"/>'), /transform/],
  ])('refuses %s with a sentence', (_name, text, sentence) => {
    expect(() => readSvg(text)).toThrow(RangeError)
    expect(() => readSvg(text)).toThrow(sentence)
  })

  it('closes a cut line across a small gap, with a note', () => {
    const { sheet, notes } = readSvg(svg('<path fill="none" stroke="red" d="M10 10h10v10h-10v-9.9"/>'))
    expect(sheet.openings).toHaveLength(1)
    expect(notes.join()).toMatch(/gap of 0.10 mm/)
  })

  it('runs no script, follows no reference outside and expands no entity', () => {
    const text =
      `<?xml version="1.0"?><!DOCTYPE svg [<!ENTITY a "aaaaaaaaaa"><!ENTITY b "&a;&a;&a;&a;"><!ENTITY x SYSTEM "file:///etc/passwd">]>` +
      svg(
        '<script>throw new Error("ran")</script><image href="http://127.0.0.1/x.png"/><use href="other.svg#a"/><desc>&b;&x;</desc><rect x="5" y="5" width="10" height="10" onclick="alert(1)"/>',
      )
    const { sheet, notes } = readSvg(text)
    expect(sheet.openings).toHaveLength(1)
    expect(notes.join()).toMatch(/another file/)
  })

  it('stops at uses that call each other', () => {
    expect(() => readSvg(svg('<g id="a"><use href="#b"/></g><g id="b"><use href="#a"/></g>'))).toThrow(
      /nested/,
    )
  })
})
