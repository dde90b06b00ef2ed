<script setup lang="ts">
import { format } from 'date-fns'
import { nanoid } from 'nanoid'
import { parseRun, RUN_FORMAT, type Run, type RunStep } from '#core/chair'
import { sheetsOf, titleAmong } from '#core/look'
import type { LookListed, LookRecord } from '~~/server/db/looks'

/** A run that was not written down in the chair, typed in afterwards. */
const emit = defineEmits<{ close: [] }>()
const log = useLog()
const drawer = useDrawer()
const kit = useKit()
const settings = useSettings()
const painter = usePainter()
const looks = shallowRef<LookListed[]>([])
const look = ref('')
const name = ref('')
const day = ref(format(new Date(), "yyyy-MM-dd'T'HH:mm"))
const minutes = ref('')
const ticket = ref('')
const note = ref('')
const failed = ref<string[]>([])
onMounted(async () => {
  looks.value = await $fetch<LookListed[]>('/api/looks').catch(() => [])
})
/** The steps of a look as a typed run has them: what they would take, and no times of their own. */
async function stepsOf(id: string): Promise<RunStep[]> {
  const { look: of } = await $fetch<LookRecord>(`/api/looks/${id}`)
  await Promise.all([drawer.load(), kit.load()])
  await drawer.ensure(sheetsOf(of))
  const { steps } = await painter.sitting(of, settings.finger, new Map())
  return steps.map(s => ({
    id: s.id,
    label: s.label.slice(0, 60),
    task: s.task,
    planned: Math.round(10 * s.effort.seconds) / 10,
    usual: Math.round(10 * s.usual.seconds) / 10,
    seconds: null,
    waited: 0,
    lost: 0,
    ending: 'done',
    swapped: false,
    again: 0,
    went: null,
    bridge: null,
  }))
}
async function keep(): Promise<void> {
  const seconds = secondsIn(minutes.value)
  const began = new Date(day.value)
  const of = looks.value.find(l => l.id === look.value)
  if (seconds === null || seconds === 0) {
    failed.value = ['Give the minutes, such as 4 or 4:20.']
    return
  }
  if (Number.isNaN(began.getTime())) {
    failed.value = ['Give the day and the time.']
    return
  }
  const parsed = parseRun({
    format: RUN_FORMAT,
    version: 1,
    id: nanoid(16),
    look: {
      id: of?.id ?? null,
      name: of ? titleAmong(of, looks.value).slice(0, 80) : name.value.trim(),
      version: of?.version ?? null,
    },
    length: 'whole',
    device: 'typed in',
    typed: true,
    startedAt: began.toISOString(),
    endedAt: new Date(began.getTime() + 1000 * seconds).toISOString(),
    ticket: ticket.value.trim(),
    room: null,
    planned: of?.seconds ?? 0,
    seconds,
    paused: 0,
    note: note.value,
    steps: of ? await stepsOf(of.id).catch(() => []) : [],
  } satisfies Run)
  if (!parsed.ok) {
    failed.value = of || name.value.trim() ? parsed.errors : ['Choose a look, or type what was painted.']
    return
  }
  try {
    await log.put(parsed.run)
    emit('close')
  } catch (error) {
    failed.value = sentencesOf(error)
  }
}
</script>

<template>
  <PanelDialog open title="Type a run in" @close="emit('close')">
    <form class="grid grid-cols-2 gap-3" @submit.prevent="keep">
      <label class="col-span-2"
        >look<select v-model="look" class="field">
          <option value="">another, by name</option>
          <option v-for="l in looks" :key="l.id" :value="l.id">{{ titleAmong(l, looks) }}</option>
        </select></label
      >
      <label v-if="!look" class="col-span-2"
        >what was painted<input v-model="name" class="field" maxlength="80"
      /></label>
      <label>day and time<input v-model="day" class="field" type="datetime-local" /></label>
      <label>minutes<input v-model="minutes" class="field" placeholder="4:20" aria-label="Minutes" /></label>
      <label>ticket, no name<input v-model="ticket" class="field" maxlength="20" /></label>
      <label class="col-span-2"
        >note, no names<textarea v-model="note" class="field" rows="2" maxlength="2000" />
      </label>
      <div v-if="failed.length" role="alert" class="col-span-2 text-stop">
        <p v-for="s in failed" :key="s">{{ s }}</p>
      </div>
      <button class="btn-main col-span-2" type="submit">Keep it in the log</button>
    </form>
  </PanelDialog>
</template>
