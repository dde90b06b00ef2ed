<script setup lang="ts">
import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/vue'
import { FileDown } from '@lucide/vue'
import { paintsOf, type Look, type Step, type World } from '#core/look'
import type { CardText } from '~/composables/useCards'

/** Cards on paper: the step list, the placing template and the sheet of marks as PDF. */
const props = defineProps<{
  look: Look
  steps: readonly Step[]
  world: World
  text: CardText
  /** The face, and the face after each step; empty until they are painted. */
  pictures: readonly string[]
}>()
const cards = useCards()
const menu = useTemplateRef<InstanceType<typeof MenuButton>>('menu')
const card = (paper: 'A4' | 'A6') =>
  cards.card(props.text, props.pictures[0]!, props.pictures.slice(1), paper)
/** The look as it is built: a picture after each step, with its colours. */
const contact = () =>
  cards.board(
    {
      name: props.look.name,
      about: props.text.about,
      cells: props.text.steps.map((s, i) => ({
        title: `${i + 1} ${s.title}`,
        words: s.words,
        swatches: paintsOf(props.steps[i]!).map(({ colour, name }) => ({ colour, name })),
        wide: null,
      })),
    },
    props.pictures.slice(1),
    'A4',
    'contact sheet',
  )
const PAPERS = [
  ['Step card, A4', () => card('A4')],
  ['Step card, A6', () => card('A6')],
  ['Contact sheet of the build, A4', contact],
  ['Placing template, 1:1', () => cards.template(props.look, props.steps, props.world)],
  ['Sheet of marks', () => cards.marks(props.look, props.steps, props.world)],
] as const
</script>

<template>
  <span class="flex items-center gap-2">
    <span v-for="s in cards.failed.value" :key="s" role="alert" class="text-stop">{{ s }}</span>
    <span v-if="cards.working.value" role="status" class="text-soft">setting the pages…</span>
    <Menu as="div" class="relative">
      <MenuButton ref="menu" class="btn" :disabled="!pictures.length || cards.working.value"
        ><FileDown :size="16" />PDF</MenuButton
      >
      <MenuItems
        ><FloatingPanel :anchor="menu" class="w-60 p-1">
          <MenuItem v-for="[words, make] in PAPERS" :key="words" v-slot="{ active }"
            ><button
              class="block w-full rounded-lg px-3 py-1.5 text-left"
              :class="active && 'bg-mulberry-wash'"
              @click="make"
            >
              {{ words }}
            </button></MenuItem
          >
        </FloatingPanel></MenuItems
      >
    </Menu>
  </span>
</template>
