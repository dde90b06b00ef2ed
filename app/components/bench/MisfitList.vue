<script setup lang="ts">
import type { Misfit } from '#core/look'

/** What of a moved look no longer fits, with the smaller sheets that may be taken instead. */
defineProps<{ misfits: readonly Misfit[] }>()
const taken = defineModel<string[]>({ required: true })
const drawer = useDrawer()
</script>

<template>
  <section aria-label="What no longer fits" class="space-y-1.5">
    <h3 class="eyebrow">What no longer fits: stencils keep their size</h3>
    <ul class="max-h-52 space-y-1.5 overflow-y-auto">
      <li
        v-for="m in misfits"
        :key="m.stepId"
        class="rounded-lg border border-rule bg-card p-2 text-[0.87rem] leading-snug"
        data-misfit
      >
        <p><strong class="text-care">Warning</strong> {{ m.sentence }}</p>
        <label v-if="m.instead" class="mt-1 block"
          ><input
            v-model="taken"
            type="checkbox"
            :value="m.stepId"
            class="mr-2 size-4 align-[-2px] accent-mulberry"
          />lay <strong>{{ drawer.find(m.instead.id)?.name }}</strong> instead ({{
            m.instead.reasons[0]
          }})</label
        >
        <p v-else class="text-soft">The drawer has no smaller stencil for this spot.</p>
      </li>
    </ul>
  </section>
</template>
