<script setup lang="ts">
import { useVirtualizer } from '@tanstack/vue-virtual'
import { useElementSize, useLocalStorage } from '@vueuse/core'
import type { LookCardData } from '~~/server/utils/cards'
import { Archive, FilePlus2, FileUp, Search } from '@lucide/vue'

useHead({ title: 'Looks, Janusform' })
const gallery = useGallery()
const { looks, failed, loading } = gallery
const search = ref('')
const tag = ref('')
const keeping = ref(false)
/** In which order the cards stand. */
const order = useLocalStorage<keyof typeof ORDERS>('janusform-gallery-order', 'newest')
const ORDERS = {
  newest: { words: 'newest first', by: () => 0 },
  name: { words: 'by name', by: (a: LookCardData, b: LookCardData) => a.name.localeCompare(b.name) },
  quick: {
    words: 'quickest first',
    by: (a: LookCardData, b: LookCardData) => (a.seconds ?? Infinity) - (b.seconds ?? Infinity),
  },
} as const
const file = useTemplateRef<HTMLInputElement>('file')
/** Where the keyboard can go at once. */
const SKIPS = [
  ['To the looks', '[data-look] a'],
  ['To the search', '[aria-label="Search looks"]'],
] as const
const tags = computed(() => [...new Set(looks.value.flatMap(l => l.tags))].sort())
/** Families whose tries are laid out beside them. */
const open = ref<ReadonlySet<string>>(new Set())
const toggle = (family: string) => {
  open.value = new Set(
    open.value.has(family) ? [...open.value].filter(f => f !== family) : [...open.value, family],
  )
}
const isSought = (l: LookCardData) =>
  (!tag.value || l.tags.includes(tag.value)) &&
  `${l.name} ${l.why} ${l.tags.join(' ')}`.toLowerCase().includes(search.value.toLowerCase().trim())
const shown = computed(() =>
  inFamilies(looks.value)
    .filter(({ head, tries }) => [head, ...tries].some(isSought))
    .sort((a, b) => (ORDERS[order.value]?.by ?? ORDERS.newest.by)(a.head, b.head))
    .flatMap(({ head, tries }) => [
      { look: head, tries: tries.length },
      ...(open.value.has(head.family) ? tries.map(look => ({ look, tries: 0 })) : []),
    ]),
)

async function takeAll(files: Iterable<File>): Promise<void> {
  for (const file of files) await gallery.take(file)
}
async function take(event: Event): Promise<void> {
  const box = event.target as HTMLInputElement
  await takeAll(box.files ?? [])
  box.value = ''
}

const scroller = useTemplateRef<HTMLElement>('scroller')
const { width } = useElementSize(scroller)
/** Least width of a card with its gap, and height of what stands below its picture, px. */
const CELL = 240
const GAP = 16
const WORDS = 108
/** On a phone two cards stand beside one another: with one a page would show less than one look. */
const LEAST_COLUMNS = 2
const columns = computed(() => Math.max(LEAST_COLUMNS, Math.floor((width.value + GAP) / CELL)))
const cardWidth = computed(() => (width.value - GAP * (columns.value - 1)) / columns.value)
/** No card stands before the width is known: it would be made twice. */
const rows = computed(() => (width.value > 0 ? inRows(shown.value, columns.value) : []))
const virtual = useVirtualizer(
  computed(() => ({
    count: rows.value.length,
    getScrollElement: () => scroller.value,
    overscan: 1,
    estimateSize: () => (cardWidth.value * 250) / 208 + WORDS + GAP,
  })),
)
watch([columns, cardWidth], () => virtual.value.measure())
/** Cards of a row are as tall as the tallest; the row is measured once it stands. */
const measured = (el: unknown) => virtual.value.measureElement(el as HTMLElement | null)
</script>

<template>
  <main class="mx-auto flex h-dvh max-w-[1280px] flex-col px-3 sm:px-6 min-[1800px]:max-w-[1800px]">
    <SkipLinks :to="SKIPS" />
    <header class="flex flex-wrap items-center gap-2 py-2 sm:gap-3 sm:py-5">
      <h1 class="sr-only">Looks</h1>
      <AppNav class="mr-auto max-sm:w-full" />
      <label class="relative block min-w-0 flex-1 sm:w-56 sm:flex-none"
        ><Search :size="15" class="absolute top-2 left-2.5 text-soft" /><input
          v-model="search"
          class="field pl-8!"
          type="search"
          placeholder="Search looks"
          aria-label="Search looks"
      /></label>
      <select v-model="order" class="field w-auto! max-sm:w-24!" aria-label="Order of the looks">
        <option v-for="(o, key) in ORDERS" :key="key" :value="key">{{ o.words }}</option>
      </select>
      <button
        class="btn"
        v-tip="'Backups of everything, and looks that were deleted'"
        @click="keeping = true"
      >
        <Archive :size="16" /><span class="max-sm:sr-only">Kept safe</span>
      </button>
      <button class="btn" @click="file?.click()">
        <FileUp :size="16" /><span class="max-sm:sr-only">Import</span>
      </button>
      <input
        ref="file"
        type="file"
        accept=".json,application/json"
        multiple
        class="hidden"
        aria-label="Look files"
        @change="take"
      />
      <button class="btn-main" @click="gallery.create">
        <FilePlus2 :size="16" /><span class="max-sm:sr-only">New look</span>
      </button>
    </header>
    <div
      v-if="tags.length"
      class="mb-2 flex gap-1.5 max-sm:overflow-x-auto max-sm:pb-1 max-sm:[scrollbar-width:none] sm:mb-4 sm:flex-wrap"
      role="group"
      aria-label="Tags"
    >
      <button class="chip shrink-0" :aria-pressed="tag === ''" @click="tag = ''">all</button>
      <button
        v-for="t in tags"
        :key="t"
        class="chip shrink-0"
        :aria-pressed="tag === t"
        @click="tag = tag === t ? '' : t"
      >
        {{ t }}
      </button>
    </div>
    <div v-if="failed.length" role="alert" class="rounded-xl border border-stop bg-card p-4">
      <p v-for="s in failed" :key="s">{{ s }}</p>
      <button class="btn mt-2" @click="gallery.load">Try again</button>
    </div>
    <p v-else-if="loading" class="p-10 text-center text-soft">Fetching the looks…</p>
    <div v-else-if="!shown.length" class="rounded-2xl border border-dashed border-rule p-12 text-center">
      <template v-if="looks.length">
        <h2 class="font-display text-xl">No look is called that</h2>
        <p class="text-soft">Try another word or tag.</p>
      </template>
      <LazyEmptyHouse v-else @brought="gallery.load" @backup="keeping = true" @look-around="gallery.create" />
    </div>
    <div
      v-show="(loading || shown.length) && !failed.length"
      ref="scroller"
      class="-mx-2 min-h-0 flex-1 overflow-y-auto px-2 pb-6"
      tabindex="-1"
    >
      <div class="relative" :style="{ height: `${virtual.getTotalSize()}px` }">
        <ul
          v-for="row in virtual.getVirtualItems()"
          :ref="measured"
          :key="row.index"
          :data-index="row.index"
          class="absolute inset-x-0 top-0 grid gap-2 pb-2 sm:gap-4 sm:pb-4"
          :style="{
            transform: `translateY(${row.start}px)`,
            gridTemplateColumns: `repeat(${columns}, minmax(0, 1fr))`,
          }"
        >
          <LookCard
            v-for="{ look, tries } in rows[row.index]"
            :key="look.id"
            :look="look"
            :tries="tries"
            :open="open.has(look.family)"
            @toggle="toggle(look.family)"
            @keep="gallery.keep(look.id)"
            @rename="name => gallery.rename(look.id, name)"
            @duplicate="gallery.duplicate(look.id)"
            @remove="gallery.remove(look)"
          />
        </ul>
      </div>
    </div>
    <DropAnywhere words="Drop look files to import them" @files="takeAll" />
    <LazyKeptSafeDialog v-if="keeping" @close="keeping = false" @restored="gallery.load" />
  </main>
</template>
