<script setup lang="ts">
import { Check, Trash2 } from '@lucide/vue'
import { toast } from 'vue-sonner'
import { cutsOf } from '#core/cake'
import type { Paint } from '#core/paint'

/** A strip cake that is still to be cut: from which cakes, and the press that says it is done. */
const { paint } = defineProps<{ paint: Paint }>()
const kit = useKit()
const size = computed(() => paint.toMake!)
const cuts = computed(() => cutsOf(paint.strips, size.value, kit.paints))
const working = ref(false)
async function said(job: () => Promise<void>): Promise<void> {
  if (working.value) return
  working.value = true
  try {
    await job()
  } catch (error) {
    toast.error(sentencesOf(error).join(' '), { duration: 9000 })
  }
  working.value = false
}
const made = () =>
  said(async () => {
    const { id, name } = paint
    const were = await kit.made(id)
    tellUndoable(`${name} is made; what was cut is taken from its cakes`, () => kit.putBack(were))
  })
const remove = () =>
  said(async () => {
    const was = paint
    await kit.remove(was.id)
    tellUndoable(`${was.name} deleted`, () => kit.bringBack(was))
  })
</script>

<template>
  <section
    class="space-y-2 rounded-2xl border border-rule bg-card p-3"
    :aria-label="`To make: ${paint.name}`"
  >
    <div class="flex items-baseline gap-2">
      <h3 class="min-w-0 flex-1 truncate font-semibold">{{ paint.name }}</h3>
      <span class="text-sm text-soft">{{ size.length }} mm long, {{ size.depth }} mm deep</span>
    </div>
    <div class="h-6 rounded-lg border border-edge" :style="{ background: swatchOf(paint) }" />
    <CutTable :cuts />
    <div class="flex gap-1.5">
      <button type="button" class="btn-main flex-1" :disabled="working" @click="made">
        <Check :size="15" />It is made</button
      ><button type="button" class="btn text-stop" :disabled="working" @click="remove">
        <Trash2 :size="15" />Delete
      </button>
    </div>
  </section>
</template>
