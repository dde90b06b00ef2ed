<script setup lang="ts">
import type { MovedLook } from '~/workers/moving'

const emit = defineEmits<{ close: [] }>()
const session = useSession()
const painter = usePainter()
/** px to the mm of each picture. */
const FINENESS = 2
const FACES = 4
const faces = shallowRef<(Omit<MovedLook, 'picture'> & { readonly picture: string })[]>([])
const failed = ref<string[]>([])
/** What is heard after the dialog was closed is of no use to anybody. */
let open = true
async function paint(): Promise<void> {
  await painter.moved(session.look!, FINENESS, ({ words, picture, sentences }) => {
    if (open) faces.value = [...faces.value, { words, sentences, picture: canvasOf(picture).toDataURL() }]
  })
}
onMounted(() =>
  paint().catch(error => {
    if (!(error instanceof GivenUp)) failed.value = sentencesOf(error)
  }),
)
onBeforeUnmount(() => {
  open = false
  painter.stop()
})
</script>

<template>
  <PanelDialog open huge title="How it moves with the face" @close="emit('close')">
    <p class="mb-3 text-soft">
      What is painted goes along with the skin. Where that is drawn together by more than 12 %, dry paint may
      crack; a thin, dabbed layer gives way longest (common practice). <EstimateMark />
    </p>
    <p v-for="s in failed" :key="s" role="alert" class="text-stop">{{ s }}</p>
    <div class="grid grid-cols-2 gap-2.5 lg:grid-cols-4" data-testid="moved-faces">
      <figure
        v-for="{ words, picture, sentences } in faces"
        :key="words"
        class="overflow-hidden rounded-xl border border-rule bg-card"
      >
        <img :src="picture" :alt="`The look, ${words}`" class="w-full" />
        <figcaption class="p-2 text-[0.87rem] leading-snug">
          <strong class="first-letter:uppercase">{{ words }}</strong>
          <p v-for="s in sentences ?? []" :key="s" class="mt-1">{{ s }}</p>
          <p v-if="sentences?.length === 0" class="mt-1 text-soft">
            Nothing that is painted is drawn together much.
          </p>
        </figcaption>
      </figure>
    </div>
    <div v-if="faces.length < FACES && !failed.length" class="mt-3 flex justify-center">
      <WaitBar words="Moving the face…" :done="faces.length / FACES" @stop="emit('close')" />
    </div>
  </PanelDialog>
</template>
