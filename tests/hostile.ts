/** Files that want to stall or break whoever reads them, made by rule: each with what it is. */
export interface Hostile {
  readonly name: string
  readonly file: string
}

/** An SVG of so many mm with something drawn in it. */
export const svg = (body: string, size = 100): string =>
  `<svg xmlns="http://www.w3.org/2000/svg" width="${size}mm" height="${size}mm" viewBox="0 0 ${size} ${size}">${body}</svg>`
/** A DXF in mm from pairs of group codes and values. */
export const dxf = (pairs: readonly (string | number)[]): string =>
  ['0', 'SECTION', '2', 'HEADER', '9', '$INSUNITS', '70', '4', '0', 'ENDSEC', '0', 'SECTION', '2', 'ENTITIES']
    .concat(pairs.map(String), ['0', 'ENDSEC', '0', 'EOF', ''])
    .join('\n')
/** A straight line as a DXF entity. */
export const line = (x0: number, y0: number, x1: number, y1: number): (string | number)[] => [
  0,
  'LINE',
  8,
  0,
  10,
  x0,
  20,
  y0,
  11,
  x1,
  21,
  y1,
]
const path = (points: readonly (readonly [number, number])[]): string =>
  `<path d="M${points.map(([x, y]) => `${x.toFixed(3)} ${y.toFixed(3)}`).join('L')}Z"/>`

/** Numbers in [0, 1) that are the same at every run (a linear congruence; Numerical Recipes, 7.1). */
function numbers(seed: number): () => number {
  let state = seed
  return () => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0
    return state / 4294967296
  }
}

/** Points spread without order over a sheet. */
const tangle = (count: number, seed = 1): string => {
  const next = numbers(seed)
  return svg(path(Array.from({ length: count }, () => [5 + 90 * next(), 5 + 90 * next()])))
}
const bars = (count: number): string =>
  svg(
    Array.from({ length: count }, (_, i) => {
      const at = 4 + (i >> 1) * (180 / count)
      return i % 2
        ? `<rect x="${at}" y="2" width="${60 / count}" height="96"/>`
        : `<rect x="2" y="${at}" width="96" height="${60 / count}"/>`
    }).join(''),
  )
const heap = (count: number, seed = 2): string => {
  const next = numbers(seed)
  return svg(
    Array.from(
      { length: count },
      () =>
        `<rect x="${(5 + 70 * next()).toFixed(2)}" y="${(5 + 70 * next()).toFixed(2)}" width="20" height="20"/>`,
    ).join(''),
  )
}
/** A circle of radius r mm drawn by so many points. */
export const roundOf = (count: number, r = 40): string =>
  svg(
    path(
      Array.from({ length: count }, (_, i) => {
        const a = (2 * Math.PI * i) / count
        return [50 + r * Math.cos(a), 50 + r * Math.sin(a)]
      }),
    ),
  )
/** An outline that trembles: every point stands off the circle by up to `off` mm. */
export const ragged = (count: number, off: number, seed = 3): string => {
  const next = numbers(seed)
  return svg(
    path(
      Array.from({ length: count }, (_, i) => {
        const a = (2 * Math.PI * i) / count
        const r = 40 + off * (next() - 0.5)
        return [50 + r * Math.cos(a), 50 + r * Math.sin(a)]
      }),
    ),
  )
}
const diagonals = (count: number): string =>
  svg(
    Array.from({ length: count }, (_, i) => {
      const o = (i * 60) / count
      return path([
        [2 + o, 2],
        [2 + o + 8 / count, 2],
        [36 + o, 98],
        [36 + o - 8 / count, 98],
      ])
    }).join(''),
  )

/** A DXF with blocks, from pairs of group codes and values. */
const blocksDxf = (blocks: readonly (string | number)[], entities: readonly (string | number)[]): string =>
  ['0', 'SECTION', '2', 'BLOCKS', ...blocks, '0', 'ENDSEC', '0', 'SECTION', '2', 'ENTITIES', ...entities]
    .concat(['0', 'ENDSEC', '0', 'EOF', ''])
    .join('\n')
const block = (name: string, body: readonly (string | number)[]) =>
  [0, 'BLOCK', 8, 0, 2, name, 70, 0, 10, 0, 20, 0, 3, name, ...body, 0, 'ENDBLK', 8, 0] as const
const insert = (name: string, ...more: (string | number)[]) =>
  [0, 'INSERT', 8, 0, 2, name, 10, 0, 20, 0, ...more] as const

/** Files that ask much of style sheets, clips, masks, strokes and blocks. */
function drawnFiles(n: (count: number) => number): Hostile[] {
  const next = numbers(5)
  const spot = () => `${(5 + 90 * next()).toFixed(2)} ${(5 + 90 * next()).toFixed(2)}`
  const dots = (count: number, how: string) =>
    Array.from(
      { length: count },
      (_, i) => `<circle ${how} cx="${(i * 7) % 97}" cy="${(i * 13) % 89}" r="0.4"/>`,
    )
  const way = (count: number) => `M${Array.from({ length: count }, spot).join('L')}`
  return [
    {
      name: 'a style sheet of 3,000 rules over 8,000 shapes',
      file: svg(
        `<style>${Array.from({ length: n(3000) }, (_, i) => `.a${i},circle.b${i}{fill:black}`).join('')}</style>${dots(n(8000), 'class="a5"').join('')}`,
      ),
    },
    {
      name: 'a selector of 2,000 parts',
      file: svg(
        `<style>${'g '.repeat(n(2000))}{fill:none}</style>${'<g>'.repeat(30)}<rect width="9" height="9"/>${'</g>'.repeat(30)}`,
      ),
    },
    {
      name: 'selectors that look within and around',
      file: svg(`<style>:has(:has(*)) ~ *, :not(:is(g,g)) *{fill:none}</style>${dots(n(6000), '').join('')}`),
    },
    {
      name: 'a style sheet that is no CSS',
      file: svg(`<style>${'{[(}'.repeat(n(20_000))}</style><rect width="9" height="9"/>`),
    },
    {
      name: 'a wide stroke through a tangle',
      file: svg(`<path fill="none" stroke="black" stroke-width="3" d="${way(n(3000))}"/>`),
    },
    {
      name: 'a fine clip over 5,000 shapes',
      file: svg(
        `<clipPath id="c"><path d="${way(n(40))}Z"/>${dots(n(3000), '').join('')}</clipPath><g clip-path="url(#c)">${dots(n(5000), '').join('')}</g>`,
      ),
    },
    {
      name: 'a clip that clips itself',
      file: svg(
        '<clipPath id="c"><rect width="9" height="9" clip-path="url(#c)"/></clipPath><rect width="9" height="9" clip-path="url(#c)"/>',
      ),
    },
    {
      name: 'a mask on every one of 6,000 shapes',
      file: svg(
        `<mask id="m">${dots(n(400), 'fill="white"').join('')}</mask>${dots(n(6000), 'mask="url(#m)"').join('')}`,
      ),
    },
    {
      name: 'white and dark by turns, 10,000 times',
      file: svg(
        Array.from(
          { length: n(10_000) },
          (_, i) =>
            `<circle fill="${i % 2 ? '#fff' : '#000'}" cx="${(i * 7) % 97}" cy="${(i * 13) % 89}" r="3"/>`,
        ).join(''),
      ),
    },
    {
      name: 'blocks that multiply',
      file: blocksDxf(
        [
          ...Array.from({ length: 10 }, (_, i) =>
            block(`b${i}`, Array.from({ length: 20 }, () => insert(`b${i + 1}`)).flat()),
          ).flat(),
          ...block('b10', [0, 'POINT', 8, 0, 10, 0, 20, 0]),
        ],
        insert('b0'),
      ),
    },
    {
      name: 'a block in a thousand million rows',
      file: blocksDxf(block('b', [0, 'POINT', 8, 0, 10, 0, 20, 0]), insert('b', 70, 30_000, 71, 30_000)),
    },
    {
      name: '10,000 small circles at one place',
      file: dxf(
        Array.from({ length: n(10_000) }, (_, i) => [
          0,
          'CIRCLE',
          8,
          0,
          10,
          0,
          20,
          0,
          40,
          0.3 + i * 1e-4,
        ]).flat(),
      ),
    },
  ]
}

/** The files: `much` scales how large they are. */
export const hostileFiles = (much = 1): Hostile[] => {
  const n = (count: number) => Math.round(count * much)
  const letters = 'a'.repeat(n(80_000))
  return [
    {
      name: 'a DXF that announces a thousand million points',
      file: dxf([0, 'LWPOLYLINE', 8, 0, 90, 1_000_000_000, 70, 1, 10, 1, 20, 1]),
    },
    {
      name: 'a DXF that announces a thousand million knots',
      file: dxf([0, 'SPLINE', 8, 0, 71, 3, 72, 1_000_000_000, 73, 1_000_000_000, 10, 1, 20, 1, 40, 0]),
    },
    {
      name: 'a DXF spline of degree 30,000',
      file: dxf([0, 'SPLINE', 71, 30_000, 10, 1, 20, 1, 10, 2, 20, 2]),
    },
    {
      name: 'a transform of 80,000 letters',
      file: svg(`<g transform="${letters}"><rect width="9" height="9"/></g>`),
    },
    { name: 'a width of 80,000 letters', file: svg(`<rect width="${letters}" height="9"/>`) },
    { name: 'a width of 80,000 digits', file: svg(`<rect width="${'1'.repeat(n(80_000))}x" height="9"/>`) },
    { name: 'points of 80,000 letters', file: svg(`<polygon points="${letters}"/>`) },
    { name: 'a path of 80,000 letters', file: svg(`<path d="${letters}"/>`) },
    { name: 'a style of 80,000 letters', file: svg(`<path style="${letters}" d="M1 1h9v9z"/>`) },
    {
      name: 'a page size of 80,000 blanks',
      file: `<svg xmlns="http://www.w3.org/2000/svg" width="1${' '.repeat(n(80_000))}x" height="9mm"/>`,
    },
    {
      name: 'a view box of 80,000 blanks',
      file: `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0${' '.repeat(n(80_000))}x"/>`,
    },
    { name: 'a tangle of 3,000 random points', file: tangle(n(3000)) },
    { name: 'a tangle of 20,000 random points', file: tangle(n(20_000)) },
    { name: '600 crossing bars', file: bars(n(600)) },
    { name: '3,000 crossing bars', file: bars(n(3000)) },
    { name: '28,000 overlapping rectangles', file: heap(n(28_000)) },
    {
      name: '28,000 times the same rectangle',
      file: svg('<rect x="5" y="5" width="20" height="20"/>'.repeat(n(28_000))),
    },
    {
      name: '900,000 groups never closed',
      file: `<svg xmlns="http://www.w3.org/2000/svg" width="9mm" height="9mm">${'<g>'.repeat(n(900_000))}`,
    },
    { name: '900,000 empty groups', file: svg('<g/>'.repeat(n(900_000))) },
    { name: 'a circle of 6,000 points', file: roundOf(n(6000)) },
    { name: 'a circle of 100,000 points', file: roundOf(n(100_000)) },
    { name: 'a small circle of 30,000 points', file: roundOf(n(30_000), 3) },
    { name: 'a trembling outline of 30,000 points', file: ragged(n(30_000), 0.4) },
    { name: '4,000 slanting slits', file: diagonals(n(4000)) },
    {
      name: 'references that multiply',
      file: svg(
        `<defs><g id="a0"><rect width="1" height="1"/></g>${Array.from({ length: 12 }, (_, i) => `<g id="a${i + 1}">${`<use href="#a${i}"/>`.repeat(10)}</g>`).join('')}</defs><use href="#a12"/>`,
      ),
    },
    { name: '8 MB of one letter', file: `<svg ${'a'.repeat(n(8_000_000))}` },
    {
      name: '30,000 short lines that never meet',
      file: dxf(
        Array.from({ length: n(30_000) }, (_, i) =>
          line(i % 200, Math.floor(i / 200), (i % 200) + 0.5, Math.floor(i / 200)),
        ).flat(),
      ),
    },
    ...drawnFiles(n),
  ]
}
