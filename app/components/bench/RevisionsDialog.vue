<script setup lang="ts">
import { format } from 'date-fns'
import { nanoid } from 'nanoid'
import type { LookRecord } from '~~/server/db/looks'

/**
 * The versions of a look that were saved before; each can be opened beside the present one, as a look of its
 * own.
 */
interface Revision {
  version: number
  savedAt: string
  name: string
  steps: number
}
const emit = defineEmits<{ close: [] }>()
const session = useSession()
const list = shallowRef<Revision[] | null>(null)
const failed = ref<string[]>([])
const busy = ref(false)
onMounted(async () => {
  try {
    await session.saver?.flush()
    list.value = await $fetch<Revision[], string>(`/api/looks/${session.look!.id}/revisions`)
  } catch (error) {
    failed.value = sentencesOf(error)
  }
})
async function copy(version: number): Promise<void> {
  busy.value = true
  try {
    const { look, savedAt } = await $fetch<LookRecord, string>(
      `/api/looks/${session.look!.id}/revisions/${version}`,
    )
    const id = nanoid(12)
    await $fetch('/api/looks', {
      method: 'POST',
      body: {
        ...look,
        id,
        name: `${look.name.slice(0, 62)} (of ${format(new Date(savedAt), 'd MMM HH:mm')})`,
      },
    })
    await navigateTo(`/looks/${id}`)
  } catch (error) {
    failed.value = sentencesOf(error)
    busy.value = false
  }
}
</script>

<template>
  <PanelDialog open title="Earlier versions" @close="emit('close')">
    <p class="text-soft">
      Every save is kept. An earlier version opens as a look of its own; this one stays as it is.
    </p>
    <p v-for="s in failed" :key="s" role="alert" class="mt-2 text-stop">{{ s }}</p>
    <p v-if="!list && !failed.length" role="status" class="mt-3 text-soft">Reading…</p>
    <ol v-else-if="list" class="mt-3 max-h-[55vh] space-y-1 overflow-y-auto">
      <li
        v-for="r in list.slice(0, 200)"
        :key="r.version"
        class="flex items-center gap-3 rounded-lg border border-rule bg-card px-3 py-1"
      >
        <span class="w-36 tabular-nums">{{ format(new Date(r.savedAt), 'd MMM, HH:mm:ss') }}</span><span
          class="min-w-0 flex-1 truncate text-soft"
          >{{ r.name }}, {{ r.steps }} {{ r.steps === 1 ? 'step' : 'steps' }}</span
        >
        <span v-if="r.version === list[0]!.version" class="text-go">as it is now</span
        ><button v-else class="btn" :disabled="busy" @click="copy(r.version)">Open a copy</button>
      </li>
    </ol>
  </PanelDialog>
</template>
