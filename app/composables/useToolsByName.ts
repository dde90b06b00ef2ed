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
      words: `Draw: ${shapeOf(id).words}`,
      also: `stroke brush ${ALSO[id] ?? ''}`,
      run: () => strokes.addLine(id),
    })),
    ...AROUND_IDS.map(id => ({
      words: `Draw: ${AROUND[id].words}`,
      also: `around ${ALSO[id] ?? ''}`,
      run: () => strokes.addAround(id),
    })),
    { words: 'Dots in a row', also: 'pearls points', run: () => strokes.addDots('row') },
    { words: 'Dots in threes', also: 'points', run: () => strokes.addDots('threes') },
  ]
  const decorating = (): Doing[] => [
    { words: 'Gem', also: 'jewel sparkle stone rhinestone', run: () => sparkle.addGem('round') },
    { words: 'Glitter, round patch', also: 'sparkle shimmer', run: () => sparkle.addGlitter('patch') },
    { words: 'Glitter over a print', also: 'sparkle shimmer', run: () => sparkle.addGlitter('print') },
    { words: 'Glitter before lifting', also: 'sparkle stencil', run: () => sparkle.beforeLifting() },
    { words: 'Lip colour', also: 'lips mouth lipstick', run: () => sparkle.addLips() },
    {
      words: 'Blend the edges',
      also: 'soften sponge stipple',
      run: () => sponging.addRework('blend', 'rim'),
    },
    {
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
    { words: 'Turn by 15 degrees', also: 'rotate right clockwise', run: () => turn(15) },
    { words: 'Turn back by 15 degrees', also: 'rotate left counterclockwise', run: () => turn(-15) },
    {
      words: 'Flow to the focal point',
      also: 'direction composition',
      run: () => (flow.watching = !flow.watching),
    },
    ...(
      [
        ['Export as JSON', 'export.json', 'file save download'],
        ['Export as SVG', 'export.svg', 'file vector true size'],
        ['Export as PNG', 'picture.png?px=8', 'picture image download'],
      ] as const
    ).map(([words, path, also]) => ({
      words,
      also,
      run: async () => {
        const { id, name } = session.look!
        await session.saver?.flush()
        await fetchFile(words, `/api/looks/${id}/${path}`, `${name}.png`)
      },
    })),
  ]
  return () => [...laying(), ...handling()]
}
