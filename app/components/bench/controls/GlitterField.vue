<script setup lang="ts">
import { GLITTER_SORTS, GLITTERS, type GlitterStep, isSparkle } from '#core/look'
import { zoneWords } from '#core/skin'

/** Glitter: its sort, colour, how much, where, and on what. */
const props = defineProps<{ step: GlitterStep }>()
const session = useSession()
const scene = useScene()
const steps = useSteps()
const edit = (label: string, recipe: (s: GlitterStep) => void, merge: string | null = null) =>
  steps.editKind('glitter', label, recipe, merge)
const hosts = computed(() =>
  session
    .look!.steps.slice(
      0,
      session.look!.steps.findIndex(s => s.id === props.step.id),
    )
    .filter(s => !isSparkle(s)),
)
const toggle = (id: GlitterStep['zones'][number]) =>
  edit('where', s => {
    const next = s.zones.includes(id) ? s.zones.filter(z => z !== id) : [...s.zones, id]
    if (next.length) s.zones = next
  })
const toggleOver = (id: string) =>
  edit('over which prints', s => {
    const now = s.over ?? []
    const next = now.includes(id) ? now.filter(o => o !== id) : [...now, id]
    if (next.length) s.over = next
    else delete s.over
  })
const wide = (width: number | null) =>
  edit('width', s => {
    s.width = width!
  })
</script>

<template>
  <div class="space-y-1.5">
    <select
      class="field"
      :value="step.sort"
      aria-label="Sort"
      @change="
        edit('sort', s => {
          s.sort = ($event.target as HTMLSelectElement).value as GlitterStep['sort']
        })
      "
    >
      <option v-for="sort in GLITTER_SORTS" :key="sort" :value="sort">{{ GLITTERS[sort].words }}</option>
    </select>
    <GlitterDots
      :name="step.colour.name"
      @pick="
        (colour, sort) =>
          edit('colour', s => {
            s.colour = colour
            if (sort) s.sort = sort
          })
      "
    />
    <label class="block text-[0.87rem]"
      >how much<input
        class="w-full accent-mulberry"
        type="range"
        min="0.1"
        max="1"
        step="0.05"
        v-kept="step.amount"
        aria-label="How much"
        @change="
          edit(
            'how much',
            s => {
              s.amount = Number(($event.target as HTMLInputElement).value)
            },
            'amount',
          )
        "
    /></label>
    <label v-if="step.area === 'trail' || step.area === 'rim'" class="block text-[0.87rem]"
      >width, mm<NumberInput
        :model-value="step.width"
        :min="1"
        :max="60"
        label="Width, mm"
        @update:model-value="wide"
    /></label>
    <div v-if="step.area === 'zones'" class="flex flex-wrap gap-1">
      <button
        v-for="id in scene.ground.zones"
        :key="id"
        class="chip"
        :aria-pressed="step.zones.includes(id)"
        @click="toggle(id)"
      >
        {{ zoneWords(id) }}
      </button>
    </div>
    <div
      v-if="(step.area === 'print' || step.area === 'rim') && hosts.length > 1"
      class="flex flex-wrap gap-1"
      role="group"
      aria-label="Over which prints"
    >
      <button
        v-for="h in hosts"
        :key="h.id"
        class="chip max-w-full truncate"
        :aria-pressed="h.id === step.on || step.over?.includes(h.id)"
        :disabled="h.id === step.on"
        @click="toggleOver(h.id)"
      >
        {{ h.label }}
      </button>
    </div>
    <label class="block text-[0.87rem]"
      >when<select
        class="field"
        :value="step.on ?? ''"
        aria-label="When it goes on"
        @change="
          edit('when', s => {
            s.on = ($event.target as HTMLSelectElement).value || null
          })
        "
      >
        <option v-if="step.area !== 'print' && step.area !== 'rim'" value="">
          last, on dry paint or skin
        </option>
        <option v-for="h in hosts" :key="h.id" :value="h.id">while "{{ h.label }}" is wet</option>
      </select></label
    >
  </div>
</template>
