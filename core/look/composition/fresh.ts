import { tenthPoint, type Point } from '../../geometry'
import { PLAIN_FACE, type Ground, type ZoneId } from '../../skin'
import {
  LOOK_FORMAT,
  LOOK_VERSION,
  NO_TWIN,
  NOT_ASKED,
  USUAL_WAYS,
  type PaintRef,
  type Ways,
} from '../document'
import { axisFor, washRings, type SheetStep, type Wash } from '../kinds'
import type { Look } from '../look'

/** A new empty look on an adult face of a middle skin tone. */
export function freshLook(id: string, name: string): Look {
  return {
    format: LOOK_FORMAT,
    version: LOOK_VERSION,
    id,
    name,
    notes: '',
    tags: [],
    canvas: { ...PLAIN_FACE, nudges: {} },
    skin: { colour: '#d9a98a', hair: '#3a2a20', eyes: 'open', age: 30 },
    sitting: { ...NOT_ASKED },
    focus: [0, 0],
    budget: null,
    steps: [],
  }
}

/** A new base over some zones, light in their middle. */
export function freshWash(
  id: string,
  label: string,
  zones: ZoneId[],
  colours: PaintRef[],
  ground: Ground,
): Wash {
  const wash: Wash = {
    kind: 'wash',
    id,
    label,
    optional: false,
    worth: 5,
    twin: { ...NO_TWIN, own: null },
    group: null,
    zones,
    points: [],
    straight: false,
    colours,
    axis: { kind: 'out', from: [0, 0], reach: 60 },
    tool: 'openCell',
    wetness: 'damp',
    dabs: 2,
    glitter: false,
  }
  return { ...wash, axis: axisFor(washRings(wash, ground)) }
}

/** A new base on an outline of its own: an oval about a point. */
export function freshOutline(
  id: string,
  label: string,
  [x, y]: Point,
  colours: PaintRef[],
  ground: Ground,
): Wash {
  const points = Array.from({ length: 8 }, (_, i) =>
    tenthPoint([x + 20 * Math.sin((i * Math.PI) / 4), y - 14 * Math.cos((i * Math.PI) / 4)]),
  )
  const wash = { ...freshWash(id, label, ['forehead'], colours, ground), zones: [], points }
  return { ...wash, axis: axisFor(washRings(wash, ground)) }
}

/** Dabs that leave as much as one good load does (common practice). */
const THICK = 7

/** A new stencil step with one pass of one colour. */
export function freshSheet(
  id: string,
  label: string,
  stencil: string,
  at: Point,
  paint: PaintRef,
  ways: Pick<Ways, 'tool' | 'load'> = USUAL_WAYS,
): SheetStep {
  return {
    kind: 'sheet',
    id,
    label,
    optional: false,
    worth: 5,
    twin: { ...NO_TWIN },
    group: null,
    stencil,
    at: [at[0], at[1]],
    tilt: 0,
    side: 'A',
    grip: [0, 0],
    register: null,
    dry: true,
    passes: [
      {
        openings: { use: 'all' },
        load: { kind: 'one', paint },
        tool: ways.tool,
        // An ordinary sponge bleeds unless it is used very dry.
        wetness: ways.tool === 'openCell' ? 'chalky' : 'tacky',
        dabs: ways.load === 'thin' ? 4 : THICK,
        charge: 1,
        glitter: false,
      },
    ],
  }
}
