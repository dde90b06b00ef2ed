<script setup lang="ts">
import { familyOf } from '#core/look'
import type { LookRecord } from '~~/server/db/looks'

/** Another try: the look stays as it stands, and one goes on in a copy that knows where it came from. */
const emit = defineEmits<{ close: [] }>()
const session = useSession()
const selection = useSelection()
const why = ref('')
const step = computed(() => session.look!.steps.find(s => s.id === selection.id))
const BEGINS = computed(() => [
  { value: 'nothing', words: 'Everything as it stands' },
  { value: 'all', words: 'Wiped off, all of it: its tint stays, and the time counts' },
  ...(step.value ? [{ value: 'step', words: `Only "${step.value.label}" wiped off` }] : []),
])
const begins = ref('nothing')
const busy = ref(false)
const failed = ref<string[]>([])

async function make(): Promise<void> {
  if (busy.value) return
  busy.value = true
  failed.value = []
  try {
    const { id } = session.look!
    await session.saver?.flush()
    // The copy is made where the look is kept: what has not reached it would be missing.
    if (session.saver?.state.value !== 'saved')
      throw new Error('The look is not saved yet, so no copy of it can be made. Try again once it is.')
    const body = {
      why: why.value,
      begins: begins.value === 'step' ? { wipe: 'step', step: step.value!.id } : { wipe: begins.value },
    }
    const { look } = await $fetch<LookRecord>(`/api/looks/${id}/tries`, { method: 'POST', body })
    noteCard(look.id, null)
    emit('close')
    await navigateTo(`/looks/${look.id}`)
  } catch (error) {
    failed.value = sentencesOf(error)
  }
  busy.value = false
}
</script>

<template>
  <PanelDialog open title="Try another way" @close="emit('close')">
    <form class="space-y-4" @submit.prevent="make">
      <p class="text-soft">
        Try {{ familyOf(session.look!).letter }} stays as it stands. You go on in a copy; all tries can be
        seen side by side.
      </p>
      <label class="block"
        ><span class="eyebrow mb-1 block">What shall be different</span
        ><input v-model="why" class="field" maxlength="120" placeholder="fans instead of the leaf" />
      </label>
      <fieldset>
        <legend class="eyebrow mb-1">Begins with</legend>
        <label v-for="b in BEGINS" :key="b.value" class="flex items-center gap-2 py-0.5"
          ><input v-model="begins" type="radio" name="begins" :value="b.value" class="accent-mulberry" />{{
            b.words
          }}</label
        >
      </fieldset>
      <p v-for="s in failed" :key="s" role="alert" class="text-stop">{{ s }}</p>
      <div class="flex justify-end gap-2">
        <NuxtLink :to="`/looks/${session.look!.id}/tries`" class="btn mr-auto">Side by side</NuxtLink>
        <button type="button" class="btn" @click="emit('close')">Not now</button>
        <button class="btn-main" :disabled="busy">Make the try</button>
      </div>
    </form>
  </PanelDialog>
</template>
