<script setup lang="ts">
import { Trash2 } from '@lucide/vue'
import { toast } from 'vue-sonner'
import type { ToolId, ToolMeasure, Wetness } from '#core/paint'

const props = defineProps<{
  of: 'edge' | ToolMeasure
  tool: ToolId
  wetness: Wetness
  say: (value: number) => string
}>()
const kit = useKit()
/** The own readings of the value in hand. */
const own = computed(() =>
  props.of === 'edge'
    ? kit.readings.edges
        .filter(r => r.tool === props.tool && r.wetness === props.wetness)
        .map(r => ({
          of: 'edges' as const,
          id: r.id,
          again: () => kit.read('edges', { tool: r.tool, wetness: r.wetness, bridge: r.bridge }),
          words: `${r.bridge} mm clear`,
          day: r.readAt.slice(0, 10),
        }))
    : kit.readings.tools
        .filter(r => r.tool === props.tool && r.measure === props.of)
        .map(r => ({
          of: 'tools' as const,
          id: r.id,
          again: () => kit.read('tools', { tool: r.tool, measure: r.measure, value: r.value }),
          words: props.say(r.value),
          day: r.readAt.slice(0, 10),
        })),
)
/** Being taken back: one press on a reading takes one reading. */
const leaving = ref(new Set<number>())
async function takeBack({ of, id, words, again }: (typeof own.value)[number]): Promise<void> {
  leaving.value.add(id)
  try {
    await kit.unread(of, id)
    tellUndoable(`Reading ${words} taken back`, again)
  } catch (error) {
    toast.error(sentencesOf(error).join(' '))
  } finally {
    leaving.value.delete(id)
  }
}
</script>

<template>
  <ul class="text-[0.87rem]">
    <li v-for="r in own" :key="r.id" class="flex items-center gap-2">
      {{ r.words }}, {{ r.day
      }}<button
        class="icon-btn ml-auto size-[24px]!"
        aria-label="Take this reading back"
        :disabled="leaving.has(r.id)"
        @click="takeBack(r)"
      >
        <Trash2 :size="13" />
      </button>
    </li>
  </ul>
</template>
