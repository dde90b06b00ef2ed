<script setup lang="ts">
import { CircleAlert, Lightbulb, OctagonX } from '@lucide/vue'
import { LEVEL_WORDS, type Finding } from '#core/checks'

defineProps<{ findings: readonly Finding[] }>()
const analysis = useAnalysis()
const steps = useSteps()
const looks = {
  problem: { icon: OctagonX, tone: 'text-stop', edge: 'border-l-stop' },
  warning: { icon: CircleAlert, tone: 'text-care', edge: 'border-l-care' },
  tip: { icon: Lightbulb, tone: 'text-soft', edge: 'border-l-rule' },
} as const
</script>

<template>
  <ul class="space-y-1.5" :class="analysis.checking && 'opacity-55'" :aria-busy="analysis.checking">
    <li v-if="analysis.checking && findings.length" class="text-[0.8rem] text-soft">
      Of before the last change; being checked again.
    </li>
    <li
      v-for="(f, i) in findings"
      :key="`${f.check}-${i}`"
      class="rounded-lg border border-l-4 border-rule bg-card px-2 py-1.5 text-[0.87rem] leading-snug"
      :class="looks[f.level].edge"
      :data-finding="f.check"
    >
      <p class="flex items-start gap-1.5">
        <component
          :is="looks[f.level].icon"
          :size="16"
          class="mt-0.5 shrink-0"
          :class="looks[f.level].tone"
        /><span
          ><strong :class="looks[f.level].tone">{{ LEVEL_WORDS[f.level] }}</strong
          >{{ ' ' }}<strong>{{ f.title }}.</strong> {{ f.why }}</span
        >
      </p>
      <button
        v-if="f.fix"
        class="btn mt-1 ml-5.5 px-2 py-0.5 text-[0.87rem] whitespace-normal"
        @click="steps.applyFix(f.stepId, f.fix)"
      >
        {{ f.fix.words }}
      </button>
    </li>
  </ul>
</template>
