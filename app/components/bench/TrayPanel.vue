<script setup lang="ts">
import { Tab, TabGroup, TabList, TabPanel, TabPanels } from '@headlessui/vue'
import { Brush, PaintRoller, PenLine, Search, Sparkles, SquareDashed } from '@lucide/vue'
import type { ZoneId } from '#core/skin'

const scene = useScene()
const steps = useSteps()
const laying = useLaying()
const drawer = useDrawer()
const kit = useKit()
const settings = useSettings()
const search = ref('')
const fitting = ref(false)
const sheets = computed(() => {
  const words = search.value.toLowerCase().split(/\s+/).filter(Boolean)
  return drawer.list.filter(s =>
    words.every(w => `${s.name} ${s.kind} ${s.tags.join(' ')}`.toLowerCase().includes(w)),
  )
})
/** One scale for all sheets, so that their sizes can be compared: px to the mm. */
const scale = computed(() => 226 / Math.max(120, ...drawer.list.map(s => s.width)))

const onFace: { words: string; zones: ZoneId[] }[] = [
  { words: 'Forehead', zones: ['forehead'] },
  { words: 'Eyes', zones: ['left.eye', 'right.eye'] },
  { words: 'Lids', zones: ['left.lid', 'right.lid'] },
  { words: 'Under-eyes', zones: ['left.under-eye', 'right.under-eye'] },
  { words: 'Cheeks', zones: ['left.cheek', 'right.cheek'] },
  { words: 'Cheekbones', zones: ['left.cheekbone', 'right.cheekbone'] },
  { words: 'Temples', zones: ['left.temple', 'right.temple'] },
  { words: 'Nose', zones: ['nose'] },
  { words: 'Muzzle', zones: ['muzzle'] },
  { words: 'Chin', zones: ['chin'] },
  { words: 'Jaw', zones: ['left.jaw', 'right.jaw'] },
  { words: 'Whole face', zones: ['face'] },
]
const onArm: typeof onFace = [
  { words: 'Whole arm', zones: ['arm'] },
  { words: 'Upper band', zones: ['upper band'] },
  { words: 'Middle band', zones: ['middle band'] },
  { words: 'Lower band', zones: ['lower band'] },
]
const areas = computed(() => (scene.ground.face ? onFace : onArm))
/** A base on an outline of its own. */
const DRAWN = 'Its own outline'
const where = ref<string[]>(['Forehead'])
const colours = ref<string[]>([])
watch(areas, () => {
  where.value = [areas.value[0]!.words]
})
const toggle = (list: string[], item: string, most = 99) =>
  list.includes(item) ? list.filter(v => v !== item) : [...list, item].slice(-most)

function layBase(): void {
  const zones = areas.value.filter(a => where.value.includes(a.words)).flatMap(a => a.zones)
  const paints = colours.value.map(id => kit.refOf(kit.find(id)!))
  if (where.value.includes(DRAWN) && paints.length) steps.addWash(null, paints, 'Base, drawn')
  else if (zones.length && paints.length)
    steps.addWash(
      zones,
      paints,
      `Base, ${areas.value
        .filter(a => where.value.includes(a.words))
        .map(a => a.words)
        .join(' and ')
        .toLowerCase()}`.slice(0, 60),
    )
}

function carry(event: DragEvent, id: string): void {
  event.dataTransfer!.setData('application/x-janusform-sheet', id)
  event.dataTransfer!.effectAllowed = 'copy'
}
</script>

<template>
  <aside class="flex min-h-0 flex-col border-r border-rule bg-paper" aria-label="Tray">
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
        <TabPanel class="h-full space-y-3 overflow-y-auto p-3">
          <section>
            <h3 class="eyebrow mb-1.5">Where</h3>
            <div class="flex flex-wrap gap-1">
              <button
                v-for="a in areas"
                :key="a.words"
                class="chip"
                :aria-pressed="where.includes(a.words)"
                @click="
                  where = toggle(
                    where.filter(w => w !== DRAWN),
                    a.words,
                  )
                "
              >
                {{ a.words }}
              </button>
              <button
                class="chip"
                :aria-pressed="where.includes(DRAWN)"
                title="An oval where the spot is picked, drawn on by its handles"
                @click="where = where.includes(DRAWN) ? [areas[0]!.words] : [DRAWN]"
              >
                <PenLine :size="12" class="mr-0.5 inline" />{{ DRAWN }}
              </button>
            </div>
          </section>
          <section>
            <h3 class="eyebrow mb-1.5">Colours, light to dark: one to three</h3>
            <div class="grid grid-cols-6 gap-1.5">
              <button
                v-for="p in kit.paints"
                :key="p.id"
                class="relative aspect-square rounded-lg border border-ink/15"
                :class="colours.includes(p.id) && 'ring-2 ring-mulberry ring-offset-2 ring-offset-paper'"
                :style="{ background: swatchOf(p) }"
                :title="`${p.name}, ${p.finish}`"
                :aria-label="p.name"
                :aria-pressed="colours.includes(p.id)"
                @click="colours = toggle(colours, p.id, 3)"
              >
                <span
                  v-if="colours.includes(p.id)"
                  class="absolute -top-1.5 -right-1.5 grid size-4.5 place-items-center rounded-full bg-mulberry text-xs font-bold text-white"
                  >{{ colours.indexOf(p.id) + 1 }}</span
                >
              </button>
            </div>
          </section>
          <p class="min-h-5 text-[0.87rem] text-soft">
            {{ colours.map(id => kit.find(id)?.name).join(' to ') || 'Choose at least one colour.' }}
          </p>
          <button class="btn-main w-full" :disabled="!where.length || !colours.length" @click="layBase">
            Lay this base
          </button>
        </TabPanel>
        <TabPanel class="flex h-full flex-col">
          <div
            class="m-3 mb-2 flex shrink-0 rounded-lg border border-rule bg-white p-0.5"
            role="group"
            aria-label="Which sheets"
          >
            <button
              v-for="[words, value] in [
                ['All sheets', false],
                ['What fits', true],
              ] as const"
              :key="words"
              class="flex-1 rounded-md py-0.5 text-[0.87rem]"
              :class="fitting === value ? 'bg-mulberry font-semibold text-white' : 'text-soft'"
              :aria-pressed="fitting === value"
              @click="fitting = value"
            >
              {{ words }}
            </button>
          </div>
          <FitList v-if="fitting" />
          <template v-else>
            <label class="relative mx-3 mb-1 block shrink-0"
              ><Search :size="15" class="absolute top-2 left-2.5 text-soft" /><input
                v-model="search"
                class="field pl-8!"
                type="search"
                placeholder="Name, kind or tag"
                aria-label="Search sheets"
            /></label>
            <p class="shrink-0 px-3 pb-1 text-[0.8rem] text-soft">
              {{ sheets.length }} sheets at one scale. Drag onto the {{ scene.ground.words }}, or press Enter.
            </p>
            <ul class="min-h-0 flex-1 space-y-1.5 overflow-y-auto px-3 pb-3">
              <li v-for="s in sheets" :key="s.id">
                <button
                  class="block w-full rounded-lg border border-transparent p-1 text-left hover:border-rule hover:bg-card"
                  draggable="true"
                  :data-sheet="s.id"
                  @dragstart="carry($event, s.id)"
                  @click="laying.addSheet(s.id, null)"
                >
                  <img
                    :src="`/api/stencils/${s.id}/picture.svg`"
                    :alt="`Sheet ${s.name}`"
                    loading="lazy"
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
                No sheet is called that. Try a kind such as texture, crest or border.
              </li>
            </ul>
          </template>
        </TabPanel>
        <TabPanel class="h-full"><BrushTray /></TabPanel>
        <TabPanel class="h-full"><SparkleTray /></TabPanel>
      </TabPanels>
    </TabGroup>
  </aside>
</template>
