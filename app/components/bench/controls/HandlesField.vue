<script setup lang="ts">
import { FlipHorizontal2, LocateFixed, Minus, Plus, Group } from '@lucide/vue'
import { anchorOf, FINGER_MM, isBase, kindOf, whereIs, type MarkStep, type Step } from '#core/look'

/** Where brushwork lies, in words, and what the hand can do with its handles. */
const props = defineProps<{ step: MarkStep }>()
const selection = useSelection()
const scene = useScene()
const placing = usePlacing()
const shaping = useShaping()
const settings = useSettings()
const words = computed(() => {
  const w = whereIs(scene.ground, anchorOf(props.step.points), null, settings.finger ?? FINGER_MM)
  return [w.landmark, w.second, w.midline].filter(Boolean).join('; ')
})
const rules = computed(() => kindOf<Step>(props.step).handling(props.step))
/** Least and most handles of what is held. */
const room = computed(() => rules.value.room)
</script>

<template>
  <div v-if="step.points.length" class="space-y-1.5">
    <p class="leading-snug" data-testid="where">{{ words }}.</p>
    <div class="flex flex-wrap items-center gap-1">
      <TurnButtons @turn="shaping.turn" />
      <button class="btn px-2" v-tip="'Flip over (F)'" aria-label="Flip over" @click="shaping.flip()">
        <FlipHorizontal2 :size="15" />
      </button>
      <button v-if="!isBase(step)" class="btn" v-tip="'Aim at the focal point (A)'" @click="placing.aim()">
        <LocateFixed :size="15" />Aim
      </button>
      <button
        v-if="step.group"
        class="btn px-2"
        v-tip="'Select the whole arrangement (G)'"
        aria-label="Select the whole arrangement"
        @click="selection.takeGroup()"
      >
        <Group :size="15" />
      </button>
    </div>
    <div v-if="room[0] !== room[1]" class="flex items-center gap-1 text-[0.87rem] text-soft">
      <button
        class="icon-btn size-7!"
        :disabled="step.points.length <= room[0]"
        aria-label="Remove point"
        v-tip="'Remove point'"
        @click="shaping.fewerHandles()"
      >
        <Minus :size="14" /></button
      >{{ step.points.length }} {{ rules.words
      }}<button
        class="icon-btn size-7!"
        :disabled="step.points.length >= room[1]"
        aria-label="Add point"
        v-tip="'Add point'"
        @click="shaping.moreHandles()"
      >
        <Plus :size="14" />
      </button>
    </div>
    <HandleNumbers v-if="selection.steps.length === 1" :step="step" />
    <p v-if="selection.steps.length > 1" class="text-[0.87rem] text-mulberry">
      {{ selection.steps.length }} steps are selected: arrows, turns and aim move them together.
    </p>
  </div>
  <p v-else class="text-[0.87rem] text-soft">It follows what it goes around.</p>
</template>
