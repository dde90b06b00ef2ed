<script setup lang="ts">
import { useVirtualizer } from '@tanstack/vue-virtual'
import { useElementSize } from '@vueuse/core'
import { ArrowLeftRight, Camera, FileUp, PenTool, Search } from '@lucide/vue'
import { STENCIL_KINDS } from '#core/stencil'

useHead({ title: 'Drawer, Janusform' })
const drawer = useDrawer()
const failed = ref<string[]>([])
const loading = ref(true)
const importing = ref(false)
/** Files that were dropped on the page, for the dialog that imports them. */
const files = shallowRef<File[]>([])
function dropped(list: File[]): void {
  files.value = list
  importing.value = true
}
const exchanging = ref(false)
const filter = reactive({ words: '', kind: '', tag: '', zone: '', size: '', detail: 0, copies: 0 })

function imported(): void {
  importing.value = false
  files.value = []
  void load()
}
async function load(): Promise<void> {
  try {
    await drawer.load()
    failed.value = []
  } catch (error) {
    failed.value = sentencesOf(error)
  }
  loading.value = false
}
onMounted(load)

const tags = computed(() => [...new Set(drawer.list.flatMap(s => s.tags))].sort())
const zones = computed(() => [...new Set(drawer.list.flatMap(s => s.zones))].sort())
const sizes: Record<string, (long: number) => boolean> = {
  'small, under 80 mm': l => l < 80,
  'middle, 80 to 120 mm': l => l >= 80 && l <= 120,
  'large, over 120 mm': l => l > 120,
}
const shown = computed(() => {
  const fitting = drawer.list.filter(
    s =>
      (!filter.kind || s.kind === filter.kind) &&
      (!filter.tag || s.tags.includes(filter.tag)) &&
      (!filter.zone || s.zones.includes(filter.zone)) &&
      (!filter.size || sizes[filter.size]!(Math.max(s.width, s.height))) &&
      (!filter.detail || (finestMm(s) ?? 0) >= filter.detail) &&
      s.copies >= filter.copies,
  )
  const named = fitting.map(s => ({ s, words: s.name, also: `${s.kind} ${s.tags.join(' ')} ${s.notes}` }))
  return bestNamed(filter.words, named).map(n => n.s)
})
const any = computed(() => Object.values(filter).some(Boolean))
const clear = () =>
  Object.assign(filter, { words: '', kind: '', tag: '', zone: '', size: '', detail: 0, copies: 0 })

const scroller = useTemplateRef<HTMLElement>('scroller')
const { width } = useElementSize(scroller)
/** All sheets at one scale, px to the mm. */
const SCALE = 1.45
const CELL = 240
const columns = computed(() => Math.max(1, Math.floor((width.value || 1200) / CELL)))
const rows = computed(() => inRows(shown.value, columns.value))
const virtual = useVirtualizer(
  computed(() => ({
    count: rows.value.length,
    getScrollElement: () => scroller.value,
    overscan: 3,
    estimateSize: (i: number) => Math.max(...rows.value[i]!.map(s => s.height)) * SCALE + 92,
  })),
)
watch(rows, () => virtual.value.measure())
</script>

<template>
  <main class="mx-auto flex h-dvh max-w-[1280px] flex-col px-3 sm:px-6 min-[1800px]:max-w-[1800px]">
    <header class="flex flex-wrap items-center gap-3 py-4">
      <h1 class="sr-only">Drawer</h1>
      <AppNav class="mr-auto" />
      <label class="relative block w-full sm:w-56"
        ><Search :size="15" class="absolute top-2 left-2.5 text-soft" /><input
          v-model="filter.words"
          class="field pl-8!"
          type="search"
          placeholder="Search stencils"
          aria-label="Search stencils"
      /></label>
      <button class="btn" @click="exchanging = true"><ArrowLeftRight :size="16" />Export and import</button>
      <button class="btn" @click="importing = true"><FileUp :size="16" />Import stencils</button>
      <NuxtLink to="/drawer/draw" class="btn"><PenTool :size="16" />Draw one</NuxtLink>
      <NuxtLink to="/drawer/photo" class="btn-main"><Camera :size="16" />From a photograph</NuxtLink>
    </header>
    <form class="mb-2 flex flex-wrap items-center gap-2 text-[0.93rem]" aria-label="Filters" @submit.prevent>
      <select v-model="filter.kind" class="field w-auto!" aria-label="Kind">
        <option value="">any kind</option>
        <option v-for="k in STENCIL_KINDS" :key="k">{{ k }}</option>
      </select>
      <select v-model="filter.zone" class="field w-auto!" aria-label="Zone">
        <option value="">any zone</option>
        <option v-for="z in zones" :key="z">{{ z }}</option>
      </select>
      <select v-model="filter.tag" class="field w-auto!" aria-label="Tag">
        <option value="">any tag</option>
        <option v-for="t in tags" :key="t">{{ t }}</option>
      </select>
      <select v-model="filter.size" class="field w-auto!" aria-label="Size">
        <option value="">any size</option>
        <option v-for="(_, words) in sizes" :key="words">{{ words }}</option>
      </select>
      <select v-model.number="filter.detail" class="field w-auto!" aria-label="Finest detail">
        <option :value="0">any detail</option>
        <option v-for="d in [0.5, 0.8, 1, 1.5, 2]" :key="d" :value="d">nothing under {{ d }} mm</option>
      </select>
      <select v-model.number="filter.copies" class="field w-auto!" aria-label="Copies">
        <option :value="0">any copies</option>
        <option :value="1">at least one</option>
        <option :value="2">two or more</option>
      </select>
      <button v-if="any" type="button" class="btn" @click="clear">Clear</button>
      <span class="ml-auto text-soft" role="status"
        >{{ shown.length }} of {{ drawer.list.length }} stencils, all at one scale</span
      >
    </form>
    <div v-if="failed.length" role="alert" class="rounded-xl border border-stop bg-card p-4">
      <p v-for="s in failed" :key="s">{{ s }}</p>
      <button class="btn mt-2" @click="load">Try again</button>
    </div>
    <p v-else-if="loading" class="p-10 text-center text-soft">Opening the drawer…</p>
    <div v-else-if="!shown.length" class="rounded-2xl border border-dashed border-rule p-12 text-center">
      <p class="font-display text-xl">
        {{ drawer.list.length ? 'No stencil is like that' : 'The drawer is empty' }}
      </p>
      <p class="text-soft">
        {{
          drawer.list.length
            ? 'Loosen a filter.'
            : 'Read your own stencils from photographs, import SVG or DXF files, or draw one.'
        }}
      </p>
      <p v-if="!drawer.list.length" class="mt-4 flex flex-wrap justify-center gap-2">
        <BringDemo @brought="load" />
        <NuxtLink to="/drawer/photo" class="btn"><Camera :size="16" />From a photograph</NuxtLink>
      </p>
    </div>
    <div v-show="shown.length" ref="scroller" class="min-h-0 flex-1 overflow-y-auto pb-6" tabindex="-1">
      <div class="relative" :style="{ height: `${virtual.getTotalSize()}px` }">
        <div
          v-for="row in virtual.getVirtualItems()"
          :key="row.index"
          class="absolute inset-x-0 grid gap-1"
          :style="{
            top: `${row.start}px`,
            height: `${row.size}px`,
            gridTemplateColumns: `repeat(${columns}, minmax(0, 1fr))`,
          }"
        >
          <SheetCell v-for="s in rows[row.index]" :key="s.id" :sheet="s" :scale="SCALE" />
        </div>
      </div>
    </div>
    <DropAnywhere words="Drop SVG or DXF files to import stencils" @files="dropped" />
    <ImportDialog v-if="importing" :dropped="files" @close="imported" />
    <ExchangeDialog v-if="exchanging" :shown="shown" @close="exchanging = false" />
  </main>
</template>
