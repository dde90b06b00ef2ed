import { createSharedComposable, useMediaQuery } from '@vueuse/core'

/** What can lie beside the face where there is no room for all of it. */
export type BenchPanel = 'tray' | 'card' | 'build'
/** `wide` has everything in view; `across` and `tall` are tablets, `phone` has one panel at a time. */
export type BenchLayout = 'wide' | 'across' | 'tall' | 'phone'

/** Areas of the bench's grid, its columns and rows; without its panel where that is closed. */
const FRAMES: Readonly<Record<BenchLayout, { open: string; closed: string }>> = {
  wide: {
    open: '"head head head" auto "tray face card" minmax(0,1fr) "build build build" 124px / 17.6rem minmax(0,1fr) 21rem',
    closed: '',
  },
  across: {
    open: '"head head" auto "face tabs" auto "face panel" minmax(0,1fr) "build build" 124px / minmax(0,1fr) 20rem',
    closed: '"head" auto "face" minmax(0,1fr) "tabs" auto "build" 124px / minmax(0,1fr)',
  },
  tall: {
    open: '"head" auto "face" minmax(0,1fr) "tabs" auto "panel" 36dvh "build" 124px / minmax(0,1fr)',
    closed: '"head" auto "face" minmax(0,1fr) "tabs" auto "build" 124px / minmax(0,1fr)',
  },
  phone: {
    open: '"head" auto "face" minmax(0,1fr) "tabs" auto "panel" 40dvh / minmax(0,1fr)',
    closed: '"head" auto "face" minmax(0,1fr) "tabs" auto / minmax(0,1fr)',
  },
}

/** How the bench is laid out in this window, and which panel lies beside the face. */
export const useBenchLayout = createSharedComposable(() => {
  const wide = useMediaQuery('(min-width: 1100px)')
  const tablet = useMediaQuery('(min-width: 700px)')
  const landscape = useMediaQuery('(orientation: landscape)')
  const layout = computed<BenchLayout>(() =>
    wide.value ? 'wide' : !tablet.value ? 'phone' : landscape.value ? 'across' : 'tall',
  )
  /** The panel that lies open; null when the face has all the room. */
  const panel = ref<BenchPanel | null>('tray')
  const panels = computed<readonly (readonly [BenchPanel, string])[]>(() =>
    layout.value === 'phone'
      ? [
          ['tray', 'Tray'],
          ['card', 'Step'],
          ['build', 'Build'],
        ]
      : [
          ['tray', 'Tray'],
          ['card', 'Step'],
        ],
  )
  /** The open panel, of those that there are. */
  const shown = computed(() => panels.value.find(([id]) => id === panel.value)?.[0] ?? null)
  const frame = computed(() => FRAMES[layout.value][wide.value || shown.value ? 'open' : 'closed'])
  /** Where a part of the bench lies; null where it is hidden. */
  function area(part: BenchPanel): string | null {
    if (wide.value) return part
    if (part === 'build' && layout.value !== 'phone') return 'build'
    return shown.value === part ? 'panel' : null
  }
  return { wide, layout, panel, panels, shown, frame, area }
})
