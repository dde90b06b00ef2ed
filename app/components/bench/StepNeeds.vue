<script setup lang="ts">
import { Star } from '@lucide/vue'
import { usualWorth, type Step } from '#core/look'

/** What a step needs of the person and of the clock: shut eyes, its variant, whether it can go, what it is worth. */
const props = defineProps<{ step: Step }>()
const session = useSession()
const scene = useScene()
const steps = useSteps()
const variants = useVariants()
const switches = computed(() => session.look!.switches ?? [])
/** Stars stand for worths of 2 to 10. */
const STARS = [1, 2, 3, 4, 5] as const
const stars = computed(() => Math.round(usualWorth(props.step) / 2))
const MOST_SWITCHES = 8
function belong(event: Event): void {
  const box = event.target as HTMLSelectElement
  const { value } = box
  if (value === ' new') variants.add(`with ${(props.step.label || 'this').slice(0, 34)}`)
  else
    put('variant', s => {
      if (value) s.switch = value
      else delete s.switch
    })
  // An edit that was refused leaves what was.
  box.value = props.step.switch ?? ''
}
const put = (label: string, recipe: (s: Step) => void) => steps.edit(label, recipe)
</script>

<template>
  <section class="space-y-1.5 border-t border-rule pt-2">
    <SwitchField
      v-if="scene.ground.face"
      :model-value="step.eyes === 'shut'"
      label="Eyes shut while it is painted"
      @update:model-value="
        v =>
          put('eyes', s => {
            if (v) s.eyes = 'shut'
            else delete s.eyes
          })
      "
    />
    <label class="flex items-center gap-2 text-[0.93rem]"
      >Belongs to<select
        class="field min-w-0 flex-1"
        :value="step.switch ?? ''"
        aria-label="Variant that it belongs to"
        @change="belong"
      >
        <option value="">every variant</option>
        <option v-for="w in switches" :key="w.id" :value="w.id">{{ w.name }}</option>
        <option v-if="switches.length < MOST_SWITCHES" value=" new">a new variant…</option>
      </select></label
    >
    <SwitchField
      :model-value="step.optional"
      label="Can be left out when there is a queue"
      @update:model-value="
        v =>
          put('optional', s => {
            s.optional = v
          })
      "
    />
    <div v-if="step.optional" class="flex items-center justify-between text-[0.93rem]">
      Worth to the look
      <span role="group" aria-label="Worth to the look" class="flex">
        <button
          v-for="n in STARS"
          :key="n"
          class="icon-btn size-[24px]!"
          :class="n <= stars && 'text-care!'"
          :aria-label="`${n} of 5`"
          :aria-pressed="n === stars"
          @click="
            put('worth', s => {
              s.worth = 2 * n
            })
          "
        >
          <Star :size="15" :fill="n <= stars ? 'currentColor' : 'none'" />
        </button>
      </span>
    </div>
  </section>
</template>
