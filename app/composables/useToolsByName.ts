import { AROUND, AROUND_IDS } from '#core/look'
import { SHAPE_IDS, shapeOf } from '#core/stroke'
import type { Doing } from './useCommands'

/** What else people call the strokes that the tray draws. */
const ALSO: Readonly<Record<string, string>> = {
  line: 'stroke brush linework',
  teardrop: 'drop stroke brush',
  eyeliner: 'eye lid liner',
  lashes: 'eye eyelashes',
  whiskers: 'cat tiger animal',
  band: 'one stroke rainbow flat brush',
  flower: 'petals rose',
  outline: 'contour edge around linework',
  highlight: 'light white shine',
}

/** What the tray lays, by name. */
function useLayingByName() {
  const strokes = useStrokes()
  const sparkle = useSparkle()
  const sponging = useSponging()
  const drawing = (): Doing[] => [
    ...SHAPE_IDS.map(id => ({
      id: `draw ${id}`,
      words: `Draw: ${shapeOf(id).words}`,
      also: `stroke brush ${ALSO[id] ?? ''}`,
      run: () => strokes.addLine(id),
    })),
    ...AROUND_IDS.map(id => ({
      id: `draw around ${id}`,
      words: `Draw: ${AROUND[id].words}`,
      also: `around ${ALSO[id] ?? ''}`,
      run: () => strokes.addAround(id),
    })),
    { id: 'dots-row', words: 'Dots in a row', also: 'pearls points', run: () => strokes.addDots('row') },
    { id: 'dots-threes', words: 'Dots in threes', also: 'points', run: () => strokes.addDots('threes') },
  ]
  const decorating = (): Doing[] => [
    { id: 'gem', words: 'Gem', also: 'jewel sparkle stone rhinestone', run: () => sparkle.addGem('round') },
    {
      id: 'glitter-patch',
      words: 'Glitter, round patch',
      also: 'sparkle shimmer',
      run: () => sparkle.addGlitter('patch'),
    },
    {
      id: 'glitter-print',
      words: 'Glitter over a print',
      also: 'sparkle shimmer',
      run: () => sparkle.addGlitter('print'),
    },
    {
      id: 'glitter-before',
      words: 'Glitter before lifting',
      also: 'sparkle stencil',
      run: () => sparkle.beforeLifting(),
    },
    { id: 'lips', words: 'Lip colour', also: 'lips mouth lipstick', run: () => sparkle.addLips() },
    {
      id: 'blend',
      words: 'Blend the edges',
      also: 'soften sponge stipple',
      run: () => sponging.addRework('blend', 'rim'),
    },
    {
      id: 'clean',
      words: 'Clean along a way',
      also: 'wet brush wipe edge',
      run: () => sponging.addRework('wetBrush', 'trail'),
    },
  ]
  return () => [...drawing(), ...decorating()]
}

/** Every stroke, dot, gem and glitter of the tray, and what is done to what is selected, by name. */
export function useToolsByName(): () => Doing[] {
  const session = useSession()
  const selection = useSelection()
  const flow = useFlow()
  const placing = usePlacing()
  const shaping = useShaping()
  const { fetchFile } = useExport()
  const laying = useLayingByName()
  const turn = (by: number) => (selection.byHandles ? shaping : placing).turn(by)

  /** What is done to what is selected, and to the whole look. */
  const handling = (): Doing[] => [
    { id: 'turn', words: 'Turn by 15 degrees', also: 'rotate right clockwise', run: () => turn(15) },
    {
      id: 'turn-back',
      words: 'Turn back by 15 degrees',
      also: 'rotate left counterclockwise',
      run: () => turn(-15),
    },
    {
      id: 'flow',
      words: 'Flow to the focal point',
      also: 'direction composition',
      run: () => (flow.watching = !flow.watching),
    },
    ...(
      [
        ['export-json', 'Export as JSON', 'export.json', 'file save download'],
        ['export-svg', 'Export as SVG', 'export.svg', 'file vector true size'],
        ['export-png', 'Export as PNG', 'picture.png?px=8', 'picture image download'],
      ] as const
    ).map(([id, words, path, also]) => ({
      id,
      words,
      also,
      run: async () => {
        const look = session.look!
        await session.saver?.flush()
        await fetchFile(words, `/api/looks/${look.id}/${path}`, `${look.name}.png`)
      },
    })),
  ]
  return () => [...laying(), ...handling()]
}
