<script setup lang="ts">
import { familyOf, type Difference, type Look } from '#core/look'

/** What another try has instead, step by step; each can be taken over. */
const { base, other } = defineProps<{ base: Look; other: Look }>()
const emit = defineEmits<{ take: [difference: Difference] }>()
const painter = usePainter()
const list = shallowRef<readonly Difference[] | null>(null)
const failed = ref<string[]>([])
const tell = newestOnly(async () => {
  try {
    list.value = await painter.differences(base, other)
    failed.value = []
  } catch (error) {
    failed.value = sentencesOf(error)
  }
})
watch([() => base, () => other], () => tell(), { immediate: true })
const letter = (look: Look) => familyOf(look).letter
const mayTake = ({ here, there }: Difference) => here !== null || there !== null
</script>

<template>
  <section :aria-label="`What try ${letter(other)} has instead`" :data-differences="letter(other)">
    <h3 class="font-display text-lg font-semibold">
      {{ letter(other) }} instead of {{ letter(base)
      }}<span v-if="familyOf(other).why" class="font-sans text-base font-normal text-soft"
        >: {{ familyOf(other).why }}</span
      >
    </h3>
    <p v-for="s in failed" :key="s" role="alert" class="text-stop">{{ s }}</p>
    <p v-if="list && !list.length" class="text-soft">Nothing differs yet.</p>
    <ul v-else-if="list" class="divide-y divide-rule">
      <li v-for="d in list" :key="`${d.here} ${d.there} ${d.words}`" class="flex items-baseline gap-3 py-1">
        <span class="flex-1 leading-snug">{{ d.words }}</span>
        <button v-if="mayTake(d)" class="btn shrink-0 px-2 py-0.5" @click="emit('take', d)">
          Take over into {{ letter(base) }}
        </button>
      </li>
    </ul>
    <p v-else-if="!failed.length" class="text-soft">Comparing…</p>
  </section>
</template>
