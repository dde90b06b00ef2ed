<script setup lang="ts">
import { MousePointerClick } from '@lucide/vue'
import { laysNothing, sourceRings, type DotsStep, type LineStep, type Source, isSparkle } from '#core/look'
import { zoneWords, type ZoneId } from '#core/skin'

/** What an outline or a run of dots goes around: an earlier step, some of its openings, or zones. */
const props = defineProps<{ step: LineStep | DotsStep }>()
const session = useSession()
const scene = useScene()
const steps = useSteps()
const choice = useChoice()
const put = (of: Source) =>
  steps.editMark('what it goes around', s => {
    if ('of' in s) s.of = of
  })
const hosts = computed(() =>
  session
    .look!.steps.slice(
      0,
      session.look!.steps.findIndex(s => s.id === props.step.id),
    )
    .filter(s => !isSparkle(s) && !laysNothing(s)),
)
const lost = computed(
  () => props.step.of !== null && sourceRings(props.step.of, props.step.id, scene.world).length === 0,
)
const value = computed(() => {
  const { of } = props.step
  return of?.use === 'step' ? of.step : of?.use === 'steps' ? ' steps' : ' zones'
})
function choose(event: Event): void {
  const id = (event.target as HTMLSelectElement).value
  if (id === ' steps') {
    const last = hosts.value.slice(-2).map(h => h.id)
    return void (last.length === 2 && put({ use: 'steps', steps: last }))
  }
  put(
    id === ' zones'
      ? { use: 'zones', zones: [scene.ground.face ? 'right.cheek' : 'middle band'] }
      : { use: 'step', step: id, openings: null },
  )
}
function toggleStep(id: string): void {
  const now = props.step.of?.use === 'steps' ? props.step.of.steps : []
  const next = now.includes(id) ? now.filter(s => s !== id) : [...now, id]
  if (next.length > 1) put({ use: 'steps', steps: next })
}
function toggle(id: ZoneId): void {
  const now = props.step.of?.use === 'zones' ? props.step.of.zones : []
  const next = now.includes(id) ? now.filter(z => z !== id) : [...now, id]
  if (next.length) put({ use: 'zones', zones: next })
}
</script>

<template>
  <div v-if="step.of" class="space-y-1.5">
    <label class="block text-[0.87rem]"
      >around<select class="field" :value="value" aria-label="What it goes around" @change="choose">
        <option v-for="h in hosts" :key="h.id" :value="h.id">{{ h.label }}</option>
        <option v-if="step.of.use === 'step' && !hosts.some(h => h.id === value)" :value="value" disabled>
          a step that is gone
        </option>
        <option v-if="hosts.length > 1" value=" steps">several steps as one shape</option>
        <option value=" zones">zones of the {{ scene.ground.words }}</option>
      </select></label
    >
    <div v-if="choice.host" class="flex items-center gap-1.5 text-[0.87rem] text-soft">
      <button
        class="btn px-2 py-0.5 text-[0.87rem]"
        :aria-pressed="choice.around"
        @click="choice.around = !choice.around"
      >
        <MousePointerClick :size="14" />Choose openings</button
      >{{ choice.host.openings ? `${choice.host.openings.length} chosen` : 'all that is printed' }}
    </div>
    <div v-if="step.of.use === 'steps'" class="flex flex-wrap gap-1">
      <button
        v-for="h in hosts"
        :key="h.id"
        class="chip max-w-full truncate"
        :aria-pressed="step.of.steps.includes(h.id)"
        @click="toggleStep(h.id)"
      >
        {{ h.label }}
      </button>
    </div>
    <div v-if="step.of.use === 'zones'" class="flex flex-wrap gap-1">
      <button
        v-for="id in scene.ground.zones"
        :key="id"
        class="chip"
        :aria-pressed="step.of.zones.includes(id)"
        @click="toggle(id)"
      >
        {{ zoneWords(id) }}
      </button>
    </div>
    <p v-if="lost" class="text-[0.87rem] text-care">
      What it goes around is not there, or comes later: move this step behind it.
    </p>
  </div>
</template>
