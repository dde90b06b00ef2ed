<script setup lang="ts">
import { Plus, X } from '@lucide/vue'
import { MOST_STRIPS } from '#core/cake'
import { paintOfStrip } from '#core/paint'
import type { PaintDraft } from './paintDraft'

/** The strips of a split cake: each cut from a paint of the kit, or of a colour of its own. */
const draft = defineModel<PaintDraft>({ required: true })
const kit = useKit()
/** Width of a fresh strip, mm. */
const WIDTH = 8

/** The strips whose labels keep the cake away from eyes or lips, in words. */
const unsafe = computed(() =>
  (['eyeSafe', 'lipSafe'] as const).flatMap(what => {
    const parts = draft.value.strips.map(s => paintOfStrip(s, kit.paints))
    const place = what === 'eyeSafe' ? 'near the eyes' : 'lips'
    const named = (label: boolean | null) =>
      [...new Set(parts.flatMap(p => (p && p[what] === label ? [p.name] : [])))].join(' and ')
    if (!draft.value[what]) return []
    const [bad, unknown] = [named(false), named(null)]
    return [
      ...(bad ? [`${bad}: not for ${place}`] : []),
      ...(unknown ? [`${unknown}: its label for ${place} is not entered`] : []),
    ]
  }),
)
const add = () => {
  draft.value.strips.push(
    { colour: draft.value.colour, width: WIDTH, name: '' },
    ...(draft.value.strips.length ? [] : [{ colour: '#f4f1ea', width: WIDTH, name: '' }]),
  )
}
/** Cuts a strip from a paint of the kit. */
function cut(i: number, id: string): void {
  const p = kit.find(id)
  if (p) draft.value.strips[i] = { ...draft.value.strips[i]!, colour: p.colour, name: p.name, paint: p.id }
}
/** A strip of a colour of its own is no paint of the kit any more. */
function recut(i: number, colour: string): void {
  draft.value.strips[i] = { colour, width: draft.value.strips[i]!.width, name: '' }
}
const drop = (i: number) => {
  draft.value.strips = draft.value.strips.length <= 2 ? [] : draft.value.strips.filter((_, k) => k !== i)
}
</script>

<template>
  <fieldset class="rounded-xl border border-rule p-2">
    <legend class="px-1 text-[0.93rem] font-semibold">Split cake</legend>
    <div v-if="draft.strips.length" class="mb-1 flex h-4 overflow-hidden rounded-full border border-rule">
      <span v-for="(s, i) in draft.strips" :key="i" :style="{ background: s.colour, flexGrow: s.width }" />
    </div>
    <div v-for="(s, i) in draft.strips" :key="i" class="flex items-center gap-1.5">
      <input
        :value="s.colour"
        type="color"
        class="size-8 rounded"
        :aria-label="`Colour of strip ${i + 1}`"
        @input="recut(i, ($event.target as HTMLInputElement).value)"
      /><select
        class="field min-w-0 flex-1"
        :aria-label="`Paint of strip ${i + 1}`"
        @change="cut(i, ($event.target as HTMLSelectElement).value)"
      >
        <option value="">{{ paintOfStrip(s, kit.paints)?.name || s.name || 'from the kit…' }}</option>
        <option v-for="p in kit.singles" :key="p.id" :value="p.id">{{ p.name }}</option></select
      ><NumberInput
        live
        v-model="s.width"
        class="w-18!"
        :min="0.5"
        :max="80"
        :step="0.5"
        :label="`Width of strip ${i + 1}, mm`"
      />mm<button type="button" class="icon-btn" :aria-label="`Take strip ${i + 1} out`" @click="drop(i)">
        <X :size="14" />
      </button>
    </div>
    <button
      v-if="draft.strips.length < MOST_STRIPS"
      type="button"
      class="btn mt-1 text-[0.87rem]"
      @click="add"
    >
      <Plus :size="14" />{{ draft.strips.length ? 'Another strip' : 'Make it a split cake' }}
    </button>
    <p v-for="u in unsafe" :key="u" class="mt-1 text-[0.87rem] text-care">
      <strong>Warning</strong> {{ u }}, so the cake is not either.
    </p>
  </fieldset>
</template>
