<script setup lang="ts">
import { Tab, TabGroup, TabList, TabPanel, TabPanels } from '@headlessui/vue'
import { Download, FileUp, Plus, Search } from '@lucide/vue'
import { toast } from 'vue-sonner'
import { readPalette } from '#core/formats'
import { estimatedPaint, hidingOf, hidingWords, useBy, type Paint } from '#core/paint'

useHead({ title: 'Kit, Janusform' })
const kit = useKit()
const search = ref('')
const chosen = ref<string | null>(null)
const adding = ref(false)
const failed = ref<string[]>([])
const file = useTemplateRef<HTMLInputElement>('file')
const today = new Date().toISOString().slice(0, 10)
try {
  await kit.load()
} catch (error) {
  failed.value = sentencesOf(error)
}
const shown = computed(() =>
  kit.paints.filter(p =>
    `${p.name} ${p.finish} ${p.strips.length ? 'split cake' : ''}`
      .toLowerCase()
      .includes(search.value.toLowerCase().trim()),
  ),
)
const paint = computed(() => (chosen.value ? (kit.find(chosen.value) ?? null) : null))
/** Closes what was kept or deleted; what was opened meanwhile stays open. */
function close(id: string | null): void {
  if (chosen.value === id) chosen.value = null
  if (id === null) adding.value = false
}
function addNew(): void {
  chosen.value = null
  adding.value = true
}
function open(id: string): void {
  chosen.value = id
  adding.value = false
}
const old = (p: Paint) => {
  const day = useBy(p)
  return day !== null && day < today
}
/** Colours of one palette at most. */
const MOST_SWATCHES = 200
async function take(event: Event): Promise<void> {
  const box = event.target as HTMLInputElement
  const chosenFile = box.files?.[0]
  if (!chosenFile) return
  try {
    if (chosenFile.size > 2e6)
      throw new RangeError('The palette is larger than 2 MB; palettes of up to that are read.')
    const { swatches, notes } = readPalette(await chosenFile.text())
    let added = 0
    const more = swatches.length - MOST_SWATCHES
    if (more > 0) notes.unshift(`${more} more colours were left out: ${MOST_SWATCHES} are read at once.`)
    for (const { name, colour } of swatches.slice(0, MOST_SWATCHES)) {
      if (kit.paints.some(p => p.name === name && p.colour.toLowerCase() === colour)) continue
      await kit.save(estimatedPaint(name, colour), null)
      added++
    }
    toast(
      `${added} ${added === 1 ? 'paint' : 'paints'} imported as estimates. Enter what their labels say of eyes and lips: unknown counts as not safe. ${notes.slice(0, 2).join(' ')}`,
      { duration: 8000 },
    )
  } catch (error) {
    toast.error(sentencesOf(error).join(' '), { duration: 9000 })
  }
  box.value = ''
}
</script>

<template>
  <main class="mx-auto max-w-[1280px] px-3 sm:px-6 min-[1800px]:max-w-[1800px] pb-16">
    <header class="flex flex-wrap items-center gap-3 py-5">
      <h1 class="sr-only">Kit</h1>
      <AppNav class="mr-auto" />
    </header>
    <div v-if="failed.length" role="alert" class="rounded-xl border border-stop bg-card p-4">
      <p v-for="s in failed" :key="s">{{ s }}</p>
    </div>
    <TabGroup v-else>
      <TabList class="mb-4 flex flex-wrap gap-1.5"
        ><Tab
          v-for="words in ['Paints', 'Strip cakes', 'Tools and calibration', 'Brushes and sparkle']"
          :key="words"
          as="template"
          ><button class="chip px-3! py-1! text-[0.95rem]!">{{ words }}</button></Tab
        ></TabList
      >
      <TabPanels>
        <TabPanel class="grid grid-cols-[minmax(0,1fr)] lg:grid-cols-[minmax(0,1fr)_350px] gap-6">
          <div>
            <div class="mb-3 flex flex-wrap items-center gap-2">
              <label class="relative block w-full sm:w-56"
                ><Search :size="15" class="absolute top-2 left-2.5 text-soft" /><input
                  v-model="search"
                  class="field pl-8!"
                  type="search"
                  placeholder="Name or finish"
                  aria-label="Search paints"
              /></label>
              <span class="mr-auto text-soft">{{ shown.length }} paints</span>
              <button class="btn" @click="file?.click()"><FileUp :size="15" />Import palette</button
              ><input
                ref="file"
                type="file"
                accept=".gpl,.csv,text/plain,text/csv"
                class="hidden"
                aria-label="Palette file"
                @change="take"
              />
              <a v-for="as in ['gpl', 'csv']" :key="as" class="btn" :href="`/api/paints/palette?as=${as}`"
                ><Download :size="15" />{{ as.toUpperCase() }}</a
              >
              <button class="btn-main" @click="addNew"><Plus :size="15" />Add paint</button>
            </div>
            <div v-if="!shown.length" class="rounded-2xl border border-dashed border-rule p-12 text-center">
              <p class="font-display text-xl">
                {{ kit.paints.length ? 'No paint is called that' : 'No paints yet' }}
              </p>
              <template v-if="!kit.paints.length">
                <p class="text-soft">
                  Begin with twelve usual colours, add your own one by one, import a palette (GPL or CSV), or
                  try the demo's.
                </p>
                <p class="mt-4 flex flex-wrap justify-center gap-2">
                  <StarterPaints />
                  <BringDemo @brought="kit.load" />
                  <button class="btn" @click="addNew"><Plus :size="15" />Add paint</button>
                </p>
              </template>
            </div>
            <ul v-else class="grid grid-cols-[repeat(auto-fill,minmax(138px,1fr))] gap-2.5">
              <li v-for="p in shown" :key="p.id">
                <button
                  class="block w-full overflow-hidden rounded-xl border-2 bg-card text-left"
                  :class="chosen === p.id ? 'border-mulberry' : 'border-rule hover:border-mulberry'"
                  :data-paint="p.id"
                  @click="open(p.id)"
                >
                  <span v-if="p.strips.length" class="flex h-14"
                    ><span
                      v-for="(s, i) in p.strips"
                      :key="i"
                      class="h-full"
                      :style="{ background: s.colour, flexGrow: s.width }"
                  /></span>
                  <span v-else class="relative flex h-14"
                    ><span class="flex-1 bg-black p-1.5"
                      ><span class="block size-full" :style="{ background: p.overBlack }" /></span
                    ><span class="flex-1 bg-white p-1.5"
                      ><span class="block size-full" :style="{ background: p.overWhite }" /></span
                    ><span
                      v-if="p.finish === 'pearl' || p.finish === 'metallic'"
                      class="pointer-events-none absolute inset-0 bg-linear-120 from-transparent via-white/60 to-transparent"
                  /></span>
                  <span class="block p-2 leading-snug"
                    ><strong class="block truncate">{{ p.name }}</strong
                    ><span class="block text-[0.8rem] text-soft">{{
                      p.strips.length
                        ? `${p.toMake ? 'to make, ' : 'split cake, '}${p.strips.length} strips`
                        : `${p.finish}, ${hidingWords(hidingOf(p))}${p.measured ? '' : ' (estimate)'}`
                    }}</span
                    ><span
                      class="block text-[0.8rem]"
                      :class="old(p) ? 'font-semibold text-care' : 'text-soft'"
                      >{{
                        old(p)
                          ? `Warning: past its use-by ${useBy(p)}`
                          : p.grams === null
                            ? 'grams not noted'
                            : `${p.grams} g left`
                      }}</span
                    ></span
                  >
                </button>
              </li>
            </ul>
          </div>
          <aside
            class="sticky top-4 max-h-[calc(100vh-2rem)] self-start overflow-y-auto rounded-2xl border border-rule bg-card p-3"
          >
            <PaintEditor v-if="paint || adding" :paint="paint" @done="close" />
            <div v-else class="space-y-2 text-soft">
              <p>Choose a paint to see and change its swatch, label and what is left of it.</p>
              <p>
                A swatch over black and over white tells how a film of it covers whatever lies beneath;
                without one its hiding is an estimate.
              </p>
              <p class="text-sm">Cosmetic-grade products only. Local rules and the label come first.</p>
            </div>
          </aside>
        </TabPanel>
        <TabPanel><CakesPanel /></TabPanel>
        <TabPanel><CalibrationPanel /></TabPanel>
        <TabPanel><BrushesPanel /></TabPanel>
      </TabPanels>
    </TabGroup>
  </main>
</template>
