<script setup lang="ts">
import { Plus, Trash2, WandSparkles } from '@lucide/vue'
import { toast } from 'vue-sonner'
import type { Analysis, OpeningGroup } from '#core/stencil'
import type { StencilMeta } from '~~/server/db/stencils'

const props = defineProps<{ about: StencilMeta; analysis: Analysis }>()
/** The group that clicks on the drawing change. */
const active = defineModel<number | null>({ required: true })
const drawer = useDrawer()

async function save(groups: readonly OpeningGroup[]): Promise<void> {
  try {
    await drawer.change(props.about.id, { groups: groups.filter(g => g.openings.length) })
  } catch (error) {
    toast.error(sentencesOf(error).join(' '))
  }
}
const groups = computed(() => props.about.groups)
const rename = (i: number, name: string) =>
  name.trim() && save(groups.value.map((g, k) => (k === i ? { ...g, name: name.trim().slice(0, 40) } : g)))
async function add(): Promise<void> {
  const at = groups.value.length
  active.value = at
  await save([...groups.value, { name: `group ${at + 1}`, openings: [0] }])
}
async function remove(i: number): Promise<void> {
  active.value = null
  await save(groups.value.filter((_, k) => k !== i))
}
</script>

<template>
  <section aria-label="Groups of openings">
    <p class="mb-2 text-sm text-soft">
      A pass can paint one group only. Choose a group, then click openings on the drawing to put them in or
      take them out.
    </p>
    <ul class="space-y-1">
      <li v-for="(g, i) in groups" :key="i" class="flex items-center gap-2">
        <button class="chip" :aria-pressed="active === i" @click="active = active === i ? null : i">
          {{ g.openings.length }} {{ g.openings.length === 1 ? 'opening' : 'openings' }}
        </button>
        <input
          class="field max-w-56"
          v-kept="g.name"
          maxlength="40"
          :aria-label="`Name of group ${i + 1}`"
          @change="rename(i, ($event.target as HTMLInputElement).value)"
        />
        <button class="icon-btn" :aria-label="`Delete group ${g.name}`" @click="remove(i)">
          <Trash2 :size="15" />
        </button>
      </li>
    </ul>
    <div class="mt-2 flex gap-2">
      <button class="btn" @click="add"><Plus :size="15" />New group</button
      ><button class="btn" @click="save(analysis.groups)">
        <WandSparkles :size="15" />Propose by size and shape
      </button>
    </div>
  </section>
</template>
