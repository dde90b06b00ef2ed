<script setup lang="ts">
import { Tab, TabGroup, TabList, TabPanel, TabPanels } from '@headlessui/vue'
import { Brush, PaintRoller, Search, Sparkles, SquareDashed } from '@lucide/vue'

const emit = defineEmits<{ tour: [] }>()
const scene = useScene()
const laying = useLaying()
const drawer = useDrawer()
const settings = useSettings()
const list = useTemplateRef<HTMLElement>('list')
const { reached, enter, roam } = useRoving(list)
const search = ref('')
/** Whether all stencils are shown, or those that fit a place. */
const which = ref<'all' | 'fits'>('all')
const sheets = computed(() => {
  const named = drawer.list.map(s => ({ s, words: s.name, also: `${s.kind} ${s.tags.join(' ')}` }))
  return bestNamed(search.value, named).map(n => n.s)
})
/** One scale for all sheets, so that their sizes can be compared: px to the mm. */
const scale = computed(() => 226 / Math.max(120, ...drawer.list.map(s => s.width)))

/** Reads again what the drawer and the kit hold. */
const restock = () => Promise.all([drawer.load(), useKit().load()])

/** The stencil on which a right press opened the menu. */
const under = shallowRef<(typeof drawer.list)[number] | null>(null)
function lookUnder(event: MouseEvent): void {
  const id = (event.target as HTMLElement).closest<HTMLElement>('[data-sheet]')?.dataset.sheet
  under.value = (id && drawer.find(id)) || null
}
const others = computed(() => {
  const { id } = under.value ?? {}
  return id
    ? [{ id: 'open-in-drawer', words: 'Open in the drawer', run: () => navigateTo(`/drawer/${id}`) }]
    : []
})
function carry(event: DragEvent, id: string): void {
  event.dataTransfer!.setData('application/x-janusform-sheet', id)
  event.dataTransfer!.effectAllowed = 'copy'
}
</script>

<template>
  <aside class="flex min-h-0 flex-col border-r border-rule bg-paper" aria-label="Tray">
    <TourOffer @tour="emit('tour')" />
    <TabGroup :default-index="1">
      <TabList class="grid shrink-0 grid-cols-[auto_auto_auto_auto] border-b border-rule text-[0.83rem]">
        <Tab
          v-for="[words, icon] in [
            ['Base', PaintRoller],
            ['Stencil', SquareDashed],
            ['Line', Brush],
            ['Sparkle', Sparkles],
          ] as const"
          :key="words"
          v-slot="{ selected }"
          as="template"
        >
          <button
            class="flex items-center justify-center gap-1 py-2 font-semibold"
            :class="selected ? 'border-b-2 border-mulberry text-mulberry' : 'text-soft'"
          >
            <component :is="icon" :size="13" />{{ words }}
          </button>
        </Tab>
      </TabList>
      <TabPanels class="min-h-0 flex-1">
        <TabPanel class="h-full"><BaseTray /></TabPanel>
        <TabPanel class="flex h-full flex-col">
          <SegmentedChoice
            v-model="which"
            class="m-3 mb-2 shrink-0"
            label="Which stencils"
            :options="[
              ['all', 'All stencils'],
              ['fits', 'What fits'],
            ]"
          />
          <FitList v-if="which === 'fits'" />
          <template v-else>
            <label class="relative mx-3 mb-1 block shrink-0"
              ><Search :size="15" class="absolute top-2 left-2.5 text-soft" /><input
                v-model="search"
                class="field pl-8!"
                type="search"
                placeholder="Name, kind or tag"
                aria-label="Search stencils"
            /></label>
            <p class="shrink-0 px-3 pb-1 text-[0.8rem] text-soft">
              {{ sheets.length }} stencils at one scale. Drag onto the {{ scene.ground.words }}, or press
              Enter.
            </p>
            <StepMenu :commands="under ? [layCommand(under.id)] : []" :others="others">
              <ul
                ref="list"
                class="grid min-h-0 flex-1 grid-cols-[repeat(auto-fill,minmax(205px,1fr))] content-start gap-1.5 overflow-y-auto px-3 pb-3"
                @keydown="roam"
                @contextmenu="lookUnder"
                @focusin="enter"
              >
                <li v-for="(s, i) in sheets" :key="s.id">
                  <button
                    class="block w-full rounded-lg border border-transparent p-1 text-left hover:border-rule hover:bg-card"
                    :tabindex="i === reached ? 0 : -1"
                    draggable="true"
                    :data-sheet="s.id"
                    @dragstart="carry($event, s.id)"
                    @click="laying.addSheet(s.id, null)"
                  >
                    <img
                      loading="lazy"
                      :src="`/api/stencils/${s.id}/picture.svg`"
                      :alt="`Stencil ${s.name}`"
                      draggable="false"
                      class="mx-auto rounded-md bg-white"
                      :style="{ width: `${s.width * scale}px`, height: `${s.height * scale}px` }"
                    />
                    <span class="mt-1 flex items-baseline justify-between gap-2"
                      ><span class="truncate font-semibold">{{ s.name }}</span
                      ><span class="shrink-0 text-[0.8rem] text-soft">{{
                        settings.size(s.width, s.height)
                      }}</span></span
                    >
                  </button>
                </li>
                <li
                  v-if="!sheets.length"
                  class="rounded-lg border border-dashed border-rule p-4 text-center text-soft"
                >
                  <template v-if="drawer.list.length"
                    >No stencil is called that. Try a kind such as texture, crest or border.</template
                  ><template v-else>
                    <p>The drawer is empty.</p>
                    <p class="mt-3 flex flex-col items-center gap-2">
                      <BringDemo @brought="restock" />
                      <NuxtLink to="/drawer" class="btn">To the drawer</NuxtLink>
                    </p>
                  </template>
                </li>
              </ul>
            </StepMenu>
          </template>
        </TabPanel>
        <TabPanel class="h-full"><BrushTray /></TabPanel>
        <TabPanel class="h-full"><SparkleTray /></TabPanel>
      </TabPanels>
    </TabGroup>
  </aside>
</template>
