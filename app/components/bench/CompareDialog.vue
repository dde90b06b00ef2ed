<script setup lang="ts">
import type { Pass, SheetStep } from '#core/look'
import { TOOLS } from '#core/paint'

/** One pass dabbed in two ways, side by side, with its own paint, sheet and place. */
const props = defineProps<{ step: SheetStep; index: number }>()
const emit = defineEmits<{ close: [] }>()
const session = useSession()
const painter = usePainter()
const steps = useSteps()
const settings = useSettings()
type Way = Pick<Pass, 'tool' | 'wetness' | 'dabs'>
const wayOf = ({ tool, wetness, dabs }: Pass): Way => ({ tool, wetness, dabs })
const pass = props.step.passes[props.index]!
const first = ref<Way>(wayOf(pass))
const second = ref<Way>({ ...wayOf(pass), tool: pass.tool === 'dauber' ? 'makeup' : 'dauber' })
const columns = [first, second]
const answers = shallowRef<Awaited<ReturnType<typeof painter.compare>>>([])
const failed = ref<string[]>([])
const FINE = 5
const { old, ask, answer } = useAsked()
const paint = newestOnly(async (question: number) => {
  try {
    const ways = columns.map((c): Pass => ({ ...plain(pass), ...c.value }))
    answers.value = await painter.compare(session.look!, props.step.id, props.index, ways, FINE)
    answer(question)
  } catch (error) {
    if (!(error instanceof GivenUp)) failed.value = sentencesOf(error)
  }
})
watch([first, second], () => paint(ask()), { deep: true, immediate: true })
onBeforeUnmount(painter.stop)
const picture = (n: number) => {
  const found = answers.value[n]
  return found ? canvasOf(found.picture).toDataURL() : ''
}
const told = (n: number) => answers.value[n]?.outcome?.passes[props.index]
function take(n: number): void {
  const way = columns[n]!.value
  steps.editKind('sheet', 'tool, wetness and dabs', s => {
    Object.assign(s.passes[props.index]!, way)
  })
  emit('close')
}
</script>

<template>
  <PanelDialog open huge :title="`Colour layer ${index + 1} in two ways`" @close="emit('close')">
    <p v-for="s in failed" :key="s" role="alert" class="text-stop">{{ s }}</p>
    <div class="grid grid-cols-2 gap-4" data-testid="compare">
      <section
        v-for="(way, n) in columns"
        :key="n"
        :aria-label="n ? 'Another way' : 'One way'"
        class="space-y-2"
      >
        <div class="flex items-center gap-2">
          <ToolPicker v-model="way.value.tool" class="min-w-0 flex-1" /><CountStepper
            v-model="way.value.dabs"
            label="dabs"
          />
        </div>
        <div class="flex items-center gap-1">
          <WetnessPicker v-model="way.value.wetness" class="min-w-0 flex-1" /><HandTest
            :tool="way.value.tool"
            :wetness="way.value.wetness"
          />
        </div>
        <div
          class="relative grid h-72 place-items-center overflow-hidden rounded-xl border border-rule bg-stage"
          :aria-busy="old"
        >
          <span
            v-if="old && answers[n]"
            role="status"
            class="absolute top-2 rounded-full bg-ink/85 px-3 py-0.5 text-sm text-paper"
            >of before: painting anew…</span
          >
          <img
            v-if="answers[n]"
            :src="picture(n)"
            :alt="`The print by ${TOOLS[way.value.tool].name}, ${way.value.wetness}, ${way.value.dabs} dabs`"
            class="max-h-full max-w-full"
            :class="old && 'opacity-40'"
          />
          <WaitBar v-else-if="!failed.length" words="Painting both…" @stop="emit('close')" />
        </div>
        <dl
          v-if="told(n)"
          :class="old && 'opacity-40'"
          class="grid grid-cols-[auto_1fr] gap-x-2.5 text-[0.93rem]"
        >
          <dt class="eyebrow">Shows</dt>
          <dd>
            <strong>{{ answers[n]?.shows?.median.toFixed(0) ?? '–' }}</strong> {{ answers[n]?.shows?.words }}
          </dd>
          <dt class="eyebrow">Bleeds</dt>
          <dd>
            <strong :class="told(n)!.closed ? 'text-stop' : 'text-go'">{{
              settings.length(told(n)!.typical, 2)
            }}</strong><span v-if="told(n)!.closed" class="text-stop"
              >, {{ told(n)!.closed }} {{ told(n)!.closed === 1 ? 'bridge closes' : 'bridges close' }}</span
            >
            {{ ' ' }}<EstimateMark />
          </dd>
        </dl>
        <button class="btn w-full" :disabled="old" @click="take(n)">
          {{ n ? 'Take this one' : 'Keep this one' }}
        </button>
      </section>
    </div>
  </PanelDialog>
</template>
