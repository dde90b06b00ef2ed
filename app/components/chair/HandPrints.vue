<script setup lang="ts">
import { edgeIn, toolIn } from '#core/look'
import { HAND_TEST, WETNESSES, type ToolId, type Wetness } from '#core/paint'
import { handPrint } from '#core/raster'

/** The test on the back of the hand: too dry, right and too wet, as prints. */
const props = defineProps<{ tool: ToolId; wetness: Wetness }>()
const chair = useChair()
const SIZE = 76
const picture = (w: Wetness): string =>
  canvasOf(
    handPrint(
      toolIn(chair.world, props.tool),
      edgeIn(chair.world, props.tool, w),
      w,
      chair.look!.skin.colour,
      SIZE,
    ),
  ).toDataURL()
const at = computed(() => WETNESSES.indexOf(props.wetness))
const prints = computed(() => {
  const drier = WETNESSES[at.value - 1]
  const wetter = WETNESSES[at.value + 1]
  return [
    ...(drier ? [{ words: 'too dry', url: picture(drier), right: false }] : []),
    { words: 'right', url: picture(props.wetness), right: true },
    ...(wetter ? [{ words: 'too wet', url: picture(wetter), right: false }] : []),
  ]
})
</script>

<template>
  <div data-testid="hand-prints">
    <div class="flex items-start gap-2">
      <figure v-for="p in prints" :key="p.words" class="text-center text-[0.85em]">
        <img
          :src="p.url"
          :alt="`A print that is ${p.words}`"
          class="size-16 rounded-lg border-3"
          :class="p.right ? 'border-go' : 'border-rule'"
        />
        <figcaption :class="p.right ? 'font-bold text-go' : 'chair-soft'">{{ p.words }}</figcaption>
      </figure>
    </div>
    <p class="chair-soft leading-snug">Right is {{ HAND_TEST[wetness].looks }}.</p>
  </div>
</template>
