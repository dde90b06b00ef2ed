<script setup lang="ts">
import { onKeyStroke, useWakeLock } from '@vueuse/core'
import { CloudOff, PersonStanding } from '@lucide/vue'
import { dropSitting } from '~/sitting/kept'

/** A look beside the person who is painted: one step large, the next one small, and the record of it. */
const id = String(useRoute().params.id)
const chair = useChair()
const failed = ref<string[]>([])
const more = ref(false)
/** Whether the sitting is in the log, and the next person may sit down. */
const kept = ref(false)
async function nextPerson(): Promise<void> {
  kept.value = false
  forgetPlaces()
  await chair.load(id)
}
const theme = useTheme()
// The worker that paints is fetched beside what it paints.
warmPainter()
try {
  await chair.load(id)
} catch (error) {
  failed.value = sentencesOf(error)
}
useHead({ title: () => (chair.look ? `${chair.look.name}, in the chair` : 'The chair') })
const phase = computed(() => (!chair.frame ? 'before' : chair.progress.ended ? 'after' : 'steps'))

// The screen stays on where the browser can: nobody has a clean finger to wake it.
const awake = useWakeLock()
watch(
  phase,
  now => {
    if (now === 'steps') void awake.request('screen').catch(() => {})
    else void awake.release().catch(() => {})
  },
  { immediate: true },
)
// All that was read is kept for when the server is away: once all of it was.
watch(
  () => chair.filled,
  filled => {
    if (filled) void keepForOffline()
  },
  { immediate: true },
)
onBeforeUnmount(forgetPlaces)

/** Keys of the hardware: foot switches and page turners send these. */
const KEYS: Readonly<Record<string, () => void>> = {
  ' ': () => chair.act('done'),
  'Enter': () => chair.act('done'),
  'ArrowRight': () => chair.act('done'),
  'PageDown': () => chair.act('done'),
  'ArrowLeft': () => chair.progress.behind.length && chair.act('back'),
  'PageUp': () => chair.progress.behind.length && chair.act('back'),
  's': () => chair.act('skip'),
  'l': () => void chair.later(),
  'r': () => chair.act('again'),
  'p': () => chair.act(chair.progress.pausing ? 'resume' : 'pause'),
}
onKeyStroke(event => {
  const on = event.target as HTMLElement
  const typing = /^(INPUT|TEXTAREA|SELECT|BUTTON)$/.test(on.tagName) && !/^(Page|Arrow)/.test(event.key)
  if (phase.value !== 'steps' || more.value || typing || event.defaultPrevented || event.repeat) return
  const deed = KEYS[event.key.length === 1 ? event.key.toLowerCase() : event.key]
  if (!deed || event.ctrlKey || event.metaKey || event.altKey) return
  if (chair.progress.pausing && event.key !== 'p') return
  event.preventDefault()
  deed()
})
const elsewhere = computed(() =>
  (chair.heard?.elsewhere ?? []).map(
    e =>
      `This look is in the chair on another device too, since ${new Date(e.startedAt).toTimeString().slice(0, 5)}${e.ticket ? `, ticket ${e.ticket}` : ''}. Each writes down its own.`,
  ),
)
const told = computed(() => [
  ...chair.problems,
  ...elsewhere.value,
  ...(chair.heard?.what === 'deleted'
    ? ['This sitting was deleted in the log meanwhile. Bring it back there to keep it.']
    : []),
  ...(chair.heard?.lookGone
    ? ['The look was deleted meanwhile. This sitting goes on and is kept; the look can be brought back.']
    : []),
])
const hidden = ref<string[]>([])
const shown = computed(() => told.value.filter(t => !hidden.value.includes(t)))
async function leave(): Promise<void> {
  more.value = false
  await navigateTo(`/looks/${id}`)
}
/** Nothing was painted: the sitting is not kept. */
async function giveUp(): Promise<void> {
  const run = chair.frame?.id
  more.value = false
  if (run) await dropSitting(run)
  await chair.load(id)
}
</script>

<template>
  <main
    class="chair flex h-dvh flex-col overflow-hidden bg-paper text-ink"
    data-testid="chair"
    :data-phase="phase"
    :data-away="chair.away"
  >
    <div v-if="failed.length" role="alert" class="m-4 rounded-xl border-2 border-stop p-4">
      <p v-for="s in failed" :key="s">{{ s }}</p>
      <NuxtLink to="/" class="chair-btn mt-3">Back to the looks</NuxtLink>
    </div>
    <template v-else-if="chair.look">
      <header class="flex shrink-0 items-center gap-3 border-b border-rule bg-card px-4 py-2">
        <NuxtLink :to="`/looks/${id}`" aria-label="Back to the bench" class="shrink-0"
          ><img src="/mark.svg" alt="" class="size-8"
        /></NuxtLink>
        <span class="min-w-0 flex-1 truncate font-semibold">{{ chair.look.name }}</span>
        <CloudOff
          v-if="chair.away"
          :size="20"
          class="shrink-0 text-care"
          aria-label="The server is away; all is kept on this device"
          role="img"
        />
        <template v-if="phase === 'steps'">
          <span class="shrink-0 tabular-nums" data-testid="count"
            ><b>{{ chair.progress.behind.length + 1 }}</b> of {{ chair.order.length }}</span
          >
          <strong class="shrink-0 font-display text-2xl tabular-nums" data-testid="elapsed">{{
            clock(chair.live.now - chair.live.paused)
          }}</strong>
        </template>
        <PersonStanding v-else :size="22" class="shrink-0 text-mulberry" aria-hidden="true" />
      </header>
      <p
        v-for="t in shown"
        :key="t"
        role="alert"
        class="flex shrink-0 items-center gap-3 border-b-2 border-care bg-card px-4 py-2 leading-snug"
      >
        <span class="flex-1">{{ t }}</span><button class="chair-chip" @click="hidden.push(t)">Good</button>
      </p>
      <ChairBefore v-if="phase === 'before'" />
      <ChairNow v-else-if="phase === 'steps'" @more="more = true" />
      <ChairNext v-else-if="kept" @same="nextPerson" />
      <ChairAfter v-else @kept="kept = true" />
      <ChairMore
        v-if="more && phase === 'steps'"
        :dark="theme.dark.value"
        @close="more = false"
        @dark="theme.toggle"
        @leave="leave"
        @give-up="giveUp"
      />
    </template>
  </main>
</template>
