import { useLocalStorage, usePreferredReducedMotion } from '@vueuse/core'
import type { Driver, DriveStep } from 'driver.js'
import type { Point } from '#core/geometry'
import { deltaE, linearOf } from '#core/paint'
import type { BenchPanel } from '~/composables/useBenchLayout'

/** A stop of the tour: what it shows, and what pressing on does. */
interface Stop {
  readonly element: string
  /** The panel that must lie open on a small screen for it to be seen. */
  readonly panel?: BenchPanel
  readonly title: string
  readonly description: string
  /** What the button says that goes on, and does before it does. */
  readonly next: string
  readonly act: () => unknown
}

/** What the tour needs of the bench besides its stores. */
interface TourNeeds {
  readonly play: () => void
  readonly check: () => void
}

/** Whether the tour was taken or put off on this device. */
export const useTourAnswered = () => useLocalStorage('janusform-tour-answered', false)

/** What the tour does for the painter: each of it can be undone. */
function useActs() {
  const session = useSession()
  const scene = useScene()
  const drawer = useDrawer()
  const kit = useKit()
  const steps = useSteps()
  const laying = useLaying()
  const selection = useSelection()
  const twins = useTwins()
  /** On the cheek, or in the middle of what has none. */
  function aside(): Point {
    const { face } = scene.ground
    if (!face) return scene.middle()
    const { outerEye, mouthCorner } = face.landmarks.right
    return [outerEye[0] - 4, (outerEye[1] + mouthCorner[1]) / 2]
  }
  /** Lays the smallest motif on a cheek. */
  async function lay(): Promise<void> {
    const small = drawer.list.toSorted((a, b) => a.width * a.height - b.width * b.height)
    const sheet = small.find(s => s.kind === 'motif') ?? small[0]
    if (sheet) await laying.addSheet(sheet.id, aside())
  }
  /** Gives the first colour layer the paint that shows best on this skin. */
  function colour(): void {
    const skin = linearOf(session.look!.skin.colour)
    const shows = kit.singles
      .map(p => ({ p, by: deltaE(linearOf(p.colour), skin) }))
      .sort((a, b) => b.by - a.by)[0]
    if (!shows) return
    steps.editKind('sheet', 'colour', sheet => {
      sheet.passes[0]!.load = { kind: 'one', paint: kit.refOf(shows.p) }
    })
  }
  function twin(): void {
    if (selection.step?.twin.rule === 'none') twins.toggle()
  }
  return { lay, colour, twin }
}

/** The six stops of the tour. */
function useStops({ play, check }: TourNeeds): readonly Stop[] {
  const acts = useActs()
  return [
    {
      element: '[data-testid="stage"]',
      title: 'The face',
      description:
        'Everything you lay shows here at once, as it will look on this skin. Turn the wheel or pinch to come closer; drag what lies there to move it.',
      next: 'On to the stencils',
      act: () => {},
    },
    {
      element: '[aria-label="Tray"]',
      panel: 'tray',
      title: 'Your stencils',
      description:
        'All at one scale. Press one, or drag it over, and it is laid where it fits. The tabs hold bases, brushwork and sparkle.',
      next: 'Lay a small one',
      act: acts.lay,
    },
    {
      element: '[aria-label="Step card"]',
      panel: 'card',
      title: 'The step',
      description:
        'What is in hand is told here: its colour layers, sponge or dauber, how wet, how many dabs. Below stands what comes of it.',
      next: 'Choose what shows best',
      act: acts.colour,
    },
    {
      element: '[aria-label="Step card"] [data-section="Twin"]',
      panel: 'card',
      title: 'The other side',
      description: 'A twin is painted on the other side, turned over as you would turn the stencil (key T).',
      next: 'Twin it',
      act: acts.twin,
    },
    {
      element: '[aria-label="Build strip"]',
      panel: 'build',
      title: 'The build',
      description:
        'The steps in the order in which you paint them, with the face after each. Drag to reorder; Order finds the quickest.',
      next: 'Play it',
      act: play,
    },
    {
      element: '[data-testid="findings"]',
      title: 'The check',
      description:
        'Whatever would go wrong on skin is told here, most with a change that mends it. Ctrl Z takes back what the tour did; Ctrl K finds everything else by its name.',
      next: 'Show me the check',
      act: check,
    },
  ]
}

/** A tour of six stops that does what it tells of; it ends wherever one wants. */
export function useTour(needs: TourNeeds) {
  const bench = useBenchLayout()
  const answered = useTourAnswered()
  const motion = usePreferredReducedMotion()
  const stops = useStops(needs)
  let tour: Driver | null = null

  /** Opens the panel that a stop shows. */
  async function uncover(stop: Stop | undefined): Promise<void> {
    if (stop?.panel && !bench.wide.value) bench.panel.value = stop.panel
    await nextTick()
  }
  function stepFor(stop: Stop, i: number): DriveStep {
    const { element, title, description, next } = stop
    let acting = false
    const onNextClick = async () => {
      if (acting) return
      acting = true
      await stop.act()
      await uncover(stops[i + 1])
      acting = false
      tour?.moveNext()
    }
    return { element, popover: { title, description, nextBtnText: next, doneBtnText: next, onNextClick } }
  }
  async function begin(): Promise<void> {
    answered.value = true
    const { driver } = await import('driver.js')
    await uncover(stops[0])
    tour?.destroy()
    tour = driver({
      steps: stops.map(stepFor),
      animate: motion.value !== 'reduce',
      overlayOpacity: 0.28,
      stagePadding: 4,
      showProgress: true,
      progressText: 'Stop {{current}} of {{total}}',
      showButtons: ['next', 'close'],
      overlayClickBehavior: () => {},
    })
    tour.drive()
  }
  onBeforeUnmount(() => tour?.destroy())
  return { begin }
}
