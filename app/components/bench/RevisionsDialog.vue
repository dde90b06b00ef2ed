<script setup lang="ts">
import { format } from 'date-fns'
import { nanoid } from 'nanoid'
import { Star } from '@lucide/vue'
import type { LookRecord } from '~~/server/db/looks'
import type { RevisionListed } from '~~/server/db/revisions'

/**
 * The versions of a look that were saved before, with their pictures. Each can be brought back, as the newest
 * version of this look, or opened beside it as a look of its own; one that is given a name stays for good.
 */
const emit = defineEmits<{ close: [] }>()
const session = useSession()
const list = shallowRef<RevisionListed[] | null>(null)
const failed = ref<string[]>([])
const busy = ref(false)
const address = (version?: number) =>
  `/api/looks/${session.look!.id}/revisions${version === undefined ? '' : `/${version}`}`

async function attempt(job: () => Promise<void>): Promise<void> {
  busy.value = true
  failed.value = []
  try {
    await job()
  } catch (error) {
    failed.value = sentencesOf(error)
  }
  busy.value = false
}
onMounted(() =>
  attempt(async () => {
    await session.saver?.flush()
    list.value = await $fetch<RevisionListed[], string>(address())
  }),
)
const fetched = (version: number) => $fetch<LookRecord, string>(address(version))

const bringBack = (version: number) =>
  attempt(async () => {
    const { look, savedAt } = await fetched(version)
    session.bringBack(look, `back to ${format(new Date(savedAt), 'd MMM HH:mm')}`)
    emit('close')
  })
const copy = (version: number) =>
  attempt(async () => {
    const { look, savedAt } = await fetched(version)
    const id = nanoid(12)
    const name = `${look.name.slice(0, 62)} (of ${format(new Date(savedAt), 'd MMM HH:mm')})`
    await $fetch('/api/looks', { method: 'POST', body: { ...look, id, name, family: undefined } })
    await navigateTo(`/looks/${id}`)
  })
const label = (version: number, event: Event) =>
  attempt(async () => {
    const words = (event.target as HTMLInputElement).value.trim()
    list.value = await $fetch<RevisionListed[], string>(`${address(version)}/label`, {
      method: 'PUT',
      body: { label: words || null },
    })
  })
</script>

<template>
  <PanelDialog open wide title="Earlier versions" @close="emit('close')">
    <p class="text-soft">
      All of the last hour, one an hour of the last day, one a day of the last month, then one a week. One
      with a name stays for good.
    </p>
    <p v-for="s in failed" :key="s" role="alert" class="mt-2 text-stop">{{ s }}</p>
    <p v-if="!list && !failed.length" role="status" class="mt-3 text-soft">Reading…</p>
    <ol v-else-if="list" class="mt-3 max-h-[55vh] space-y-1 overflow-y-auto">
      <li
        v-for="r in list.slice(0, 200)"
        :key="r.version"
        class="flex flex-wrap items-center gap-x-3 gap-y-1 rounded-lg border border-rule bg-card px-3 py-1"
      >
        <img
          :src="`${address(r.version)}/picture.png`"
          alt=""
          loading="lazy"
          class="h-16 w-14 shrink-0 rounded bg-stage object-cover object-top"
        />
        <span class="min-w-32 flex-1"
          ><span class="block tabular-nums">{{ format(new Date(r.savedAt), 'd MMM, HH:mm:ss') }}</span
          ><span class="block truncate text-sm text-soft"
            >{{ r.name }}, {{ r.steps }} {{ r.steps === 1 ? 'step' : 'steps' }}</span
          ></span
        >
        <label class="flex items-center gap-1"
          ><Star :size="14" :class="r.label ? 'text-mulberry' : 'text-soft'" /><input
            v-kept="r.label ?? ''"
            class="field w-40"
            maxlength="60"
            placeholder="name it to keep it"
            :aria-label="`Name of the version of ${format(new Date(r.savedAt), 'd MMM, HH:mm:ss')}`"
            @change="label(r.version, $event)"
        /></label>
        <span v-if="r.version === list[0]!.version" class="text-center text-go sm:w-52">as it is now</span
        ><span v-else class="flex justify-end gap-1 sm:w-52"
          ><button class="btn" :disabled="busy" @click="bringBack(r.version)">Bring back</button
          ><button class="btn" :disabled="busy" @click="copy(r.version)">Open a copy</button></span
        >
      </li>
    </ol>
  </PanelDialog>
</template>
