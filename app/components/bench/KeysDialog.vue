<script setup lang="ts">
import { KEYS, keyNow, withOwnKey } from './keys'

defineProps<{ open: boolean }>()
const emit = defineEmits<{ close: [] }>()
const settings = useSettings()
/** The usual letter of what is to get another one; null when nothing is. */
const asking = ref<string | null>(null)
const refused = ref('')

function ask(usual: string): void {
  asking.value = asking.value === usual ? null : usual
  refused.value = ''
}
/** Takes the letter that is pressed for what asks for one. */
function give(event: KeyboardEvent, usual: string): void {
  if (asking.value !== usual || ['Tab', 'Shift', 'Enter', ' '].includes(event.key)) return
  event.preventDefault()
  event.stopPropagation()
  if (event.key !== 'Escape') {
    const next = withOwnKey(settings.ownKeys, usual, event.key)
    if (typeof next === 'string') return void (refused.value = next)
    settings.ownKeys = { ...next }
  }
  asking.value = null
  refused.value = ''
}
</script>

<template>
  <PanelDialog :open="open" title="Keys on the bench" wide @close="emit('close')">
    <dl class="grid gap-x-8 gap-y-1.5 sm:grid-cols-2">
      <div
        v-for="k in KEYS"
        :key="k.keys + k.does"
        class="flex items-baseline gap-3 border-b border-rule pb-1.5"
      >
        <dt class="w-28 shrink-0">
          <button
            v-if="k.own"
            class="rounded-md border border-mulberry bg-card px-1.5 py-0.5 text-sm font-semibold"
            :aria-label="`Key ${keyNow(k.keys, settings.ownKeys)}: ${k.does}. Give it another letter`"
            v-tip="'Press to give it another letter'"
            @click="ask(k.keys)"
            @keydown="give($event, k.keys)"
          >
            {{ asking === k.keys ? 'a letter…' : keyNow(k.keys, settings.ownKeys) }}
          </button>
          <kbd
            v-else
            class="rounded-md border border-rule bg-card px-1.5 py-0.5 font-sans text-sm font-semibold"
            >{{ k.keys }}</kbd
          >
        </dt>
        <dd>{{ k.does }}</dd>
      </div>
    </dl>
    <p v-if="refused" role="alert" class="mt-2 text-stop">{{ refused }}</p>
    <div class="mt-4 flex flex-wrap items-start justify-between gap-4">
      <div class="max-w-60">
        <SwitchField v-model="settings.letterKeys" label="Single letters do something" />
        <SwitchField v-model="settings.inches" class="mt-1.5" label="Show inches instead of mm" />
      </div>
      <div class="flex flex-wrap gap-2">
        <button v-if="Object.keys(settings.ownKeys).length" class="btn" @click="settings.ownKeys = {}">
          The usual letters again
        </button>
        <button class="btn" @click="openTour">Take the tour</button>
      </div>
    </div>
  </PanelDialog>
</template>
