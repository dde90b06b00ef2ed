import {
  filmOver,
  hexOf,
  opticsFrom,
  linearOf,
  WHITE_CARD,
  type Finish,
  type Paint,
  type Strip,
} from '../core/paint'

/**
 * Hiding power of a finish where nothing else is said: whites and earths hide best, neons least (common
 * practice).
 */
const HIDING: Record<Finish, number> = { matte: 0.965, pearl: 0.86, metallic: 0.94, neon: 0.72 }

/** A swatch is dabbed thinner than a maker's drawdown, so it hides less than that (common practice). */
const THINNER = 1.7

interface More {
  finish?: Finish
  hiding?: number
  eyeSafe?: boolean
  lipSafe?: boolean
  strips?: Strip[]
  opened?: string
  grams?: number
  cake?: number
  price?: number
  months?: number
}

/** A made-up paint with the swatch that such a paint would give. */
export function paint(id: string, name: string, colour: string, more: More = {}): Paint {
  const finish = more.finish ?? 'matte'
  const optics = opticsFrom(linearOf(colour), 1 - THINNER * (1 - (more.hiding ?? HIDING[finish])))
  return {
    id,
    name,
    finish,
    colour,
    overBlack: hexOf(filmOver(optics, 1, [0, 0, 0])),
    overWhite: hexOf(filmOver(optics, 1, [WHITE_CARD, WHITE_CARD, WHITE_CARD])),
    measured: true,
    strips: more.strips ?? [],
    eyeSafe: more.eyeSafe ?? finish !== 'neon',
    lipSafe: more.lipSafe ?? false,
    openedOn: more.opened ?? '2026-04-11',
    months: more.months ?? 24,
    grams: more.grams ?? 22,
    cakeGrams: more.cake ?? 30,
    price: more.price ?? 9,
  }
}
const strips = (...list: [string, string, number][]): Strip[] =>
  list.map(([name, colour, width]) => ({ name, colour, width }))

/** The demo kit's paints: made-up names. */
export const paints: Paint[] = [
  paint('gull', 'Gull White', '#F4F1EA', { hiding: 0.985, grams: 41, cake: 50, price: 14 }),
  paint('soot', 'Soot Black', '#17151A', { hiding: 0.995, grams: 36, cake: 50, price: 14 }),
  paint('driftwood', 'Driftwood', '#8A6A4F', { hiding: 0.975 }),
  paint('sand', 'Warm Sand', '#D9B98C', { hiding: 0.97 }),
  paint('peat', 'Peat Brown', '#4A2F22', { hiding: 0.985 }),
  paint('ember', 'Ember Orange', '#E2611C', { hiding: 0.94 }),
  paint('beacon', 'Beacon Yellow', '#F2C230', { hiding: 0.9 }),
  paint('kelp', 'Kelp Green', '#2F6B3F'),
  paint('fern', 'Fern Green', '#6FA046', { hiding: 0.95 }),
  paint('lagoon', 'Lagoon Teal', '#1E8A8C'),
  paint('harbour', 'Harbour Blue', '#1F4E9A', { hiding: 0.975 }),
  paint('midnight', 'Midnight Blue', '#171E4C', { hiding: 0.985 }),
  paint('dusk', 'Dusk Violet', '#5B2C83', { hiding: 0.97 }),
  paint('mulberry', 'Mulberry', '#8A2A5E', { lipSafe: true }),
  paint('thrift', 'Sea Thrift Pink', '#E58AB0', { hiding: 0.955, lipSafe: true }),
  paint('rosehip', 'Rosehip Red', '#B3202C', { hiding: 0.94, eyeSafe: false, lipSafe: true }),
  paint('slate', 'Slate Grey', '#5C6470', { hiding: 0.98 }),
  paint('sky', 'Morning Sky', '#8FC4E8', { hiding: 0.96 }),
  paint('coral', 'Coral Buoy', '#E8705A', { hiding: 0.945, lipSafe: true }),
  paint('plum', 'Plum Dusk', '#3D1F3F', { hiding: 0.98, lipSafe: true }),
  paint('sedge', 'Sedge', '#A8A05A', { hiding: 0.95 }),
  paint('foam', 'Foam Mint', '#BFE3D0', { hiding: 0.96 }),
  paint('rust', 'Anchor Rust', '#9A4426', { hiding: 0.975 }),
  paint('ivory', 'Candle Ivory', '#F0E2C2', { hiding: 0.975 }),
  paint('oyster', 'Oyster Pearl', '#E6E1E4', { finish: 'pearl', hiding: 0.9 }),
  paint('lilac-pearl', 'Lilac Pearl', '#B79BD2', { finish: 'pearl' }),
  paint('shell-pearl', 'Shell Pearl', '#EBC3BE', { finish: 'pearl' }),
  paint('tide-pearl', 'Tide Pearl', '#6FB2BE', { finish: 'pearl', lipSafe: true }),
  paint('mackerel', 'Mackerel Silver', '#B8BEC6', { finish: 'metallic' }),
  paint('lantern', 'Lantern Gold', '#C79A3B', { finish: 'metallic' }),
  paint('copper', 'Kettle Copper', '#A9623A', { finish: 'metallic' }),
  paint('flare', 'Flare Pink', '#FF3E8A', { finish: 'neon' }),
  paint('glowworm', 'Glow-worm Green', '#7CF23A', { finish: 'neon' }),
  paint('signal', 'Signal Orange', '#FF7A1A', { finish: 'neon', opened: '2023-05-20' }),
  paint('harbour-lights', 'Harbour Lights', '#2C7FA8', {
    strips: strips(
      ['foam', '#BFE3D0', 8],
      ['sky', '#8FC4E8', 8],
      ['lagoon', '#1E8A8C', 8],
      ['midnight', '#171E4C', 8],
    ),
    price: 16,
  }),
  paint('bonfire', 'Bonfire', '#E2611C', {
    strips: strips(
      ['ivory', '#F0E2C2', 6],
      ['beacon', '#F2C230', 8],
      ['ember', '#E2611C', 8],
      ['rosehip', '#B3202C', 8],
    ),
    price: 16,
  }),
  paint('heather-moor', 'Heather Moor', '#8A2A5E', {
    strips: strips(
      ['shell', '#EBC3BE', 8],
      ['thrift', '#E58AB0', 8],
      ['mulberry', '#8A2A5E', 8],
      ['plum', '#3D1F3F', 6],
    ),
    price: 16,
  }),
]
