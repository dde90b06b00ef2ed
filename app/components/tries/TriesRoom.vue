<script setup lang="ts">
import { ArrowLeft, Check, Trash2 } from '@lucide/vue'
import { familyOf, type Difference, type Look } from '#core/look'
import { useSharedView } from './sharedView'

/** The tries of a look side by side: at one scale, seen alike, weighed, and told step by step. */
const { id } = defineProps<{ id: string }>()
/** As many are seen at once at most: more are too small to be told apart. */
const MOST_SHOWN = 6
const { records, failed, loading, load, keep, remove, take } = useFamily(id)
onMounted(load)

/** Which tries are shown: the first ones until the painter chooses. */
const chosen = ref<readonly string[] | null>(null)
const all = computed(() => records.value.map(r => r.look))
const shownIds = computed(() => chosen.value ?? all.value.slice(0, MOST_SHOWN).map(l => l.id))
/** The skin on which all are shown; null for each its own. */
const skin = ref<string | null>(null)
const worn = (look: Look): Look =>
  skin.value === null ? look : { ...look, skin: { ...look.skin, colour: skin.value } }
const shown = computed(() => all.value.filter(l => shownIds.value.includes(l.id)).map(worn))
const letterOf = (look: Pick<Look, 'id' | 'family'>) => familyOf(look).letter
const kept = computed(() => all.value.find(l => familyOf(l).kept) ?? all.value[0])
const name = computed(() => kept.value?.name ?? '')
useHead({ title: () => (name.value ? `Tries of ${name.value}, Janusform` : 'Tries, Janusform') })

function toggle(of: string): void {
  const now = shownIds.value
  const next = now.includes(of) ? now.filter(i => i !== of) : [...now, of]
  if (next.length >= 1 && next.length <= MOST_SHOWN) chosen.value = next
}

const view = useSharedView()
// Zoomed in, pictures are finer: what was seen coarsely before is painted anew.
const pxPerMm = computed(() => (shown.value.length <= 2 || view.zoom > 1.6 ? 4 : 3))
const {
  pictures,
  facts,
  done,
  failed: unpainted,
  stop,
} = useTryPictures(
  () => shown.value,
  () => pxPerMm.value,
)
/** Degrees by which the heads are turned. */
const across = ref(0)
const { heads, problem } = useTurnedTries(
  () => shown.value,
  () => (across.value === 0 ? null : { across: across.value, up: 0 }),
)
const paintedOf = (of: string) =>
  (across.value !== 0 && heads.value.get(of)) || pictures.value.get(of) || null
/** Whether the picture and the numbers of a try are of before what is shown now: another skin, or an edit. */
const isOld = (look: Look) => {
  const of = pictures.value.get(look.id)?.of
  return of !== undefined && JSON.stringify(of) !== JSON.stringify(look)
}
const widest = computed(() => Math.max(1, ...shown.value.map(l => paintedOf(l.id)?.wide ?? 1)))

const MODES = [
  ['side', 'Side by side'],
  ['swipe', 'Swipe'],
  ['difference', 'Difference'],
] as const
const mode = ref<(typeof MODES)[number][0]>('side')
/** The try that the others are told against, and the one beside it where two are seen. */
const baseId = ref<string | null>(null)
const otherId = ref<string | null>(null)
const base = computed(
  () =>
    shown.value.find(l => l.id === baseId.value) ??
    shown.value.find(l => l.id === kept.value?.id) ??
    shown.value[0],
)
const others = computed(() => shown.value.filter(l => l.id !== base.value?.id))
const other = computed(() => others.value.find(l => l.id === otherId.value) ?? others.value[0])
/** The looks as they are kept: on their own skins. */
const own = (look: Look) => all.value.find(l => l.id === look.id) ?? look
const pair = computed<readonly [Look, Look] | null>(() =>
  base.value && other.value ? [base.value, other.value] : null,
)
const weighed = computed(() =>
  shown.value.map(l => ({ letter: letterOf(l), facts: facts.value.get(l.id) ?? null, old: isOld(l) })),
)
const takeOver = (from: Look, difference: Difference) => take(base.value!.id, from.id, difference)
</script>

<template>
  <main class="mx-auto min-h-dvh max-w-[1500px] px-3 pb-10 sm:px-6">
    <header class="flex flex-wrap items-center gap-x-4 gap-y-2 py-3">
      <NuxtLink :to="`/looks/${id}`" class="btn"><ArrowLeft :size="16" />Bench</NuxtLink>
      <h1 class="font-display text-2xl font-bold">Tries of {{ name || 'a look' }}</h1>
      <div class="ml-auto flex flex-wrap items-center gap-3">
        <SegmentedChoice
          v-if="shown.length > 1"
          v-model="mode"
          class="w-76"
          label="How they are seen"
          :options="MODES"
        />
        <label class="flex items-center gap-2 text-sm text-soft"
          >turn<input
            v-model.number="across"
            type="range"
            min="-80"
            max="80"
            step="10"
            class="w-28 accent-mulberry"
            aria-label="Turn of all heads, degrees"
          /><span class="w-9 tabular-nums">{{ across }}°</span></label
        >
        <SkinChoice v-model="skin" label="Skin of all" what="All on">
          <button class="chip" :aria-pressed="skin === null" @click="skin = null">own skin</button>
        </SkinChoice>
        <button class="btn" :disabled="view.zoom === 1" @click="view.whole">Whole</button>
        <BoardMenu :name :tries="shown" :painted="pictures" :facts />
      </div>
    </header>
    <p
      v-for="s in [...failed, ...unpainted]"
      :key="s"
      role="alert"
      class="mb-3 rounded-xl border border-stop bg-card p-3"
    >
      {{ s }}
    </p>
    <p v-if="problem && across !== 0" role="alert" class="mb-3 text-care">{{ problem }}</p>
    <p v-if="loading" class="p-10 text-center text-soft">Fetching the tries…</p>
    <template v-else-if="base">
      <div
        v-if="all.length > 2"
        class="mb-2 flex flex-wrap items-center gap-1.5"
        role="group"
        aria-label="Which tries are shown"
      >
        <button
          v-for="l in all"
          :key="l.id"
          class="chip"
          :aria-pressed="shownIds.includes(l.id)"
          :disabled="!shownIds.includes(l.id) && shownIds.length >= MOST_SHOWN"
          @click="toggle(l.id)"
        >
          {{ letterOf(l) }}<template v-if="familyOf(l).why"> · {{ familyOf(l).why }}</template>
        </button>
      </div>
      <WaitBar
        v-if="done !== null && done < shown.length"
        class="mb-2"
        :words="`Painting ${Math.min(done + 1, shown.length)} of ${shown.length}…`"
        :done="done / shown.length"
        @stop="stop"
      />
      <ul
        v-if="mode === 'side'"
        class="grid gap-2.5"
        :style="{
          gridTemplateColumns: `repeat(auto-fit, minmax(min(100%, ${shown.length > 4 ? 190 : 230}px), 1fr))`,
        }"
        data-testid="side-by-side"
        :data-painted="pictures.size"
      >
        <li
          v-for="l in shown"
          :key="l.id"
          class="overflow-hidden rounded-2xl border bg-card"
          :class="l.id === kept?.id ? 'border-mulberry' : 'border-rule'"
          :data-try="letterOf(l)"
        >
          <div class="h-[min(46vh,460px)]">
            <TryPane
              :painted="paintedOf(l.id)"
              :view
              :widest
              :waiting="done !== null"
              :old="isOld(l)"
              :label="`Try ${letterOf(l)}, painted; arrows move all, + and - zoom`"
            />
          </div>
          <div class="p-2.5">
            <p class="flex items-baseline gap-2">
              <strong class="font-display text-2xl">{{ letterOf(l) }}</strong>
              <span class="min-w-0 flex-1 truncate">{{ familyOf(l).why || 'as it began' }}</span>
              <span v-if="l.id === kept?.id" class="flex items-center gap-0.5 text-sm text-go"
                ><Check :size="14" />the look</span
              >
            </p>
            <div class="mt-1.5 flex flex-wrap gap-1.5">
              <NuxtLink :to="`/looks/${l.id}`" class="btn px-2">Go on with it</NuxtLink>
              <button v-if="l.id !== kept?.id" class="btn px-2" @click="keep(l.id)">Make it the look</button>
              <button
                v-if="all.length > 1"
                class="icon-btn ml-auto"
                :aria-label="`Delete try ${letterOf(l)}`"
                v-tip="`Delete try ${letterOf(l)}`"
                @click="remove(l.id)"
              >
                <Trash2 :size="16" />
              </button>
            </div>
          </div>
        </li>
      </ul>
      <div v-else-if="pair" class="overflow-hidden rounded-2xl border border-rule bg-card">
        <div class="flex flex-wrap items-center gap-3 p-2">
          <label class="flex items-center gap-1.5 text-sm text-soft"
            >of<select
              class="field w-auto!"
              aria-label="First try"
              :value="pair[0].id"
              @change="baseId = ($event.target as HTMLSelectElement).value"
            >
              <option v-for="l in shown" :key="l.id" :value="l.id">{{ letterOf(l) }}</option>
            </select></label
          >
          <label class="flex items-center gap-1.5 text-sm text-soft"
            >and<select
              class="field w-auto!"
              aria-label="Second try"
              :value="pair[1].id"
              @change="otherId = ($event.target as HTMLSelectElement).value"
            >
              <option v-for="l in others" :key="l.id" :value="l.id">{{ letterOf(l) }}</option>
            </select></label
          >
        </div>
        <div class="h-[min(64vh,640px)]">
          <SwipePane
            v-if="mode === 'swipe'"
            :first="paintedOf(pair[0].id)"
            :second="paintedOf(pair[1].id)"
            :letters="[letterOf(pair[0]), letterOf(pair[1])]"
            :view
            :widest
          />
          <DifferencePane v-else :first="pair[0]" :second="pair[1]" :px-per-mm="pxPerMm" :view />
        </div>
      </div>
      <p v-if="shown.length < 2" class="mt-4 text-soft">
        There is only one try. On the bench, "Try another way" keeps the look as it stands and goes on in a
        copy.
      </p>
      <section class="mt-5" aria-label="Weighed">
        <TryTable :tries="weighed" />
      </section>
      <section v-if="others.length" class="mt-6" aria-label="What differs">
        <h2 class="mb-2 flex flex-wrap items-center gap-2 font-display text-xl font-semibold">
          What differs from
          <select
            class="field w-auto!"
            aria-label="Told against try"
            :value="base.id"
            @change="baseId = ($event.target as HTMLSelectElement).value"
          >
            <option v-for="l in shown" :key="l.id" :value="l.id">{{ letterOf(l) }}</option>
          </select>
        </h2>
        <div class="grid gap-5 lg:grid-cols-2">
          <TryDifferences
            v-for="l in others"
            :key="l.id"
            :base="own(base)"
            :other="own(l)"
            @take="d => takeOver(l, d)"
          />
        </div>
      </section>
    </template>
  </main>
</template>
