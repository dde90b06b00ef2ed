import type { Ring } from '../geometry'
import type { SheetGeometry } from '../stencil'

const f = (v: number): string => (Math.round(v * 1e4) / 1e4 + 0).toString()

/** A closed ring as an LWPOLYLINE; DXF counts y upward. */
function polyline(ring: Ring, layer: string, handle: number): string[] {
  const lines = [
    '0',
    'LWPOLYLINE',
    '5',
    handle.toString(16).toUpperCase(),
    '100',
    'AcDbEntity',
    '8',
    layer,
    '100',
    'AcDbPolyline',
    '90',
    String(ring.length / 2),
    '70',
    '1',
  ]
  for (let i = 0; i < ring.length; i += 2) lines.push('10', f(ring[i]!), '20', f(-ring[i + 1]!))
  return lines
}

/** A sheet as a DXF file (AC1015) in mm: its edge on layer SHEET, its openings on layer OPENINGS. */
export function sheetDxf(sheet: SheetGeometry): string {
  let handle = 0x30
  const body = [
    polyline(sheet.outline, 'SHEET', handle++),
    ...sheet.openings.flatMap(o => [o.outer, ...o.holes]).map(ring => polyline(ring, 'OPENINGS', handle++)),
  ]
  return [
    '0',
    'SECTION',
    '2',
    'HEADER',
    '9',
    '$ACADVER',
    '1',
    'AC1015',
    '9',
    '$INSUNITS',
    '70',
    '4',
    '9',
    '$MEASUREMENT',
    '70',
    '1',
    '0',
    'ENDSEC',
    '0',
    'SECTION',
    '2',
    'ENTITIES',
    ...body.flat(),
    '0',
    'ENDSEC',
    '0',
    'EOF',
    '',
  ].join('\n')
}
