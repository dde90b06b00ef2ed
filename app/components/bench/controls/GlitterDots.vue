<script setup lang="ts">
import { GLITTER_COLOURS, type GlitterSort, type SparkColour } from '#core/look'

/** Glitters to choose from: those of every kit, and the painter's own with their sort. */
defineProps<{ name: string }>()
const emit = defineEmits<{ pick: [colour: SparkColour, sort: GlitterSort | null] }>()
const sparkles = useSparkles()
type Offered = SparkColour & { readonly sort?: GlitterSort }
const all = computed<Offered[]>(() => [...GLITTER_COLOURS, ...sparkles.all.glitters])
function pick({ sort, ...colour }: Offered): void {
  emit('pick', { ...colour }, sort ?? null)
}
</script>

<template>
  <ColourDots :colours="all" :name="name" @pick="pick" />
</template>
