<script setup lang="ts">
import { isKind } from '#core/look'
import { labOf, linearOf, SIX_SKINS, skinClass, typologyAngle } from '#core/paint'

const emit = defineEmits<{ close: [] }>()
const session = useSession()
const painter = usePainter()
const rows = shallowRef<{ words: string; colour: string; angle: number; picture: string; weakest: string }[]>(
  [],
)
/** Share of the skins that are painted, 0 to 1. */
const done = ref(0)
const failed = ref<string[]>([])
async function paint(): Promise<void> {
  const look = session.look!
  const answers = await painter.onSkins(
    look,
    SIX_SKINS.map(s => s.colour),
    1.6,
    share => {
      done.value = share
    },
  )
  rows.value = answers.map(({ picture, shows }, i) => {
    const lab = labOf(linearOf(SIX_SKINS[i]!.colour))
    const sheets = shows.filter(s =>
      isKind(
        'sheet',
        look.steps.find(step => step.id === s.stepId),
      ),
    )
    const weakest = [...(sheets.length ? sheets : shows)].sort((a, b) => a.median - b.median)[0]
    const n = look.steps.findIndex(s => s.id === weakest?.stepId)
    return {
      words: skinClass(lab),
      colour: SIX_SKINS[i]!.colour,
      angle: typologyAngle(lab),
      picture: canvasOf(picture).toDataURL(),
      weakest: weakest
        ? `${n + 1} ${look.steps[n]!.label}: ${weakest.median.toFixed(0)}, ${weakest.words}`
        : '',
    }
  })
}
onMounted(() =>
  paint().catch(error => {
    if (!(error instanceof GivenUp)) failed.value = sentencesOf(error)
  }),
)
onBeforeUnmount(painter.stop)
const wear = (colour: string) => {
  session.edit('skin', d => {
    d.skin.colour = colour
  })
  emit('close')
}
</script>

<template>
  <PanelDialog open huge title="The same look on six skins" @close="emit('close')">
    <p class="mb-3 text-soft">
      One skin of each class by typology angle (ITA). Under each stands its weakest stencil step, with how it
      shows there.
    </p>
    <p v-for="s in failed" :key="s" role="alert" class="text-stop">{{ s }}</p>
    <div v-if="!rows.length && !failed.length" class="flex h-64 items-center justify-center">
      <WaitBar words="Painting six faces…" :done="done" @stop="emit('close')" />
    </div>
    <div v-else-if="rows.length" class="grid grid-cols-6 gap-2.5" data-testid="six-skins">
      <figure v-for="r in rows" :key="r.colour" class="overflow-hidden rounded-xl border border-rule bg-card">
        <img :src="r.picture" :alt="`The look on ${r.words} skin`" class="w-full" />
        <figcaption class="p-2 text-[0.87rem] leading-snug">
          <strong>{{ r.words }}</strong> <span class="text-soft">{{ r.angle.toFixed(0) }}°</span><br /><span
            v-if="r.weakest"
            class="text-soft"
            >weakest</span
          >
          {{ r.weakest
          }}<button class="btn mt-1 w-full px-1 text-[0.8rem]" @click="wear(r.colour)">Use this skin</button>
        </figcaption>
      </figure>
    </div>
  </PanelDialog>
</template>
