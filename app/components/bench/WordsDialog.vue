<script setup lang="ts">
import { GivenUp } from '~/utils/stoppable'

/** The look in words: what lies where, in which colours, and what is bare. */
const emit = defineEmits<{ close: [] }>()
const session = useSession()
const selection = useSelection()
const painter = usePainter()
const analysis = useAnalysis()
const told = shallowRef<Awaited<ReturnType<typeof painter.inWords>> | null>(null)
const failed = ref<string[]>([])

async function tell(): Promise<void> {
  try {
    told.value = await painter.inWords(session.look!)
  } catch (error) {
    if (!(error instanceof GivenUp)) failed.value = sentencesOf(error)
  }
}
void tell()
onBeforeUnmount(() => {
  if (!told.value) painter.stop()
})
/** Where there are empty patches, each place once. */
const patches = computed(() => [...new Set(told.value?.patches ?? [])])
/** Problems and warnings of the check, as many as there are. */
const grave = computed(() => analysis.findings.filter(f => f.level !== 'tip'))
function take(id: string): void {
  selection.id = id
  emit('close')
}
</script>

<template>
  <PanelDialog open title="The face in words" wide @close="emit('close')">
    <p v-for="s in failed" :key="s" role="alert" class="text-stop">{{ s }}</p>
    <div v-if="told" class="space-y-3" data-testid="in-words">
      <p>{{ told.summary }}</p>
      <ol class="space-y-1">
        <li v-for="s in told.steps" :key="s.id">
          <button class="rounded px-1 text-left hover:text-mulberry hover:underline" @click="take(s.id)">
            {{ s.words }}
          </button>
        </li>
      </ol>
      <p v-if="told.bare">Bare: {{ told.bare }}.</p>
      <p v-if="told.steps.length && patches.length">
        Empty patches between what is painted: {{ patches.join('; ') }}.
      </p>
      <template v-if="grave.length">
        <h3 class="font-display text-lg font-semibold">Check</h3>
        <ul class="list-disc pl-5">
          <li v-for="(f, i) in grave" :key="i">{{ f.title }}: {{ f.why }}</li>
        </ul>
      </template>
    </div>
    <WaitBar v-else-if="!failed.length" words="Looking at the face…" @stop="emit('close')" />
  </PanelDialog>
</template>
