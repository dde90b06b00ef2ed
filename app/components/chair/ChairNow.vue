<script setup lang="ts">
import { ArrowLeft, Check, Ellipsis, Play } from '@lucide/vue'
import { stateIn } from '#core/chair'

/** The step in hand, large, and the next one, small. */
const emit = defineEmits<{ more: [] }>()
const chair = useChair()
const places = usePlaces()
const step = computed(() => chair.now!)
const place = computed(() => chair.progress.behind.length + 1)
watch([place, () => chair.order], () => places.ask(place.value), { immediate: true })
const shown = computed(() => places.after(place.value))
const label = (id: string | null) => chair.screens.find(s => s.id === id)?.label ?? ''

/** The longest that was waited for before this step, to tell how far it is; and whether it has just dried. */
const gateOf = ref(0)
const dried = ref(false)
watch(
  () => [step.value.id, chair.gate.seconds] as const,
  ([id, seconds], before) => {
    if (id !== before?.[0]) {
      gateOf.value = seconds
      dried.value = false
    }
    gateOf.value = Math.max(gateOf.value, seconds)
    if (before?.[0] === id && before[1] > 0 && seconds === 0) {
      dried.value = true
      chime()
    }
  },
  { immediate: true },
)
/** How long it was wet enough when the step came into hand. */
const wetOf = ref(0)
watch(
  () => [step.value.id, chair.wet?.seconds ?? 0] as const,
  ([id, seconds], before) => {
    if (id !== before?.[0]) wetOf.value = seconds
    if (before?.[0] === id && before[1] > 0 && seconds <= 0) chime()
  },
  { immediate: true },
)
/** Eyes that stay shut after the step before. */
const shut = computed(() => {
  const id = chair.progress.behind.at(-1)
  const after = chair.screens.find(s => s.id === id)?.prompts.find(p => p.when === 'after' && p.seconds)
  const doneAt = id === undefined ? null : stateIn(chair.progress, id).doneAt
  if (!after?.seconds || doneAt === null) return null
  return { words: after.text, of: after.seconds, seconds: doneAt + after.seconds - chair.live.now }
})
watch(
  () => (shut.value?.seconds ?? 0) > 0,
  (on, before) => {
    if (before && !on) chime()
  },
)
/** What is asked or handled comes before the colours; what is tried out comes after them. */
const LATER = new Set(['hand test', 'sponge', 'off hand', 'skin safe'])
const prompts = computed(() => step.value.prompts.filter(p => p.when === 'before'))
const before = computed(() => prompts.value.filter(p => !LATER.has(p.what)))
const trying = computed(() => prompts.value.filter(p => LATER.has(p.what)))
const between = computed(() => step.value.prompts.filter(p => p.when === 'between'))
/** Where it is in words, for what has no sheet. */
const lines = computed(() => (step.value.sheets.length ? [] : step.value.lines))
const bulk = useTemplateRef<HTMLElement>('bulk')
watch(
  () => step.value.id,
  () => bulk.value?.scrollTo({ top: 0 }),
)
</script>

<template>
  <div class="flex min-h-0 flex-1 flex-col" data-testid="chair-step" :data-step="step.id">
    <div ref="bulk" class="flex min-h-0 flex-1 flex-col overflow-y-auto">
      <div class="relative min-h-[36dvh] w-full flex-1 basis-[36dvh]">
        <PlacePicture :screen="step" :shown="shown" />
      </div>
      <div class="shrink-0 space-y-3 px-4 pt-3 pb-4">
        <TimeBanner
          v-if="shut && shut.seconds > 0"
          kind="eyes"
          :words="shut.words"
          :seconds="shut.seconds"
          :of="shut.of"
        />
        <TimeBanner
          v-if="chair.gate.seconds > 0"
          kind="dry"
          :words="`until &quot;${label(chair.gate.on)}&quot; is dry: load meanwhile`"
          :seconds="chair.gate.seconds"
          :of="gateOf"
        />
        <TimeBanner v-else-if="dried" kind="ready" words="Dry now: go on." :seconds="0" :of="1" />
        <TimeBanner
          v-if="chair.wet"
          :kind="chair.wet.seconds > 0 ? 'wet' : 'late'"
          :words="
            chair.wet.seconds > 0
              ? `&quot;${label(chair.wet.on)}&quot; is still wet: on with it`
              : `&quot;${label(chair.wet.on)}&quot; is drying: dampen it a little, or use gel`
          "
          :seconds="Math.max(0, chair.wet.seconds)"
          :of="wetOf"
        />
        <div class="flex items-baseline gap-3">
          <h1 class="min-w-0 flex-1 font-display text-[1.7rem] leading-tight font-bold">{{ step.label }}</h1>
          <span class="chair-soft shrink-0 tabular-nums">~{{ clock(step.planned) }}</span>
        </div>
        <p v-if="step.place" class="-mt-2! leading-tight" data-testid="step-place">{{ step.place }}</p>
        <p class="chair-soft -mt-2! tabular-nums" data-testid="hand-tasks">
          {{ step.tasks.map(t => `${t.what} ${Math.max(1, Math.round(t.seconds))} s`).join(' · ') }}
        </p>
        <PromptList :key="`${step.id} before`" :prompts="before" :hand-test="null" />
        <div class="grid gap-3 md:grid-cols-2">
          <ToolInHand v-for="(hand, i) in step.tools" :key="`${step.id} ${i}`" :hand="hand" />
        </div>
        <div class="grid gap-3 md:grid-cols-2">
          <template v-for="(held, i) in step.sheets" :key="i">
            <p v-for="p in i ? between : []" :key="p.text" class="font-semibold text-care md:col-span-2">
              {{ p.text }}
            </p>
            <SheetInHand :held="held" :words="i ? 'then' : 'sheet'" />
          </template>
        </div>
        <PromptList :key="`${step.id} trying`" :prompts="trying" :hand-test="step.handTest" />
        <dl v-if="lines.length" class="space-y-1 leading-snug">
          <div v-for="line in lines" :key="line.label" class="flex gap-3">
            <dt class="chair-soft w-16 shrink-0">{{ line.label }}</dt>
            <dd class="min-w-0">{{ line.text }}</dd>
          </div>
        </dl>
        <p v-for="s in places.failed.value" :key="s" role="alert" class="text-stop">{{ s }}</p>
      </div>
    </div>
    <div class="shrink-0 border-t border-rule bg-card px-3 pt-2 pb-3">
      <p class="mb-2 flex min-h-7 items-center gap-2 leading-tight" data-testid="chair-next">
        <template v-if="chair.next"
          ><span class="chair-soft shrink-0">next</span
          ><span
            v-for="(p, i) in chair.next.tools[0]?.paints.slice(0, 3) ?? []"
            :key="i"
            class="size-5 shrink-0 rounded-full border border-rule"
            :style="{ background: p.colour }"
          /><strong class="min-w-0 truncate">{{ chair.next.label }}</strong
          ><span class="chair-soft min-w-0 flex-1 truncate">{{ chair.next.tools[0]?.tool }}</span></template
        ><span v-else class="chair-soft">the last one</span>
      </p>
      <div class="flex gap-2">
        <button
          class="chair-btn w-16"
          :disabled="!chair.progress.behind.length"
          aria-label="Back to the step before"
          @click="chair.act('back')"
        >
          <ArrowLeft :size="26" />
        </button>
        <button class="chair-btn w-16" aria-label="More: skip, later, again, shorter" @click="emit('more')">
          <Ellipsis :size="28" />
        </button>
        <button
          v-if="chair.progress.pausing"
          class="chair-main flex-1"
          data-testid="resume"
          @click="chair.act('resume')"
        >
          <Play :size="26" />Go on
        </button>
        <button v-else class="chair-main flex-1" data-testid="done" @click="chair.act('done')">
          <Check :size="28" />Done
        </button>
      </div>
    </div>
  </div>
</template>
