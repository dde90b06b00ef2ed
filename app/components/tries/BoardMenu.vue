<script setup lang="ts">
import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/vue'
import { FileDown } from '@lucide/vue'
import { familyOf, paintsOf, type Look } from '#core/look'
import type { PaintedTry } from '~/composables/useTryPictures'
import type { TryFacts } from '~/workers/tries'

/** The tries on one page, to paint them side by side. */
const { name, tries, painted, facts } = defineProps<{
  name: string
  tries: readonly Look[]
  painted: ReadonlyMap<string, PaintedTry>
  facts: ReadonlyMap<string, TryFacts>
}>()
const cards = useCards()
const menu = useTemplateRef<InstanceType<typeof MenuButton>>('menu')
const ready = computed(() => tries.length > 0 && tries.every(t => painted.has(t.id)))
/** The paints of a try, each once. */
const swatchesOf = ({ steps }: Look) => [
  ...new Map(steps.flatMap(s => paintsOf(s)).map(({ id, colour, name }) => [id, { colour, name }])).values(),
]
function make(paper: 'A4' | 'A5'): Promise<void> {
  const cells = tries.map(t => {
    const { letter, why } = familyOf(t)
    const minutes = facts.get(t.id)?.seconds
    return {
      title: why ? `${letter}  ${why}` : letter,
      words: minutes === undefined ? '' : `about ${clock(minutes)} min (estimate)`,
      swatches: swatchesOf(t),
      wide: painted.get(t.id)!.wide,
    }
  })
  const about = `Practice board: ${tries.length} ${tries.length === 1 ? 'try' : 'tries'} to paint side by side`
  const pictures = tries.map(t => painted.get(t.id)!.canvas.toDataURL())
  return cards.board({ name, about, cells }, pictures, paper, 'practice board')
}
</script>

<template>
  <span class="flex items-center gap-2">
    <span v-for="s in cards.failed.value" :key="s" role="alert" class="text-stop">{{ s }}</span>
    <Menu as="div" class="relative">
      <MenuButton ref="menu" class="btn" :disabled="!ready || cards.working.value"
        ><FileDown :size="16" />Practice board</MenuButton
      >
      <MenuItems
        ><FloatingPanel :anchor="menu" class="w-44 p-1">
          <MenuItem v-for="paper in ['A4', 'A5'] as const" :key="paper" v-slot="{ active }"
            ><button
              class="block w-full rounded-lg px-3 py-1.5 text-left"
              :class="active && 'bg-mulberry-wash'"
              @click="make(paper)"
            >
              PDF, {{ paper }}
            </button></MenuItem
          >
        </FloatingPanel></MenuItems
      >
    </Menu>
  </span>
</template>
