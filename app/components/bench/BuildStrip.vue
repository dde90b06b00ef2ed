<script setup lang="ts">
import { CalendarClock, Pause, Play } from '@lucide/vue'
import { VueDraggable } from 'vue-draggable-plus'
import { handlingsOf, kindOf, paintsOf, type Step } from '#core/look'
import { BRUSHES, TOOLS } from '#core/paint'

const props = defineProps<{ playTo: number | null }>()
const emit = defineEmits<{ play: [] }>()
const session = useSession()
const selection = useSelection()
const scene = useScene()
const analysis = useAnalysis()
const edits = useSteps()
const kit = useKit()

/** Pictures of the face after each step; the first is the bare skin. */
const thumbs = useStripPictures()

const steps = computed<Step[]>({
  get: () => [...session.look!.steps],
  set: next => void edits.order(next.map(s => s.id)),
})
/** Wipes, flips and second copies that the order of steps makes needed. */
const handlings = computed(() => (scene.loaded ? handlingsOf(session.look!.steps, scene.world) : []))
const before = (id: string) => handlings.value.find(h => h.stepId === id && !h.twin)
const between = (id: string) => handlings.value.find(h => h.stepId === id && h.twin)
const colourDots = (step: Step) =>
  'colour' in step ? [step.colour.colour] : paintsOf(step).map(p => swatchOf(kit.find(p.id) ?? p))
const gravest = (id: string) =>
  ['problem', 'warning'].find(level => analysis.findings.some(f => f.stepId === id && f.level === level)) ??
  null
/** A gate stands where the hands wait: the same seconds as in the order, and what they wait for. */
const gate = (step: Step) => {
  const wait = analysis.waits.get(step.id)
  return (
    wait && { seconds: Math.round(wait.seconds), on: steps.value.find(s => s.id === wait.on)?.label ?? '' }
  )
}
const toolName = (step: Step) => {
  const tool = kindOf(step).tool(step)
  return tool
    ? ((TOOLS as Record<string, { name: string }>)[tool]?.name ??
        (BRUSHES as Record<string, { name: string }>)[tool]?.name ??
        tool)
    : ''
}

/** The name of the group that a step belongs to; empty for none, and for one that nobody named. */
const groupOf = (step: Step) => session.look!.groups?.find(g => g.id === step.group)?.name ?? ''
const offered = ref<readonly string[]>([])
/** A right press takes the step that it is on. */
function takeUnder(event: MouseEvent): void {
  const id = (event.target as HTMLElement).closest<HTMLElement>('[data-step]')?.dataset.step
  offered.value = id ? STRIP_COMMANDS : []
  if (id && !selection.ids.has(id)) selection.id = id
}
const planning = ref(false)
offerCommands(() => [
  {
    id: 'order',
    words: 'Order and time',
    also: 'shortest order plan queue limit minutes',
    run: () => {
      planning.value = true
    },
  },
])
const variants = useVariants()
const hasOptional = computed(() => session.look!.steps.some(s => s.optional))
const switchable = computed(() => hasOptional.value || (session.look!.switches?.length ?? 0) > 0)

/** The strip follows the selection. */
const strip = useTemplateRef<HTMLElement>('strip')
useKeptFocus(strip)
watch([() => selection.id, () => session.look?.steps.length], async ([id]) => {
  await nextTick()
  if (id)
    strip.value?.querySelector(`[data-step="${id}"]`)?.scrollIntoView({ block: 'nearest', inline: 'nearest' })
})

/** With Shift or Ctrl a step is added to what is selected. */
function pick(event: MouseEvent, id: string): void {
  if (event.shiftKey || event.ctrlKey || event.metaKey) selection.also(id)
  else selection.id = id
}

/** One stop of the keyboard: the selected step, else the first. */
const stop = computed(() =>
  Math.max(
    0,
    steps.value.findIndex(s => s.id === selection.id),
  ),
)
const AHEAD: Readonly<Record<string, number>> = { ArrowLeft: -1, ArrowUp: -1, ArrowRight: 1, ArrowDown: 1 }
function key(event: KeyboardEvent, i: number): void {
  // Up and down go along it too: no arrow in here moves what lies on the face.
  const by = AHEAD[event.key]
  if (!by || event.ctrlKey || event.metaKey) return
  if (!event.altKey) {
    // Without Alt the arrows go from step to step; they move nothing on the face.
    event.preventDefault()
    const next = steps.value[Math.min(steps.value.length - 1, Math.max(0, i + by))]!
    if (event.shiftKey) selection.also(next.id)
    else selection.id = next.id
    void nextTick(() => strip.value?.querySelector<HTMLElement>(`[data-step="${next.id}"]`)?.focus())
    return
  }
  event.preventDefault()
  event.stopPropagation()
  const step = steps.value[i]!
  const to = Math.min(steps.value.length - 1, Math.max(0, i + by))
  edits.move(step.id, to)
  const list = (event.currentTarget as HTMLElement).closest('[data-strip]')
  void nextTick(() => list?.querySelectorAll<HTMLElement>('[data-step]')[to]?.focus())
}
</script>

<template>
  <section class="flex min-w-0 items-stretch border-t border-rule bg-card" aria-label="Build strip">
    <button
      class="flex w-12 shrink-0 flex-col items-center justify-center gap-1 border-r border-rule text-soft hover:text-mulberry"
      v-tip="'Play the build (P)'"
      @click="emit('play')"
    >
      <component :is="props.playTo === null ? Play : Pause" :size="20" /><span
        class="text-xs font-semibold"
        >{{ props.playTo === null ? 'Play' : 'Stop' }}</span
      >
    </button>
    <button
      class="flex w-14 shrink-0 flex-col items-center justify-center gap-1 border-r border-rule text-soft hover:text-mulberry disabled:opacity-40"
      v-tip="'The shortest order, and what goes when the queue grows'"
      :disabled="steps.length < 2"
      @click="planning = true"
    >
      <CalendarClock :size="20" /><span class="text-xs font-semibold">Order</span>
    </button>
    <LazyPlanDialog v-if="planning" @close="planning = false" />
    <div
      v-if="switchable"
      class="flex w-28 shrink-0 flex-col justify-center gap-1 overflow-y-auto border-r border-rule px-1.5 py-1"
      role="group"
      aria-label="Variants"
    >
      <button
        v-if="hasOptional"
        class="chip justify-center text-[0.8rem]"
        :aria-pressed="session.look!.shorter ?? false"
        v-tip="'The look and its time without the optional steps'"
        data-testid="shorter"
        @click="variants.shorten()"
      >
        shorter
      </button>
      <button
        v-for="w in session.look!.switches ?? []"
        :key="w.id"
        class="chip justify-center truncate text-[0.8rem]"
        :aria-pressed="w.on"
        v-tip="w.on ? `Without ${w.name}` : `With ${w.name}`"
        @click="variants.turn(w.id)"
      >
        {{ w.name }}
      </button>
    </div>
    <div ref="strip" class="relative flex min-w-0 flex-1 items-center overflow-x-auto px-3 py-1">
      <figure class="shrink-0 text-center">
        <img
          v-if="thumbs[0]"
          :src="thumbs[0]"
          alt="Bare skin"
          class="h-[84px] rounded-md border border-rule object-cover"
        />
        <figcaption class="text-xs leading-4 text-soft">skin</figcaption>
      </figure>
      <StepMenu :commands="offered">
        <VueDraggable
          v-model="steps"
          data-strip
          @contextmenu="takeUnder"
          class="flex items-center"
          :animation="150"
          :delay="80"
          :delay-on-touch-only="true"
          role="list"
          aria-label="Steps in order"
        >
          <div v-for="(step, i) in steps" :key="step.id" class="flex items-center" role="listitem">
            <span
              class="h-px w-3 bg-soft/50"
              :class="step.optional && 'border-t border-dashed border-soft bg-transparent'"
            />
            <template v-if="gate(step)"
              ><span
                class="strip-gate"
                :class="analysis.checking && 'opacity-50'"
                data-gate
                v-tip="
                  `The hands wait until ${gate(step)!.on ? `&quot;${gate(step)!.on}&quot;` : 'it'} is dry (estimate)`
                "
                >wait {{ gate(step)!.seconds }} s</span
              ><span class="h-px w-2 bg-soft/50"
            /></template>
            <template v-if="before(step.id)"
              ><span class="strip-handling" data-handling>{{ before(step.id)!.what }}</span
              ><span class="h-px w-2 bg-soft/50"
            /></template>
            <button
              :data-step="step.id"
              :tabindex="i === stop ? 0 : -1"
              :aria-current="step.id === selection.id ? 'step' : undefined"
              class="flex h-[92px] w-[112px] shrink-0 flex-col rounded-lg border-2 p-1 text-left"
              :class="[
                step.id === selection.id
                  ? 'border-mulberry bg-mulberry-wash'
                  : selection.alsoIds.includes(step.id)
                    ? 'border-mulberry/60 bg-mulberry-wash'
                    : step.optional
                      ? 'border-dashed border-rule'
                      : 'border-rule',
                ((props.playTo !== null && i >= props.playTo) || scene.world.off?.has(step.id)) &&
                  'opacity-40',
              ]"
              @click="pick($event, step.id)"
              @keydown="key($event, i)"
            >
              <span class="flex gap-1">
                <img
                  v-if="thumbs[i + 1]"
                  :src="thumbs[i + 1]"
                  alt=""
                  draggable="false"
                  class="h-[55px] w-11 rounded-md object-cover"
                />
                <span v-else class="h-[55px] w-11 rounded-md bg-stage" />
                <span class="flex min-w-0 flex-1 flex-col items-start gap-0.5">
                  <span class="text-sm font-bold">{{ i + 1 }}</span>
                  <span class="flex flex-wrap gap-0.5"
                    ><span
                      v-for="(c, n) in colourDots(step)"
                      :key="n"
                      class="size-2.5 rounded-full border border-ink/20"
                      :style="{ background: c }"
                  /></span>
                  <span
                    v-if="step.twin.rule !== 'none'"
                    class="rounded bg-ink/80 px-1 text-xs font-semibold text-paper"
                    >twin</span
                  >
                  <span
                    v-if="gravest(step.id)"
                    class="grid size-4 place-items-center rounded-full text-xs font-bold text-white"
                    :class="gravest(step.id) === 'problem' ? 'rounded-sm bg-stop' : 'bg-care'"
                    v-tip="gravest(step.id) === 'problem' ? 'Problem' : 'Warning'"
                    >!<span class="sr-only">{{ gravest(step.id) }}</span></span
                  >
                  <span class="sr-only"
                    >{{ toolName(step) }}{{ step.optional ? ', optional' : ''
                    }}{{ scene.world.off?.has(step.id) ? ', left out now' : '' }}</span
                  >
                </span>
              </span>
              <span class="line-clamp-2 text-xs leading-[0.85rem] font-semibold" v-tip="step.label"
                ><span v-if="groupOf(step)" class="text-mulberry">{{ groupOf(step) }}: </span
                >{{ step.label || kindOf(step).words }}</span
              >
            </button>
            <template v-if="between(step.id)"
              ><span class="h-px w-2 bg-soft/50" /><span
                class="strip-handling"
                data-handling
                v-tip="`before the twin of step ${i + 1}`"
                >{{ between(step.id)!.what }}, twin</span
              ></template
            >
          </div>
        </VueDraggable>
      </StepMenu>
      <p v-if="!steps.length" class="ml-6 text-soft">
        The build begins here: lay a base or a stencil and each step shows up with a picture of the face after
        it.
      </p>
    </div>
  </section>
</template>
