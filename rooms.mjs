// The rooms of the house and the one order in which they stand: a room may use what stands before it, and
// nothing that stands behind.
// Lint enforces it (eslint.config.mjs), and `npm run rooms` draws it into docs/ARCHITECTURE.md.

/** @typedef {{ path: string, does: string }} Room */

/** @type {readonly Room[]} */
export const ROOMS = [
  { path: 'core/memo.ts', does: 'results kept by whoever hands the memo in: bounded' },
  { path: 'core/geometry', does: 'points, rings, polygons with holes, maps, clipping, units' },
  { path: 'core/paint', does: 'colours, optics of films, mixes, tools, edge spread' },
  { path: 'core/skin', does: 'faces, arms and boards; zones; surfaces and how a sheet is laid on them' },
  { path: 'core/stroke', does: 'brushwork in the flat: every stroke by its handles and numbers' },
  { path: 'core/order', does: 'how long hands need, how long films dry' },
  { path: 'core/stencil', does: 'sheets read, measured, mended, prepared; what fits a spot' },
  { path: 'core/draft', does: 'sheets as curves, drawn or read: edited, made even, repeated' },
  { path: 'core/photo', does: 'sheets out of photographs: perspective, light, edges, outlines' },
  {
    path: 'core/look/document',
    does: 'what a look says: schemas of its parts, upgrades; nothing of geometry',
  },
  { path: 'core/look/placement', does: 'handles, twins, registers, seating, where things are in words' },
  { path: 'core/look/kinds', does: 'one folder a kind of step: all that is known of it; the table of kinds' },
  { path: 'core/look/look.ts', does: 'the look itself: read from a file, and what it is painted on' },
  {
    path: 'core/look/composition',
    does: 'steps together: cover, order, flow, hits, arrangements, fresh steps',
  },
  { path: 'core/look/transfer', does: 'a look on another canvas' },
  { path: 'core/look/commands', does: 'changes of a look: each takes a look and gives a look, or refuses' },
  { path: 'core/look/tries', does: 'tries of one look: families, what differs, steps taken over' },
  { path: 'core/look/index.ts', does: 'what others see of a look' },
  { path: 'core/cake', does: 'strip cakes before they are cut: joins, orders, samples, what to cut' },
  { path: 'core/chair', does: 'a look being painted: screens, what was done, the record of it, own pace' },
  { path: 'core/raster', does: 'pixels: the bare skin, masks, films, particles, the finished picture' },
  { path: 'core/checks', does: 'what there is to say of a look, and the change that mends it' },
  { path: 'core/formats', does: 'sheets and looks as open files' },
  { path: 'core/cards', does: 'step cards and templates on paper: PDF with fonts of their own' },
  { path: 'core/cutter', does: 'the simulated cutting machine' },
  { path: 'server', does: 'routes, repositories, pictures' },
  { path: 'app', does: 'pages, stores, workers, the stage' },
  { path: 'demo', does: 'the sample drawer, kit and looks' },
]

/** The room of a file; undefined for what stands in none. */
export const roomOf = file => ROOMS.find(({ path }) => file === path || file.startsWith(`${path}/`))
