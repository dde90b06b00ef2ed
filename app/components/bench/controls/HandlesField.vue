<script setup lang="ts">
import { FlipHorizontal2, LocateFixed, Minus, Plus, RotateCcw, RotateCw, Group } from '@lucide/vue'
import { anchorOf, FINGER_MM, isAround, mostHandles, whereIs, type MarkStep } from '#core/look'
import { dotShape, shapeOf } from '#core/stroke'

/** Where brushwork lies, in words, and what the hand can do with its handles. */
const props = defineProps<{ step: MarkStep }>()
const bench = useBench()
const brush = useBrushwork()
const settings = useSettings()
const words = computed(() => {
  const w = whereIs(bench.ground, anchorOf(props.step.points), null, settings.finger ?? FINGER_MM)
  return [w.landmark, w.second, w.midline].filter(Boolean).join('; ')
})
/** Least and most handles of what is held. */
const room = computed<[number, number]>(() =>
  props.step.kind === 'line'
    ? isAround(props.step.shape)
      ? [0, 0]
      : [...shapeOf(props.step.shape).handles]
    : props.step.kind === 'dots'
      ? props.step.run === 'around'
        ? [0, 0]
        : [...dotShape(props.step.run).handles]
      : props.step.kind === 'gem'
        ? [1, 16]
        : props.step.kind === 'wash'
          ? [3, mostHandles(props.step)]
          : props.step.area === 'trail'
            ? [2, 12]
            : props.step.area === 'outline'
              ? [3, mostHandles(props.step)]
              : [2, 2],
)
</script>

<template>
  <div v-if="step.points.length" class="space-y-1.5">
    <p class="leading-snug" data-testid="where">{{ words }}.</p>
    <div class="flex flex-wrap items-center gap-1">
      <button
        class="btn px-2"
        title="Turn 15° left (Shift [)"
        aria-label="Turn 15 degrees left"
        @click="brush.turn(-15)"
      >
        <RotateCcw :size="15" />
      </button>
      <button
        class="btn px-2"
        title="Turn 15° right (Shift ])"
        aria-label="Turn 15 degrees right"
        @click="brush.turn(15)"
      >
        <RotateCw :size="15" />
      </button>
      <button class="btn px-2" title="Flip over (F)" aria-label="Flip over" @click="brush.flip()">
        <FlipHorizontal2 :size="15" />
      </button>
      <button v-if="step.kind !== 'wash'" class="btn" title="Aim at the focal point (A)" @click="bench.aim()">
        <LocateFixed :size="15" />Aim
      </button>
      <button
        v-if="step.group"
        class="btn px-2"
        title="Select the whole arrangement (G)"
        aria-label="Select the whole arrangement"
        @click="brush.takeGroup()"
      >
        <Group :size="15" />
      </button>
    </div>
    <div v-if="room[0] !== room[1]" class="flex items-center gap-1 text-[0.87rem] text-soft">
      <button
        class="icon-btn size-7!"
        :disabled="step.points.length <= room[0]"
        aria-label="One handle less"
        @click="brush.handles(false)"
      >
        <Minus :size="14" /></button
      >{{ step.points.length }} {{ step.kind === 'gem' ? 'gems' : 'handles'
      }}<button
        class="icon-btn size-7!"
        :disabled="step.points.length >= room[1]"
        aria-label="One more handle"
        @click="brush.handles(true)"
      >
        <Plus :size="14" />
      </button>
    </div>
    <p v-if="bench.chosen.length > 1" class="text-[0.87rem] text-mulberry">
      {{ bench.chosen.length }} steps are selected: arrows, turns and aim move them together.
    </p>
  </div>
  <p v-else class="text-[0.87rem] text-soft">It follows what it goes around.</p>
</template>
