<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { X } from '@lucide/vue'
import { kindOf, type Look } from '#core/look'
import { modelOf } from '#core/skin'
import type { Wrapped } from '~/workers/picture'
import type { HeadScene, Turn } from './head/scene'

const props = defineProps<{ playTo: number | null }>()
const emit = defineEmits<{ close: [] }>()
const session = useSession()
const scene = useScene()
const painter = usePainter()
const settings = useSettings()
const holder = useTemplateRef<HTMLDivElement>('holder')
const canvas = useTemplateRef<HTMLCanvasElement>('canvas')
const { width, height } = useElementSize(holder)
/** More of the design than this on one side is on that side, mm2 of boxes. */
const SIDED = 200
/** How far the head is turned when it opens, degrees: toward the side on which most of the design lies. */
const OPENS = 35
const turn = ref<Turn>({ across: OPENS * sideOf(), up: 0 })
/** The side of the picture on which most of the look lies: -1 is its left, which is the person's right. */
function sideOf(): -1 | 1 {
  let weight = 0
  for (const step of session.look?.steps ?? []) {
    if (scene.world.off?.has(step.id)) continue
    for (const b of kindOf(step).boxes(step, scene.world))
      weight += Math.sign(b.minX + b.maxX) * (b.maxX - b.minX) * (b.maxY - b.minY)
  }
  return weight < -SIDED ? -1 : 1
}
const problem = ref('')
const ready = ref(false)
/** Three fixed views, kept as small pictures. Left and right are the person's own. */
const fixed = [
  ['from their right', -62],
  ['front', 0],
  ['from their left', 62],
] as const
const thumbs = ref<string[]>([])
/** px to the mm of the picture that the skin wears. */
const FINENESS = 4

let head: HeadScene | null = null,
  limits = { across: 100, up: 35 }
onMounted(async () => {
  await nextTick()
  try {
    const { HeadScene, MOST_TURN } = await import('./head/scene')
    limits = MOST_TURN
    head = new HeadScene(canvas.value!)
  } catch {
    problem.value =
      'This browser has no WebGL, so nothing can be turned here. The picture from the front and everything else work as before.'
    return
  }
  await refresh()
  canvas.value?.focus()
})
onBeforeUnmount(() => {
  head?.dispose()
  head = null
  painter.stop()
})

/** The skin that the head wears; null when it was given up. */
async function wrapped(look: Look): Promise<Wrapped | null> {
  try {
    return await painter.wrapped(look, FINENESS, props.playTo ?? undefined)
  } catch (error) {
    if (!(error instanceof GivenUp)) problem.value = sentencesOf(error).join(' ')
    return null
  }
}
const refresh = newestOnly(async () => {
  const look = session.look
  if (!head || !look || !scene.loaded) return
  const picture = await wrapped(look)
  if (!head || !picture) return
  head.setColours(look.skin.colour, look.skin.hair)
  head.setModel(modelOf(scene.ground, look.skin.cut), scene.ground.box)
  head.setSkin(picture)
  thumbs.value = fixed.map(([, across]) => {
    head!.draw({ across, up: 0 }, 84, 112, 2)
    return canvas.value!.toDataURL()
  })
  ready.value = true
  draw()
})
watch([() => session.look, () => scene.loaded, () => props.playTo], () => refresh())
watch([turn, width, height, () => settings.light], draw)
function draw(): void {
  if (!head || width.value <= 20) return
  head.setLight(settings.light)
  head.draw(turn.value, width.value, height.value, Math.min(2, window.devicePixelRatio || 1))
}

const bounded = (v: number, most: number) => Math.min(most, Math.max(-most, v))
const by = (across: number, up: number) => {
  turn.value = {
    across: bounded(turn.value.across + across, limits.across),
    up: bounded(turn.value.up + up, limits.up),
  }
}
let grip: { x: number; y: number } | null = null
function press(event: PointerEvent): void {
  grip = { x: event.clientX, y: event.clientY }
  canvas.value!.setPointerCapture(event.pointerId)
}
function drag(event: PointerEvent): void {
  if (!grip) return
  by((grip.x - event.clientX) * 0.4, (event.clientY - grip.y) * 0.25)
  grip = { x: event.clientX, y: event.clientY }
}
function key(event: KeyboardEvent): void {
  const step = event.shiftKey ? 15 : 5
  const move = (
    { ArrowLeft: [step, 0], ArrowRight: [-step, 0], ArrowUp: [0, step], ArrowDown: [0, -step] } as Record<
      string,
      [number, number]
    >
  )[event.key]
  if (event.key === 'Escape') emit('close')
  else if (event.key >= '1' && event.key <= '3')
    turn.value = { across: fixed[Number(event.key) - 1]![1], up: 0 }
  else if (move) by(...move)
  else return
  event.preventDefault()
  event.stopPropagation()
}
const words = computed(() =>
  turn.value.across === 0
    ? 'from the front'
    : `${Math.abs(turn.value.across).toFixed(0)}° from their ${turn.value.across < 0 ? 'right' : 'left'}`,
)
</script>

<template>
  <div
    ref="holder"
    class="absolute inset-0 z-10 bg-stage"
    data-testid="turned"
    :data-ready="ready"
    @keydown="key"
  >
    <canvas
      ref="canvas"
      tabindex="0"
      class="block size-full touch-none"
      role="application"
      aria-label="The turned view: drag it, or use the arrow keys; 1, 2 and 3 are fixed views"
      @pointerdown="press"
      @pointermove="drag"
      @pointerup="grip = null"
      @pointercancel="grip = null"
    />
    <div v-if="!problem && !ready" class="absolute inset-0 flex items-center justify-center">
      <WaitBar :words="`Turning the ${scene.ground.words}…`" @stop="emit('close')" />
    </div>
    <p
      v-if="problem"
      role="alert"
      class="absolute inset-x-10 top-24 rounded-xl border border-care bg-card p-4 text-center"
    >
      {{ problem }}
    </p>
    <p
      v-if="ready"
      class="pointer-events-none absolute top-3 left-1/2 -translate-x-1/2 rounded-full bg-ink/85 px-3 py-0.5 text-sm text-paper"
      data-testid="turn"
    >
      {{ words }}
    </p>
    <div v-if="ready" class="absolute top-2 left-2 rounded-lg border border-rule bg-card/90 p-0.5">
      <LightSwitch />
    </div>
    <button class="btn absolute top-2 right-2" aria-label="Back to the front picture" @click="emit('close')">
      <X :size="15" />Back
    </button>
    <div v-if="ready" class="absolute bottom-2 left-2 flex gap-1.5" role="group" aria-label="Fixed views">
      <button
        v-for="([name, across], i) in fixed"
        :key="name"
        class="rounded-lg border bg-card p-1 text-xs"
        :class="
          turn.across === across && turn.up === 0 ? 'border-mulberry text-mulberry' : 'border-rule text-soft'
        "
        :aria-pressed="turn.across === across && turn.up === 0"
        @click="turn = { across, up: 0 }"
      >
        <img :src="thumbs[i]" :alt="`The look ${name}`" class="h-[84px] w-[63px] rounded object-cover" />{{
          name
        }}
      </button>
    </div>
    <p v-if="ready" class="absolute right-3 bottom-2 text-xs text-soft">
      drag, or arrow keys; 1 2 3 fixed views; Esc back
    </p>
  </div>
</template>
