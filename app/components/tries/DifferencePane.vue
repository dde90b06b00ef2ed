<script setup lang="ts">
import type { Look } from '#core/look'
import type { PaintedTry } from '~/composables/useTryPictures'
import type { SharedView } from './sharedView'

/** Where two tries differ: the first one pale, what is another marked over it. */
const { first, second, pxPerMm } = defineProps<{
  first: Look
  second: Look
  pxPerMm: number
  view: SharedView
}>()
const painter = usePainter()
const painted = shallowRef<PaintedTry | null>(null)
/** Share of the picture that differs, 0 to 1. */
const share = ref(0)
const failed = ref<string[]>([])
/** Two canvases that are not of one kind have no points in common. */
const alike = computed(() => JSON.stringify(first.canvas) === JSON.stringify(second.canvas))
const paint = newestOnly(async () => {
  painted.value = null
  if (!alike.value) return
  try {
    const { picture, share: differing } = await painter.differing(first, second, pxPerMm)
    painted.value = { canvas: canvasOf(picture), wide: picture.width / pxPerMm }
    share.value = differing
    failed.value = []
  } catch (error) {
    if (!(error instanceof GivenUp)) failed.value = sentencesOf(error)
  }
})
watch([() => first, () => second, () => pxPerMm], () => paint(), { immediate: true })
</script>

<template>
  <p v-if="!alike" class="p-10 text-center text-soft">
    These two are painted on different faces: there is nothing to lay over one another.
  </p>
  <TryPane
    v-else
    :painted
    :view
    :widest="painted?.wide ?? 1"
    :waiting="!failed.length"
    label="Where the two differ"
    data-testid="difference"
    :data-share="share.toFixed(4)"
  >
    <p
      v-if="painted"
      class="absolute bottom-2 left-1/2 -translate-x-1/2 rounded-full bg-ink/85 px-3 py-0.5 text-sm whitespace-nowrap text-paper"
    >
      {{ share ? `${(100 * share).toFixed(1)} % of the picture differs` : 'Nothing differs' }}
    </p>
    <p v-for="s in failed" :key="s" role="alert" class="absolute inset-x-4 top-4 text-stop">{{ s }}</p>
  </TryPane>
</template>
