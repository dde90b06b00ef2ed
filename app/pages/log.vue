<script setup lang="ts">
import { Download, FileUp, Keyboard, Undo2 } from '@lucide/vue'
import { timesIn } from '#core/chair'
import { taskWords } from '#core/look'

/** How paintings went: a list, planned against real minutes, and the painter's own pace. */
const log = useLog()
const notices = useNotices()
const failed = ref<string[]>([])
const search = ref('')
const chosen = ref<string | null>(null)
const typing = ref(false)
try {
  await log.load()
} catch (error) {
  failed.value = sentencesOf(error)
}
useHead({ title: 'Log' })
const open = computed(() => log.kept.find(k => k.run.id === chosen.value) ?? null)

/** Means of planned and real seconds, by name; the most frequent first. */
function means(rows: readonly { name: string; planned: number; took: number }[]) {
  const by = new Map<string, { name: string; planned: number; took: number; count: number }>()
  for (const { name, planned, took } of rows) {
    const known = by.get(name) ?? { name, planned: 0, took: 0, count: 0 }
    by.set(name, { name, planned: known.planned + planned, took: known.took + took, count: known.count + 1 })
  }
  return [...by.values()]
    .map(r => ({ ...r, planned: r.planned / r.count, took: r.took / r.count }))
    .sort((a, b) => b.count - a.count || b.took - a.took)
    .slice(0, MOST_BARS)
}
const MOST_BARS = 8
const byLook = computed(() =>
  means(
    log.runs
      .filter(r => r.endedAt !== null && r.planned > 0 && r.seconds > 0)
      .map(r => ({ name: r.look.name, planned: r.planned, took: r.seconds })),
  ),
)
const byTask = computed(() =>
  means(
    log.runs
      .flatMap(timesIn)
      .map(({ task, usual, seconds }) => ({ name: taskWords(task), planned: usual, took: seconds })),
  ),
)
const charted = ref<'look' | 'task'>('look')
async function take(event: Event): Promise<void> {
  const box = event.target as HTMLInputElement
  const file = box.files?.[0]
  box.value = ''
  if (!file) return
  try {
    const { taken, known } = await log.take(file)
    failed.value = []
    notices.tell(
      `${taken} ${taken === 1 ? 'run' : 'runs'} imported${known ? `, ${known} were there already` : ''}.`,
    )
  } catch (error) {
    failed.value = sentencesOf(error)
  }
}
</script>

<template>
  <main class="mx-auto max-w-7xl p-5">
    <header class="mb-4 flex flex-wrap items-center gap-2">
      <AppNav />
      <span class="flex-1" />
      <input
        v-model="search"
        class="field w-52!"
        type="search"
        placeholder="Search the log"
        aria-label="Search the log"
      />
      <button class="btn" @click="typing = true"><Keyboard :size="15" />Type one in</button>
      <label class="btn relative cursor-pointer"
        ><FileUp :size="15" />Import<input
          type="file"
          accept=".json,.csv,application/json,text/csv"
          class="absolute inset-0 cursor-pointer opacity-0"
          aria-label="Import a log, JSON or CSV"
          @change="take"
      /></label>
      <a class="btn" href="/api/runs/export.csv" download><Download :size="15" />CSV</a>
      <a class="btn" href="/api/runs/export.json" download><Download :size="15" />JSON</a>
    </header>
    <h1 class="sr-only">Log</h1>
    <div v-if="failed.length" role="alert" class="mb-3 rounded-xl border border-stop p-3">
      <p v-for="s in failed" :key="s">{{ s }}</p>
    </div>
    <p v-if="log.gone" class="mb-3 flex items-center gap-3 rounded-xl border border-rule bg-card p-2.5">
      The run of {{ log.gone.look.name }} was deleted.
      <button class="btn" @click="log.restore()"><Undo2 :size="15" />Bring it back</button>
    </p>
    <div v-if="!log.kept.length" class="rounded-2xl border border-dashed border-rule p-8 text-center">
      <p class="font-display text-xl font-semibold">Nothing is written down yet.</p>
      <p class="mt-1 text-soft">
        Open a look and press "Chair": step by step it counts the minutes, and keeps how each step went. Runs
        that were painted without it can be typed in.
      </p>
      <NuxtLink to="/" class="btn-main mt-4">Choose a look</NuxtLink>
    </div>
    <div v-else class="grid gap-6 min-[1500px]:grid-cols-[minmax(0,1fr)_420px]">
      <section class="min-w-0 overflow-x-auto" aria-label="Runs">
        <RunTable :kept="log.kept" :search="search" :chosen="chosen" @choose="chosen = $event" />
      </section>
      <aside class="grid min-w-0 gap-6 md:max-[1499px]:grid-cols-2 min-[1500px]:content-start">
        <section aria-label="Planned and as it was">
          <div class="mb-2 flex gap-1" role="group" aria-label="By what">
            <button class="chip" :aria-pressed="charted === 'look'" @click="charted = 'look'">by look</button>
            <button class="chip" :aria-pressed="charted === 'task'" @click="charted = 'task'">
              by kind of task
            </button>
          </div>
          <LazyTimesChart
            v-if="(charted === 'look' ? byLook : byTask).length"
            :rows="charted === 'look' ? byLook : byTask"
          />
          <p v-else class="text-soft">No run has both a plan and a time yet.</p>
        </section>
        <section v-if="log.paces.length" aria-label="Your own pace">
          <h2 class="font-display text-xl font-semibold">Your own pace</h2>
          <p class="mb-1 text-[0.87rem] text-soft">
            Against the starting values of common practice; every look is timed by it. A few times count for
            little, many for much.
          </p>
          <PaceList />
        </section>
      </aside>
    </div>
    <RunDetail v-if="open" :key="open.run.id" :kept="open" @close="chosen = null" />
    <TypedRunDialog v-if="typing" @close="typing = false" />
  </main>
</template>
