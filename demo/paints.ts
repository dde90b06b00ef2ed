import type { Paint } from '../server/db/paints'

const paint = (id: string, name: string, colour: string, finish: Paint['finish'] = 'matte', eyeSafe = true, lipSafe = false): Paint => ({ id, name, finish, colour, eyeSafe, lipSafe })

/** The demo kit's paints: made-up names. */
export const paints: Paint[] = [
  paint('gull', 'Gull White', '#F4F1EA'), paint('soot', 'Soot Black', '#17151A'), paint('driftwood', 'Driftwood', '#8A6A4F'), paint('sand', 'Warm Sand', '#D9B98C'),
  paint('peat', 'Peat Brown', '#4A2F22'), paint('ember', 'Ember Orange', '#E2611C'), paint('beacon', 'Beacon Yellow', '#F2C230'), paint('kelp', 'Kelp Green', '#2F6B3F'),
  paint('fern', 'Fern Green', '#6FA046'), paint('lagoon', 'Lagoon Teal', '#1E8A8C'), paint('harbour', 'Harbour Blue', '#1F4E9A'), paint('midnight', 'Midnight Blue', '#171E4C'),
  paint('dusk', 'Dusk Violet', '#5B2C83'), paint('mulberry', 'Mulberry', '#8A2A5E'), paint('thrift', 'Sea Thrift Pink', '#E58AB0'), paint('rosehip', 'Rosehip Red', '#B3202C', 'matte', false, true),
  paint('slate', 'Slate Grey', '#5C6470'), paint('sky', 'Morning Sky', '#8FC4E8'),
  paint('oyster', 'Oyster Pearl', '#E6E1E4', 'pearl'), paint('lilac-pearl', 'Lilac Pearl', '#B79BD2', 'pearl'), paint('mackerel', 'Mackerel Silver', '#B8BEC6', 'metallic'), paint('lantern', 'Lantern Gold', '#C79A3B', 'metallic'),
  paint('flare', 'Flare Pink', '#FF3E8A', 'neon', false), paint('glowworm', 'Glow-worm Green', '#7CF23A', 'neon', false),
]
