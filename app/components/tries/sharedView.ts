/** The part of all pictures that is seen: they are zoomed and moved together. */
export interface SharedView {
  readonly zoom: number
  /** How far they are moved, as shares of a picture's own size, %. */
  readonly x: number
  readonly y: number
  readonly wheel: (event: WheelEvent) => void
  readonly press: (event: PointerEvent) => void
  readonly drag: (event: PointerEvent) => void
  readonly release: () => void
  readonly key: (event: KeyboardEvent) => void
  readonly by: (factor: number) => void
  readonly whole: () => void
}

const MOST_ZOOM = 6
/** How far a press of an arrow moves, %, and what a press of + zooms by. */
const STEP = 6
const FACTOR = 1.25

export function useSharedView(): SharedView {
  const at = reactive({ zoom: 1, x: 0, y: 0 })
  let grip: { x: number; y: number; width: number; height: number } | null = null
  /** Nothing is moved out of sight: half of what is seen stays picture. */
  function moveTo(x: number, y: number): void {
    const room = 50 * (at.zoom - 1) + 1e-9
    at.x = Math.min(room, Math.max(-room, x))
    at.y = Math.min(room, Math.max(-room, y))
  }
  function by(factor: number): void {
    at.zoom = Math.min(MOST_ZOOM, Math.max(1, at.zoom * factor))
    moveTo(at.x, at.y)
  }
  const KEYS: Readonly<Record<string, () => void>> = {
    'ArrowLeft': () => moveTo(at.x + STEP, at.y),
    'ArrowRight': () => moveTo(at.x - STEP, at.y),
    'ArrowUp': () => moveTo(at.x, at.y + STEP),
    'ArrowDown': () => moveTo(at.x, at.y - STEP),
    '+': () => by(FACTOR),
    '=': () => by(FACTOR),
    '-': () => by(1 / FACTOR),
    '0': () => by(0),
  }
  return reactive({
    ...toRefs(at),
    wheel: (event: WheelEvent) => by(Math.exp(-event.deltaY / 500)),
    press: (event: PointerEvent) => {
      const on = event.currentTarget as HTMLElement
      on.setPointerCapture(event.pointerId)
      grip = { x: event.clientX, y: event.clientY, width: on.clientWidth, height: on.clientHeight }
    },
    drag: (event: PointerEvent) => {
      if (!grip) return
      const { width, height } = grip
      moveTo(
        at.x + (100 * (event.clientX - grip.x)) / width,
        at.y + (100 * (event.clientY - grip.y)) / height,
      )
      grip = { ...grip, x: event.clientX, y: event.clientY }
    },
    release: () => {
      grip = null
    },
    key: (event: KeyboardEvent) => {
      const act = KEYS[event.key]
      if (!act || event.ctrlKey || event.metaKey || event.altKey) return
      event.preventDefault()
      act()
    },
    by,
    whole: () => by(0),
  })
}
