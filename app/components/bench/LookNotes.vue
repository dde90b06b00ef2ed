<script setup lang="ts">
import { Layers } from '@lucide/vue'

/** What the step card shows while no step is selected: the look as a whole. */
const bench = useBench()
const look = computed(() => bench.look!)
const value = (event: Event) => (event.target as HTMLInputElement).value
const tagsOf = (text: string) => [...new Set(text.split(',').map(t => t.trim().toLowerCase().slice(0, 30)).filter(Boolean))].slice(0, 20)
</script>

<template>
  <div class="space-y-3 p-3">
    <header class="flex items-center gap-2"><Layers :size="18" class="text-soft" /><h2 class="font-display text-lg font-semibold">The look</h2></header>
    <p class="leading-snug text-soft">{{ look.steps.length ? 'Choose a step in the strip below, or click a print on the face.' : 'Lay a base or a stencil from the tray to begin.' }} Tap bare skin to pick a spot for the next sheet.</p>
    <label class="block"><span class="eyebrow">Notes for the chair</span><textarea class="field" rows="5" maxlength="4000" :value="look.notes" placeholder="Ticket number, wishes, what to watch" @change="bench.edit('notes', (d) => { d.notes = value($event) })" /></label>
    <label class="block"><span class="eyebrow">Tags, with commas</span><input class="field" :value="look.tags.join(', ')" @change="bench.edit('tags', (d) => { d.tags = tagsOf(value($event)) })"></label>
    <p class="text-[0.87rem] leading-snug text-soft">Ask for allergies and offer a test patch; no paint on broken or sore skin. Local rules and the product's label come first.</p>
  </div>
</template>
