import { useElementSize, useEventListener } from '@vueuse/core'
import type { Point } from '#core/geometry'

interface View {
  x: number
  y: number
  w: number
  h: number
}

/** Nearer and farther than the whole by so much at most. */
const CLOSEST = 30
const FARTHEST = 0.8

/** What of a plane is seen in an SVG: moved by the wheel, two fingers or the middle button. */
export function useSheetView(svg: Readonly<Ref<SVGSVGElement | null>>, whole: () => View) {
  const view = shallowRef<View>(whole())
  watch(whole, next => (view.value = next))
  const zoom = computed(() => whole().w / view.value.w)
  /** Length of one pixel of the screen in the plane. */
  const { width, height } = useElementSize(svg)
  const px = computed(() =>
    Math.max(view.value.w / Math.max(200, width.value), view.value.h / Math.max(150, height.value)),
  )

  const at = (event: { clientX: number; clientY: number }): Point => {
    const m = svg.value!.getScreenCTM()!.inverse()
    return [m.a * event.clientX + m.c * event.clientY + m.e, m.b * event.clientX + m.d * event.clientY + m.f]
  }
  function zoomBy(factor: number, about?: Point): void {
    const { x, y, w, h } = view.value
    const k = Math.min(CLOSEST / zoom.value, Math.max(FARTHEST / zoom.value, factor))
    const [cx, cy] = about ?? [x + w / 2, y + h / 2]
    view.value = { x: cx - (cx - x) / k, y: cy - (cy - y) / k, w: w / k, h: h / k }
  }
  useEventListener(
    svg,
    'wheel',
    (event: WheelEvent) => {
      event.preventDefault()
      zoomBy(Math.exp(-event.deltaY * 0.0016), at(event))
    },
    { passive: false },
  )
  /** Begins to move what is seen; true when the press was for that. */
  function pan(event: PointerEvent): boolean {
    if (event.button !== 1 && !(event.button === 0 && event.altKey)) return false
    event.preventDefault()
    let last = at(event)
    const move = (next: PointerEvent) => {
      const now = at(next)
      view.value = { ...view.value, x: view.value.x + last[0] - now[0], y: view.value.y + last[1] - now[1] }
      last = at(next)
    }
    const end = () => {
      window.removeEventListener('pointermove', move)
      window.removeEventListener('pointerup', end)
    }
    window.addEventListener('pointermove', move)
    window.addEventListener('pointerup', end)
    return true
  }
  const box = computed(() => `${view.value.x} ${view.value.y} ${view.value.w} ${view.value.h}`)
  return { view, box, zoom, px, at, zoomBy, pan, whole: () => (view.value = whole()) }
}
