import { dxf, svg, type Hostile } from './hostile'

/*
 * Files in which single fields are hostile: numbers that are long, huge or none in every field that holds one,
 * curves that degenerate, rows and heads by which readers take ever longer.
 */

/** Numbers that are no numbers of any drawing. */
const numbersFor = (letters: number): string[] => [
  '9'.repeat(letters),
  `0.${'3'.repeat(letters)}`,
  `1e${'9'.repeat(Math.min(letters, 400))}`,
  '1e300',
  '-1e300',
  '1e16',
  '1e-300',
  'NaN',
  'Infinity',
]

/** Fields of an SVG that hold a number, each as the body of a drawing with it. */
const SVG_FIELDS: Readonly<Record<string, (n: string) => string>> = {
  'x of a rectangle': n => `<rect x="${n}" y="1" width="9" height="9"/>`,
  'width of a rectangle': n => `<rect x="1" y="1" width="${n}" height="9"/>`,
  'rounding of a rectangle': n => `<rect x="1" y="1" width="9" height="9" rx="${n}"/>`,
  'middle of a circle': n => `<circle cx="${n}" cy="9" r="3"/>`,
  'radius of a circle': n => `<circle cx="9" cy="9" r="${n}"/>`,
  'radius of an ellipse': n => `<ellipse cx="9" cy="9" rx="${n}" ry="3"/>`,
  'points': n => `<polygon points="1,1 ${n},1 9,9"/>`,
  'a path': n => `<path d="M1 1L${n} 1L9 9z"/>`,
  'a steep curve': n => `<path d="M1 1C${n} 1 1 ${n} 9 9z"/>`,
  'an arc': n => `<path d="M1 1A${n} ${n} 0 1 1 9 9z"/>`,
  'the turn of an arc': n => `<path d="M1 1A5 3 ${n} 1 1 9 9z"/>`,
  'a shift': n => `<g transform="translate(${n} 0)"><rect width="9" height="9"/></g>`,
  'a scale': n => `<g transform="scale(${n})"><rect width="9" height="9"/></g>`,
  'a turn': n => `<g transform="rotate(${n})"><rect width="9" height="9"/></g>`,
  'a matrix': n => `<g transform="matrix(1 0 ${n} 1 0 0)"><rect width="9" height="9"/></g>`,
  'the width of a stroke': n => `<path d="M1 1L9 9" fill="none" stroke="black" stroke-width="${n}"/>`,
  'a dash': n => `<path d="M1 1L9 9" fill="none" stroke="black" stroke-dasharray="${n} 1"/>`,
  'a style': n => `<style>rect{stroke-width:${n};stroke:black}</style><rect width="9" height="9"/>`,
  'an opacity': n => `<rect width="9" height="9" fill-opacity="${n}"/>`,
}

/** Entities of a DXF with a number in one of their fields. */
const DXF_FIELDS: Readonly<Record<string, (n: string) => (string | number)[]>> = {
  'a line': n => [0, 'LINE', 8, 0, 10, n, 20, 0, 11, 9, 21, 9],
  'a circle': n => [0, 'CIRCLE', 8, 0, 10, 9, 20, 9, 40, n],
  'an arc': n => [0, 'ARC', 8, 0, 10, 9, 20, 9, 40, 5, 50, 0, 51, n],
  'the radius of an arc': n => [0, 'ARC', 8, 0, 10, 9, 20, 9, 40, n, 50, 0, 51, 90],
  'a point of a polyline': n => [
    0,
    'LWPOLYLINE',
    8,
    0,
    90,
    3,
    70,
    1,
    10,
    n,
    20,
    1,
    10,
    9,
    20,
    9,
    10,
    1,
    20,
    9,
  ],
  'a bulge': n => [0, 'LWPOLYLINE', 8, 0, 90, 2, 70, 1, 10, 1, 20, 1, 42, n, 10, 9, 20, 1, 42, n],
  'the axis of an ellipse': n => [0, 'ELLIPSE', 8, 0, 10, 9, 20, 9, 11, n, 21, 0, 40, 0.5, 41, 0, 42, 6.28],
  'the end of an ellipse': n => [0, 'ELLIPSE', 8, 0, 10, 9, 20, 9, 11, 5, 21, 0, 40, 0.5, 41, 0, 42, n],
  'a knot': n => [
    ...[0, 'SPLINE', 8, 0, 70, 1, 71, 3, 72, 8, 73, 4],
    ...[40, 0, 40, 0, 40, 0, 40, 0, 40, n, 40, 1, 40, 1, 40, 1],
    ...[10, 1, 20, 1, 10, 9, 20, 1, 10, 9, 20, 9, 10, 1, 20, 9],
  ],
}

/** Sheets with a hostile number in every field: `letters` is how long the long ones are. */
export const hostileSheets = (letters = 40_000): Hostile[] =>
  numbersFor(letters).flatMap(n => {
    const short = n.length > 12 ? `${n.slice(0, 6)}… of ${n.length} letters` : n
    return [
      ...Object.entries(SVG_FIELDS).map(([name, body]) => ({
        name: `SVG, ${name}: ${short}`,
        file: svg(body(n)),
      })),
      ...['width', 'height', 'viewBox'].map(name => ({
        name: `SVG, ${name} of the page: ${short}`,
        file: `<svg xmlns="http://www.w3.org/2000/svg" width="9mm" ${name}="${name === 'viewBox' ? `0 0 ${n} 9` : n}"><rect width="2" height="2"/></svg>`,
      })),
      ...Object.entries(DXF_FIELDS).map(([name, entity]) => ({
        name: `DXF, ${name}: ${short}`,
        file: dxf(entity(n)),
      })),
    ]
  })

/** Tables that are no logs and no palettes: rows, cells and names by which a reader may take ever longer. */
export const hostileTables = (much = 1): Hostile[] => {
  const n = (count: number) => Math.round(count * much)
  const head = 'run,look id,look,look version,length,device,typed,started,ended,step id'
  const rows = (count: number, row: (i: number) => string) =>
    Array.from({ length: n(count) }, (_, i) => row(i))
  return [
    {
      name: 'one run of many rows',
      file: [head, ...rows(60_000, i => `r,,M,1,whole,d,,,,s${i}`)].join('\n'),
    },
    { name: 'many runs', file: [head, ...rows(60_000, i => `r${i},,M,1,whole,d,,,,s`)].join('\n') },
    { name: 'a cell of digits', file: `${head}\nr,,M,${'9'.repeat(n(2_000_000))}` },
    { name: 'quotes that never close', file: `${head}\n${'"'.repeat(n(400_001))}` },
    { name: 'quotes by turns', file: `${head}\n${'"a",'.repeat(n(200_000))}"` },
    { name: 'a head of many names', file: `${rows(60_000, i => `c${i}`).join(',')}\n1` },
    { name: 'a head of one name', file: `${rows(60_000, () => 'run').join(',')}\n1` },
    { name: 'commas alone', file: ','.repeat(n(1_000_000)) },
    { name: 'line ends alone', file: '\r\n'.repeat(n(500_000)) },
    {
      name: 'colours of long numbers',
      file: `name,colour\n${rows(20, i => `c${i},rgb(${'9'.repeat(n(40_000))} 0 0)`).join('\n')}`,
    },
    {
      name: 'a palette of long numbers',
      file: `GIMP Palette\n${rows(20, () => '9'.repeat(n(40_000))).join('\n')}`,
    },
    { name: 'a palette of blanks', file: `GIMP Palette\n${' '.repeat(n(400_000))}x` },
    { name: 'JSON of brackets', file: '['.repeat(n(200_000)) },
    {
      name: 'JSON of runs that are none',
      file: JSON.stringify({ format: 'janusform-log', runs: rows(20_000, () => '') }),
    },
    { name: 'no text', file: '' },
    { name: 'zeros', file: '\0'.repeat(n(100_000)) },
  ]
}

/** Bytes that begin as a picture does, or as an archive, and go on as none. */
export const hostileBytes = (): { name: string; bytes: Uint8Array }[] => {
  const heads: Record<string, string> = {
    'PNG': '\x89PNG\r\n\x1a\n\0\0\0\rIHDR',
    'PNG of no head': '\x89PNG\r\n\x1a\n',
    'JPEG': '\xff\xd8\xff\xe0\0\x10JFIF\0',
    'JPEG with EXIF': '\xff\xd8\xff\xe1\0\x08Exif\0\0MM\0*',
    'WebP': 'RIFF\0\0\0\0WEBPVP8 ',
    'WebP without loss': 'RIFF\0\0\0\0WEBPVP8L',
    'WebP with more': 'RIFF\0\0\0\0WEBPVP8X',
    'icns': 'icns\0\0\x10\0ic07',
    'GIF': 'GIF89a',
    'BMP': 'BM',
    'TIFF': 'II*\0',
    'HEIC': '\0\0\0\x18ftypheic',
    'JPEG XL': '\0\0\0\x0cJXL ',
    'ZIP': 'PK\x03\x04',
    'ZIP of no files': 'PK\x05\x06',
  }
  return Object.entries(heads).flatMap(([name, head]) =>
    [0, 1, 0x7f, 0xff].map(fill => {
      const bytes = new Uint8Array(4096).fill(fill)
      bytes.set(Uint8Array.from(head, c => c.charCodeAt(0)))
      return { name: `${name}, then ${fill}`, bytes }
    }),
  )
}
