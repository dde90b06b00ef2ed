<script setup lang="ts">
import { toast } from 'vue-sonner'
import { ZONE_IDS } from '#core/skin'
import { MATERIALS, STENCIL_KINDS } from '#core/stencil'
import type { StencilMeta, StencilNotes } from '~~/server/db/stencils'

const props = defineProps<{ about: StencilMeta }>()
const drawer = useDrawer()
const zones = [...new Set(ZONE_IDS.map(z => z.replace(/^(left|right)\./, '')))]
const value = (event: Event) => (event.target as HTMLInputElement).value

async function save(notes: Partial<StencilNotes>): Promise<void> {
  try {
    await drawer.change(props.about.id, notes)
  } catch (error) {
    toast.error(sentencesOf(error).join(' '))
    await drawer.load()
  }
}
const materials = Object.keys(MATERIALS) as (keyof typeof MATERIALS)[]
const today = () => new Date().toISOString().slice(0, 10)
const toggleZone = (zone: string) =>
  save({
    zones: props.about.zones.includes(zone)
      ? props.about.zones.filter(z => z !== zone)
      : [...props.about.zones, zone],
  })
const tags = (text: string) =>
  [
    ...new Set(
      text
        .split(',')
        .map(t => t.trim().toLowerCase())
        .filter(Boolean),
    ),
  ].slice(0, 20)
</script>

<template>
  <section class="space-y-2" aria-label="Notes">
    <label class="block"
      ><span class="eyebrow">Name</span
      ><input class="field" v-kept="about.name" maxlength="80" @change="save({ name: value($event) })"
    /></label>
    <div class="grid grid-cols-2 gap-2">
      <label
        ><span class="eyebrow">Kind</span
        ><select
          class="field"
          :value="about.kind"
          @change="save({ kind: STENCIL_KINDS.find(k => k === value($event)) })"
        >
          <option v-for="k in STENCIL_KINDS" :key="k">{{ k }}</option>
        </select></label
      >
      <label
        ><span class="eyebrow">Material</span
        ><select
          class="field"
          :value="about.material"
          @change="save({ material: materials.find(m => m === value($event)) })"
        >
          <option v-for="(m, id) in MATERIALS" :key="id" :value="id">{{ m.words }}</option>
        </select></label
      >
      <label
        ><span class="eyebrow">Copies owned</span
        ><NumberInput
          :model-value="about.copies"
          :min="0"
          :max="99"
          @update:model-value="copies => save({ copies: copies! })"
      /></label>
      <label
        ><span class="eyebrow">Points to, ° from up</span
        ><NumberInput
          :model-value="about.heading"
          :min="-360"
          :max="360"
          clearable
          placeholder="nowhere"
          @update:model-value="heading => save({ heading })"
      /></label>
    </div>
    <div>
      <span class="eyebrow">Last cleaned</span>
      <div class="flex flex-wrap gap-1.5">
        <input
          class="field min-w-0 flex-1"
          type="date"
          v-kept="about.cleanedOn ?? ''"
          aria-label="Last cleaned"
          @change="save({ cleanedOn: value($event) || null })"
        /><button class="btn" @click="save({ cleanedOn: today() })">Today</button>
      </div>
    </div>
    <div>
      <span class="eyebrow">Made for</span>
      <div class="flex flex-wrap gap-1">
        <button
          v-for="z in zones"
          :key="z"
          class="chip"
          :aria-pressed="about.zones.includes(z)"
          @click="toggleZone(z)"
        >
          {{ z }}
        </button>
      </div>
    </div>
    <label class="block"
      ><span class="eyebrow">Tags, with commas</span
      ><input class="field" v-kept="about.tags.join(', ')" @change="save({ tags: tags(value($event)) })"
    /></label>
    <label class="block"
      ><span class="eyebrow">Notes</span
      ><textarea class="field" rows="2" v-kept="about.notes" @change="save({ notes: value($event) })" />
    </label>
    <p class="text-sm text-soft">Wash and disinfect between people; local rules come first.</p>
  </section>
</template>
