<script setup lang="ts">
import { Unlink2 } from '@lucide/vue'
import type { MarkStep } from '#core/look'

/** The twin of brushwork: the rule that places it, or a step of its own. */
defineProps<{ step: MarkStep }>()
const twins = useTwins()
</script>

<template>
  <div v-if="step.points.length" class="space-y-1.5">
    <TwinRuleSelect :rule="step.twin.rule" @choose="twins.set" />
    <template v-if="step.twin.rule !== 'none'">
      <p
        v-if="'dark' in step && step.load.kind !== 'one' && step.twin.rule !== 'turn'"
        class="text-[0.87rem] leading-snug text-soft"
      >
        Turn the brush over for the twin: its dark edge stays outward.
      </p>
      <button
        class="btn px-2 text-[0.87rem]"
        v-tip="'Make the twin a step of its own, to be shaped by itself'"
        @click="twins.free()"
      >
        <Unlink2 :size="15" />Unlink
      </button>
    </template>
  </div>
  <p v-else class="text-[0.87rem] text-soft">It goes around both sides where its host has a twin.</p>
</template>
