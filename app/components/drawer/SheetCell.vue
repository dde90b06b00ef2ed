<script setup lang="ts">
import { CircleAlert } from '@lucide/vue'
import type { StencilMeta } from '~~/server/db/stencils'

defineProps<{ sheet: StencilMeta; scale: number }>()
const settings = useSettings()
</script>

<template>
  <NuxtLink
    :to="`/drawer/${sheet.id}`"
    class="flex h-full flex-col rounded-xl border border-transparent p-2 hover:border-rule hover:bg-card"
    :data-sheet="sheet.id"
  >
    <span class="grid flex-1 place-items-center"
      ><img
        :src="`/api/stencils/${sheet.id}/picture.svg`"
        :alt="`Stencil ${sheet.name}`"
        loading="lazy"
        class="rounded-md bg-white shadow-sm"
        :style="{ width: `${sheet.width * scale}px`, height: `${sheet.height * scale}px` }"
    /></span>
    <span class="mt-1.5 truncate font-semibold">{{ sheet.name }}</span>
    <span class="flex items-center gap-2 text-[0.8rem] text-soft"
      ><span>{{ sheet.kind }}</span
      ><span>{{ settings.size(sheet.width, sheet.height) }}</span
      ><span>×{{ sheet.copies }}</span></span
    >
    <span
      v-if="sheet.analysis"
      class="flex items-center gap-1 text-[0.8rem]"
      :class="sheet.analysis.islands ? 'text-stop' : 'text-soft'"
    >
      <template v-if="sheet.analysis.islands"
        ><CircleAlert :size="13" />{{ sheet.analysis.islands }}
        {{ sheet.analysis.islands === 1 ? 'piece falls' : 'pieces fall' }} out</template
      >
      <template v-else>finest detail {{ finest(sheet) }}</template>
    </span>
    <span v-else class="text-[0.8rem] text-soft">not measured: open it to see why</span>
  </NuxtLink>
</template>
