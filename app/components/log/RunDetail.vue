<script setup lang="ts">
import { Trash2 } from '@lucide/vue'
import { OUTCOMES, standingOf, timesIn, type Outcome, type Run, type Standing } from '#core/chair'
import { taskWords } from '#core/look'
import { pacesOf } from '#core/order'
import type { KeptRun } from '~~/server/db/runs'

/** One run: its steps in minutes, what was skipped, how each went; changed and deleted here. */
const props = defineProps<{ kept: KeptRun }>()
const emit = defineEmits<{ close: [] }>()
const log = useLog()
const notices = useNotices()
const run = computed(() => props.kept.run)
async function put(change: Partial<Run>): Promise<void> {
  try {
    await log.put({ ...run.value, ...change })
  } catch (error) {
    notices.refuse(sentencesOf(error).join(' '))
  }
}
const went = (id: string, value: string) =>
  put({
    steps: run.value.steps.map(s => (s.id === id ? { ...s, went: (value || null) as Outcome | null } : s)),
  })
async function remove(): Promise<void> {
  const gone = run.value
  // Closed first: what is deleted takes this panel with it.
  emit('close')
  try {
    await log.remove(gone)
  } catch (error) {
    notices.refuse(sentencesOf(error).join(' '))
  }
}
const room = computed(() => {
  const r = run.value.room
  return r
    ? `${r.temperature} °C, ${Math.round(100 * r.humidity)} %, ${r.air === 'still' ? 'still air' : r.air === 'fan' ? 'a fan' : 'sun'}`
    : 'nobody looked'
})
const most = computed(() => Math.max(1, ...run.value.steps.map(s => Math.max(s.seconds ?? 0, s.planned))))
const STANDING: Readonly<Record<Standing, string>> = {
  'counts': 'It counts for your pace.',
  'not ended': 'It does not count for your pace: it was not brought to its end.',
  'clicked through':
    'It does not count for your pace: its steps were pressed through faster than anybody paints.',
  'left out': 'You have left it out of your pace.',
  'no times': 'It does not count for your pace: it tells no time of any step.',
}
const standing = computed(() => standingOf(run.value))
/** What each kind of task took in this run, against the starting values. */
const changes = computed(() =>
  pacesOf(timesIn(run.value)).map(({ task, count }) => {
    const own = timesIn(run.value).filter(t => t.task === task)
    const ratio = own.reduce((a, t) => a + t.seconds, 0) / own.reduce((a, t) => a + t.usual, 0)
    return `${taskWords(task)} ${ratio.toFixed(2)} times the usual${count > 1 ? ` (${count} steps)` : ''}`
  }),
)
const text = (event: Event) => (event.target as HTMLInputElement).value
</script>

<template>
  <PanelDialog open wide :title="run.look.name" @close="emit('close')">
    <div class="space-y-3" data-testid="run-detail">
      <p class="text-soft">
        {{ clock(run.seconds) }} of {{ clock(run.planned) }} planned, {{ run.typed ? 'typed in' : run.length
        }}<template v-if="run.paused >= 1">, {{ clock(run.paused) }} of pauses not counted</template>; room:
        {{ room }}.
        <NuxtLink v-if="run.look.id" :to="`/looks/${run.look.id}`" class="underline">Open the look</NuxtLink>
      </p>
      <div class="flex gap-3">
        <img
          v-if="kept.picture"
          :src="`/api/runs/${run.id}/picture`"
          alt="What was painted"
          class="max-h-56 rounded-xl"
        />
        <div class="grid flex-1 content-start gap-2">
          <label class="text-[0.87rem]"
            >ticket, no name<input
              v-kept="run.ticket"
              class="field"
              maxlength="20"
              @change="put({ ticket: text($event) })"
          /></label>
          <label class="text-[0.87rem]"
            >note, no names<textarea
              v-kept="run.note"
              class="field"
              rows="2"
              maxlength="2000"
              @change="put({ note: text($event) })"
            />
          </label>
        </div>
      </div>
      <table v-if="run.steps.length" class="w-full text-left text-[0.93rem]">
        <thead>
          <tr class="border-b border-rule text-soft">
            <th class="py-1 font-semibold">Step</th>
            <th class="font-semibold">Planned and as it was</th>
            <th class="text-right font-semibold">Took</th>
            <th class="pl-3 font-semibold">Went</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="s in run.steps" :key="s.id" class="border-b border-rule">
            <td class="max-w-56 py-1 pr-3">
              {{ s.label }}
              <span class="text-soft">{{
                [
                  s.ending === 'done' ? '' : s.ending,
                  s.swapped ? 'put later' : '',
                  s.again ? `begun again ${s.again} times` : '',
                  s.waited >= 1 ? `waited ${Math.round(s.waited)} s` : '',
                ]
                  .filter(Boolean)
                  .join(', ')
              }}</span>
            </td>
            <td class="w-48">
              <span
                class="block h-1.5 rounded bg-rule"
                :style="{ width: `${(100 * s.planned) / most}%` }"
              /><span
                class="mt-0.5 block h-1.5 rounded bg-mulberry"
                :style="{ width: `${(100 * (s.seconds ?? 0)) / most}%` }"
              />
            </td>
            <td class="text-right tabular-nums">
              {{ s.seconds === null ? '–' : clock(s.seconds) }}
              <span class="text-soft">of {{ clock(s.planned) }}</span>
            </td>
            <td class="pl-3">
              <select
                class="field w-32!"
                :value="s.went ?? ''"
                :aria-label="`How ${s.label} went`"
                @change="went(s.id, text($event))"
              >
                <option value="">not said</option>
                <option v-for="o in OUTCOMES" :key="o" :value="o">{{ o }}</option>
              </select>
            </td>
          </tr>
        </tbody>
      </table>
      <div
        class="flex flex-wrap items-center gap-2 rounded-xl border border-rule p-2.5"
        data-testid="standing"
      >
        <p class="min-w-0 flex-1 leading-snug">
          {{ STANDING[standing] }}
          <span v-if="changes.length" class="text-soft">{{ changes.join('; ') }}.</span>
        </p>
        <button
          v-if="standing === 'counts' || standing === 'left out'"
          class="btn"
          @click="put({ leftOut: standing === 'counts' ? true : undefined })"
        >
          {{ standing === 'counts' ? 'Leave it out of my pace' : 'Let it count again' }}
        </button>
      </div>
      <button class="btn text-stop" @click="remove"><Trash2 :size="15" />Delete this run</button>
    </div>
  </PanelDialog>
</template>
