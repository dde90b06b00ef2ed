<script setup lang="ts">
import { Group, Ungroup } from '@lucide/vue'
import { nanoid } from 'nanoid'
import { groupSteps, nameGroup, ungroup } from '#core/look'

/** The group that what is selected makes up, or may: a name, and one figure to the eye. */
const session = useSession()
const selection = useSelection()
const several = computed(() => selection.steps.length > 1)
/** The group that all of it belongs to; null when it belongs to several or none. */
const id = computed(() => {
  const all = new Set(selection.steps.map(s => s.group))
  return all.size === 1 ? [...all][0]! : null
})
const name = computed(() => session.look!.groups?.find(g => g.id === id.value)?.name ?? '')
const fresh = ref('')
const typed = (event: Event) => (event.target as HTMLInputElement).value.trim()
function make(): void {
  const called = fresh.value.trim()
  if (called && session.edit('group', groupSteps(selection.ids, nanoid(10), called))) fresh.value = ''
}
function rename(event: Event): void {
  const called = typed(event)
  if (called && id.value) session.edit('name of the group', nameGroup(id.value, called))
}
</script>

<template>
  <section
    v-if="several || id"
    class="space-y-1 rounded-lg border border-rule bg-card p-2 text-[0.87rem]"
    aria-label="Group"
  >
    <template v-if="id">
      <label class="block"
        >group<input
          v-kept="name"
          class="field"
          maxlength="40"
          placeholder="name it: one figure for the flow"
          aria-label="Name of the group"
          @change="rename"
      /></label>
      <div class="flex flex-wrap gap-1">
        <button
          v-if="!several"
          class="btn px-2 text-[0.87rem]"
          v-tip="'Select the whole group (G)'"
          @click="selection.takeGroup()"
        >
          <Group :size="14" />Select all of it</button
        ><button class="btn px-2 text-[0.87rem]" @click="session.edit('ungroup', ungroup(selection.ids))">
          <Ungroup :size="14" />{{ several ? 'Ungroup' : 'Take it out' }}
        </button>
      </div>
    </template>
    <form v-else class="flex gap-1" @submit.prevent="make">
      <input
        v-model="fresh"
        class="field min-w-0 flex-1"
        maxlength="40"
        placeholder="such as left wing"
        aria-label="Name of a new group"
      /><button class="btn px-2" :disabled="!fresh.trim()"><Group :size="14" />Group</button>
    </form>
  </section>
</template>
