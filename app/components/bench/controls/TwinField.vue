<script setup lang="ts">
import { Hand, Link2, Unlink2 } from '@lucide/vue'
import {
  exactTwin,
  placementsOf,
  placeWords,
  twinHandling,
  twinMiss,
  type SheetStep,
  type TwinRule,
} from '#core/look'

const props = defineProps<{ step: SheetStep }>()
const selection = useSelection()
const scene = useScene()
const twins = useTwins()
const ways = useWays()
const twin = computed(() => placementsOf(props.step, scene.world)[1])
const words = computed(() => twin.value && placeWords(props.step, twin.value, scene.world))
const handling = computed(
  () =>
    ({
      'none': '',
      'as it is': 'Lay the same stencil again as it is',
      'wipe and flip': 'Wipe the stencil, flip it',
      'second copy': 'Take the second copy, flipped',
    })[twinHandling(props.step, scene.world)],
)
const miss = computed(() => {
  const exact = exactTwin(props.step, scene.world)
  return props.step.twin.own && exact
    ? twinMiss(props.step.twin.own, exact, scene.world.stencil(props.step.stencil)?.measures.axis ?? null)
    : null
})
function choose(rule: TwinRule): void {
  if ((rule === 'features' || rule === 'midline') && rule !== ways.now.mirror)
    void ways.choose({ mirror: rule })
  twins.set(rule)
}
</script>

<template>
  <div>
    <TwinRuleSelect :rule="step.twin.rule" :disabled="step.register !== null" @choose="choose" />
    <p v-if="step.register" class="mt-1 text-[0.87rem] text-soft">
      It has the twin of the stencil on which it is registered.
    </p>
    <template v-if="twin && words">
      <p class="mt-1 text-[0.87rem] leading-snug text-soft" data-testid="twin-words">
        {{ handling }}{{ twin.side === step.side ? `, side ${twin.side}` : ` to side ${twin.side}` }};
        {{ words.where }}; {{ words.turned }}.
      </p>
      <div v-if="!step.register" class="mt-1.5 flex flex-wrap items-center gap-1">
        <button
          v-if="!step.twin.own"
          class="btn px-2 text-[0.87rem]"
          v-tip="'Let the twin go its own way'"
          @click="twins.link(false)"
        >
          <Unlink2 :size="15" />Unlink
        </button>
        <template v-else>
          <button
            class="btn px-2 text-[0.87rem]"
            v-tip="'Put the twin back where its rule puts it'"
            @click="twins.link(true)"
          >
            <Link2 :size="15" />Relink
          </button>
          <button
            class="btn px-2 text-[0.87rem]"
            :class="selection.holdsTwin && 'border-mulberry! bg-mulberry-wash text-mulberry'"
            :aria-pressed="selection.holdsTwin"
            v-tip="'Arrows, turns and numbers move the twin'"
            @click="selection.holdsTwin = !selection.holdsTwin"
          >
            <Hand :size="15" />Hold the twin
          </button>
        </template>
      </div>
      <p
        v-if="miss"
        class="mt-1 text-[0.87rem] leading-snug"
        :class="miss.noticed ? 'text-care' : 'text-go'"
        data-testid="twin-miss"
      >
        {{ miss.mm.toFixed(1) }} mm and {{ miss.degrees.toFixed(0) }}° from exact:
        {{ miss.noticed ? 'Warning: people would notice' : 'nobody would notice' }} (from 3 mm or 5° on,
        common practice).
      </p>
    </template>
  </div>
</template>
