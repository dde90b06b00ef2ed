import type { TriedCake } from '../core/cake'
import type { Paint, Strip } from '../core/paint'
import { paint, paints } from './paints'

/** Strips of the demo's single colours. */
const cut = (...list: [id: string, width: number][]): Strip[] =>
  list.map(([id, width]) => {
    const { name, colour } = paints.find(p => p.id === id)!
    return { name, colour, width, paint: id }
  })

/** Strip cakes that are being tried side by side: one whose neighbours turn to mud, and two ways out of that. */
export const triedCakes: readonly TriedCake[] = [
  {
    id: 'lantern-tide-a',
    name: 'Lantern Tide',
    strips: cut(['ivory', 5], ['beacon', 5], ['dusk', 5], ['lagoon', 5], ['midnight', 5]),
  },
  {
    id: 'lantern-tide-b',
    name: 'Lantern Tide, through green',
    strips: cut(['ivory', 5], ['beacon', 5], ['fern', 5], ['lagoon', 5], ['midnight', 5]),
  },
  {
    id: 'lantern-tide-c',
    name: 'Lantern Tide, through rose',
    strips: cut(['ivory', 6], ['thrift', 6], ['mulberry', 5], ['dusk', 5], ['midnight', 4]),
  },
]

/** One that was kept: planned for the fair, and not yet cut. */
export const cakeToMake: Paint = {
  ...paint('rockpool', 'Rockpool', '#1E8A8C', {
    strips: cut(['foam', 6], ['lagoon', 8], ['harbour', 6], ['midnight', 5]),
    cake: 7.5,
  }),
  measured: false,
  openedOn: null,
  grams: null,
  price: null,
  toMake: { length: 40, depth: 5 },
}
