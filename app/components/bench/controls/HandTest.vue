<script setup lang="ts">
import { Popover, PopoverButton, PopoverPanel } from '@headlessui/vue'
import { Hand } from '@lucide/vue'
import { HAND_TEST, TOOLS, WETNESSES, type ToolId, type Wetness } from '#core/paint'
import { edgeIn, toolIn } from '#core/look'
import { handPrint } from '#core/raster'

const props = defineProps<{ tool: ToolId; wetness: Wetness }>()
const session = useSession()
const scene = useScene()
const button = useTemplateRef<InstanceType<typeof PopoverButton>>('button')
/** The prints that a tool should leave on the back of the hand, dry to wet. */
const pictures = computed(() =>
  Object.fromEntries(
    WETNESSES.map(w => [
      w,
      canvasOf(
        handPrint(
          toolIn(scene.world, props.tool),
          edgeIn(scene.world, props.tool, w),
          w,
          session.look!.skin.colour,
          62,
        ),
      ).toDataURL(),
    ]),
  ),
)
</script>

<template>
  <Popover class="relative">
    <PopoverButton ref="button" as="template"
      ><button
        class="icon-btn"
        v-tip="'Test on the back of the hand'"
        aria-label="Test on the back of the hand"
      >
        <Hand :size="16" /></button
    ></PopoverButton>
    <PopoverPanel v-slot="{ close }">
      <FloatingPanel :anchor="button" class="w-72 p-3 text-[0.87rem] leading-snug" data-testid="hand-test">
        <h4 class="font-semibold">Test on the back of the hand: {{ TOOLS[tool].name }}</h4>
        <div class="my-2 grid grid-cols-4 gap-1.5">
          <figure v-for="w in WETNESSES" :key="w" class="text-center">
            <img
              :src="pictures[w]"
              :alt="`A ${w} print`"
              class="w-full rounded-md border-2"
              :class="w === wetness ? 'border-mulberry' : 'border-transparent'"
            />
            <figcaption :class="w === wetness ? 'font-semibold text-mulberry' : 'text-soft'">
              {{ w }}
            </figcaption>
          </figure>
        </div>
        <p><strong>It should be</strong> {{ HAND_TEST[wetness].looks }}.</p>
        <p class="mt-1"><strong>Too wet?</strong> {{ HAND_TEST[wetness].wetter }}.</p>
        <p class="mt-1"><strong>Too dry?</strong> {{ HAND_TEST[wetness].drier }}.</p>
        <button class="btn mt-2 w-full" @click="close()">Close</button>
      </FloatingPanel>
    </PopoverPanel>
  </Popover>
</template>
