<script setup lang="ts">
import { Pause, Play } from '@lucide/vue'
import { VueDraggable } from 'vue-draggable-plus'
import { kindOf, type Step } from '#core/look'
import { TOOLS } from '#core/paint'

const props = defineProps<{ playTo: number | null }>()
const emit = defineEmits<{ play: [] }>()
const bench = useBench(), painter = usePainter(), drawer = useDrawer(), kit = useKit()

/** Pictures of the face after each step; the first is the bare skin. */
const thumbs = shallowRef<string[]>([])
const repaint = newestOnly(async () => {
  if (!bench.look || !bench.loaded) return
  await painter.tell(drawer.shapes, Object.fromEntries(kit.paints.map(p => [p.id, p.colour])))
  thumbs.value = (await painter.thumbs(bench.look, 0.5)).map(p => canvasOf(p).toDataURL())
})
watch([() => bench.look, () => bench.loaded], () => repaint(), { immediate: true })

const steps = computed<Step[]>({
  get: () => [...bench.look!.steps],
  set(next) {
    const order = new Map(next.map((s, i) => [s.id, i]))
    bench.edit('reorder', draft => void draft.steps.sort((a, b) => order.get(a.id)! - order.get(b.id)!))
  },
})
const colourDots = (step: Step) => kindOf(step).paints(step).map(p => kit.find(p.id)?.colour ?? p.colour)
const toolName = (step: Step) => {
  const tool = kindOf(step).tool(step)
  return tool ? TOOLS[tool].name : ''
}

function key(event: KeyboardEvent, i: number): void {
  const by = event.key === 'ArrowLeft' ? -1 : event.key === 'ArrowRight' ? 1 : 0
  if (by === 0 || !event.altKey) return
  event.preventDefault()
  event.stopPropagation()
  const step = steps.value[i]!, to = Math.min(steps.value.length - 1, Math.max(0, i + by))
  bench.move(step.id, to)
  const list = (event.currentTarget as HTMLElement).closest('[data-strip]')
  void nextTick(() => list?.querySelectorAll<HTMLElement>('[data-step]')[to]?.focus())
}
</script>

<template>
  <section class="flex min-w-0 items-stretch border-t border-rule bg-card" aria-label="Build strip">
    <button class="flex w-12 shrink-0 flex-col items-center justify-center gap-1 border-r border-rule text-soft hover:text-mulberry" title="Play the build (P)" @click="emit('play')">
      <component :is="props.playTo === null ? Play : Pause" :size="20" /><span class="text-xs font-semibold">{{ props.playTo === null ? 'Play' : 'Stop' }}</span>
    </button>
    <div class="flex min-w-0 flex-1 items-center overflow-x-auto px-3 py-1.5">
      <figure class="shrink-0 text-center"><img v-if="thumbs[0]" :src="thumbs[0]" alt="Bare skin" class="h-[84px] rounded-md border border-rule object-cover"><figcaption class="text-xs leading-4 text-soft">skin</figcaption></figure>
      <VueDraggable v-model="steps" data-strip class="flex items-center" :animation="150" :delay="80" :delay-on-touch-only="true" role="list" aria-label="Steps in order">
        <div v-for="(step, i) in steps" :key="step.id" class="flex items-center" role="listitem">
          <span class="h-px w-3 bg-soft/50" :class="step.optional && 'border-t border-dashed border-soft bg-transparent'" />
          <button
            :data-step="step.id" :aria-current="step.id === bench.selectedId ? 'step' : undefined" class="w-[104px] shrink-0 rounded-lg border-2 p-1 text-left"
            :class="[step.id === bench.selectedId ? 'border-mulberry bg-mulberry-wash' : step.optional ? 'border-dashed border-rule' : 'border-rule', props.playTo !== null && i >= props.playTo && 'opacity-40']"
            @click="bench.selectedId = step.id" @keydown="key($event, i)"
          >
            <span class="flex gap-1">
              <img v-if="thumbs[i + 1]" :src="thumbs[i + 1]" alt="" draggable="false" class="h-[66px] w-12 rounded-md object-cover">
              <span v-else class="h-[66px] w-12 rounded-md bg-stage" />
              <span class="flex min-w-0 flex-1 flex-col items-start gap-0.5">
                <span class="text-sm font-bold">{{ i + 1 }}</span>
                <span class="flex flex-wrap gap-0.5"><span v-for="(c, n) in colourDots(step)" :key="n" class="size-2.5 rounded-full border border-ink/20" :style="{ background: c }" /></span>
                <span v-if="step.twin !== 'none'" class="rounded bg-ink/80 px-1 text-[0.65rem] font-semibold text-paper">twin</span>
                <span class="sr-only">{{ toolName(step) }}{{ step.optional ? ', optional' : '' }}</span>
              </span>
            </span>
            <span class="block truncate text-xs leading-4 font-semibold">{{ step.label || kindOf(step).words }}</span>
          </button>
        </div>
      </VueDraggable>
      <p v-if="!steps.length" class="ml-6 text-soft">The build begins here: lay a base or a stencil and each step shows up with a picture of the face after it.</p>
    </div>
  </section>
</template>
