import type { Wetness } from './tools'

/** What the test on the back of the hand should look like, and what to do when it does not. */
export const HAND_TEST: Readonly<
  Record<Wetness, { readonly looks: string; readonly wetter: string; readonly drier: string }>
> = {
  chalky: {
    looks: 'a dusty, broken print; pores of skin show through',
    wetter: 'a closed print means more paint than asked: dab once on the towel',
    drier: 'no print at all: touch the sponge to the wet cake once',
  },
  tacky: {
    looks: 'a closed, even print with crisp edges and nothing that runs',
    wetter: 'shiny or soft at the edge: press it on a towel and test again',
    drier: 'broken or dusty: one more turn on the cake',
  },
  damp: {
    looks: 'a full, shiny print whose edge softens a little',
    wetter: 'drops or a rim of water: squeeze the sponge out',
    drier: 'dull and even: a drop of water more',
  },
  runny: {
    looks: 'a pool that bleeds outward and stands in drops',
    wetter: 'it drips: no stencil stays clean with this',
    drier: 'it only shines: that is damp',
  },
}
