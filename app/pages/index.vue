<script setup lang="ts">
import { FilePlus2, FileUp, Search } from '@lucide/vue'
import { nanoid } from 'nanoid'
import { toast } from 'vue-sonner'
import { freshLook, type Look } from '#core/look'
import type { LookSummary } from '~/components/looks/LookCard.vue'
import type { LookRecord } from '~~/server/db/looks'

useHead({ title: 'Looks, Janusform' })
const looks = shallowRef<LookSummary[]>([])
const failed = ref<string[]>([])
const loading = ref(true)
const search = ref('')
const tag = ref('')
const file = useTemplateRef<HTMLInputElement>('file')
const tags = computed(() => [...new Set(looks.value.flatMap(l => l.tags))].sort())
const shown = computed(() =>
  looks.value.filter(
    l =>
      (!tag.value || l.tags.includes(tag.value)) &&
      `${l.name} ${l.tags.join(' ')}`.toLowerCase().includes(search.value.toLowerCase().trim()),
  ),
)

async function load(): Promise<void> {
  try {
    looks.value = await $fetch<LookSummary[]>('/api/looks')
    failed.value = []
  } catch (error) {
    failed.value = sentencesOf(error)
  }
  loading.value = false
}
onMounted(load)

/** Runs a change of the gallery; what goes wrong is said, and the gallery is read again. */
async function attempt(job: () => Promise<void>): Promise<void> {
  try {
    await job()
  } catch (error) {
    toast.error(sentencesOf(error).join(' '), { duration: 9000 })
  }
  await load()
}
const whole = async (id: string) => $fetch<LookRecord>(`/api/looks/${id}`)
const post = (look: Look) => $fetch<LookRecord>('/api/looks', { method: 'POST', body: look })

const create = () =>
  attempt(async () => {
    await navigateTo(`/looks/${(await post(freshLook(nanoid(12), 'New look'))).look.id}`)
  })
const duplicate = (id: string) =>
  attempt(async () => {
    const { look } = await whole(id)
    await post({ ...look, id: nanoid(12), name: `${look.name.slice(0, 74)} copy` })
  })
const rename = (id: string, name: string) =>
  attempt(async () => {
    const { look, version } = await whole(id)
    await $fetch(`/api/looks/${id}`, { method: 'PUT', body: { base: version, look: { ...look, name } } })
  })
const remove = (look: LookSummary) =>
  attempt(async () => {
    await $fetch(`/api/looks/${look.id}`, { method: 'DELETE' })
    toast(`${look.name} deleted`, {
      duration: 10000,
      action: {
        label: 'Undo',
        onClick: () =>
          void attempt(async () => {
            await $fetch(`/api/looks/${look.id}/restore`, { method: 'POST' })
          }),
      },
    })
  })
async function take(event: Event): Promise<void> {
  const box = event.target as HTMLInputElement
  for (const chosen of box.files ?? []) {
    await attempt(async () => {
      const { look } = await $fetch<LookRecord>('/api/looks', {
        method: 'POST',
        body: await chosen.text(),
        headers: { 'content-type': 'application/json' },
      })
      toast(`${look.name} taken in`)
    })
  }
  box.value = ''
}
</script>

<template>
  <main class="mx-auto max-w-[1280px] px-6 pb-16">
    <header class="flex items-center gap-3 py-5">
      <h1 class="sr-only">Looks</h1>
      <AppNav class="mr-auto" />
      <label class="relative block w-56"
        ><Search :size="15" class="absolute top-2 left-2.5 text-soft" /><input
          v-model="search"
          class="field pl-8!"
          type="search"
          placeholder="Search looks"
          aria-label="Search looks"
      /></label>
      <button class="btn" @click="file?.click()"><FileUp :size="16" />Import</button>
      <input
        ref="file"
        type="file"
        accept=".json,application/json"
        multiple
        class="hidden"
        aria-label="Look files"
        @change="take"
      />
      <button class="btn-main" @click="create"><FilePlus2 :size="16" />New look</button>
    </header>
    <div v-if="tags.length" class="mb-4 flex flex-wrap gap-1.5" role="group" aria-label="Tags">
      <button class="chip" :aria-pressed="tag === ''" @click="tag = ''">all</button>
      <button
        v-for="t in tags"
        :key="t"
        class="chip"
        :aria-pressed="tag === t"
        @click="tag = tag === t ? '' : t"
      >
        {{ t }}
      </button>
    </div>
    <div v-if="failed.length" role="alert" class="rounded-xl border border-stop bg-card p-4">
      <p v-for="s in failed" :key="s">{{ s }}</p>
      <button class="btn mt-2" @click="load">Try again</button>
    </div>
    <ul v-else-if="shown.length" class="grid grid-cols-[repeat(auto-fill,minmax(224px,1fr))] gap-4">
      <LookCard
        v-for="look in shown"
        :key="look.id"
        :look="look"
        @rename="name => rename(look.id, name)"
        @duplicate="duplicate(look.id)"
        @remove="remove(look)"
      />
    </ul>
    <p v-else-if="loading" class="p-10 text-center text-soft">Fetching the looks…</p>
    <div v-else class="rounded-2xl border border-dashed border-rule p-12 text-center">
      <p class="font-display text-xl">{{ looks.length ? 'No look is called that' : 'No looks yet' }}</p>
      <p class="text-soft">
        {{ looks.length ? 'Try another word or tag.' : 'Begin one, or import a file.' }}
      </p>
    </div>
  </main>
</template>
