<script setup lang="ts">
import BenchSkeleton from '~/components/bench/BenchSkeleton.vue'

const id = String(useRoute().params.id)
useHead({ title: 'Janusform' })
// The painting begins to load beside the bench.
warmPainter()
const BenchRoom = defineAsyncComponent({
  loader: () => import('~/components/bench/BenchRoom.vue'),
  loadingComponent: () => h(BenchSkeleton, { id }),
  delay: 0,
})
</script>

<template>
  <BenchRoom :id="id" />
</template>
