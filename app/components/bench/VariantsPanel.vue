<script setup lang="ts">
import { Plus, Trash2 } from '@lucide/vue'

/** The variants of a look: names, on or off, and how many steps each turns. */
const session = useSession()
const variants = useVariants()
const switches = computed(() => session.look!.switches ?? [])
const count = (id: string) => session.look!.steps.filter(s => s.switch === id).length
const fresh = ref('')
const MOST = 8
function add(): void {
  const name = fresh.value.trim()
  if (!name) return
  variants.add(name)
  fresh.value = ''
}
</script>

<template>
  <details
    class="rounded-lg border border-rule bg-card px-2.5 py-1.5 text-[0.93rem]"
    :open="switches.length > 0"
  >
    <summary class="font-semibold">Variants</summary>
    <p class="mt-1 text-[0.87rem] leading-snug text-soft">
      Such as "with nose" or "lashes": each turns its steps on and off together, with time and picture. What a
      step belongs to stands at the end of its card.
    </p>
    <ul class="mt-1 space-y-1">
      <li v-for="w in switches" :key="w.id" class="flex items-center gap-1">
        <input
          v-kept="w.name"
          class="field min-w-0 flex-1"
          maxlength="40"
          :aria-label="`Name of the variant ${w.name}`"
          @change="variants.rename(w.id, ($event.target as HTMLInputElement).value.trim())"
        /><span class="w-14 shrink-0 text-right text-[0.8rem] text-soft"
          >{{ count(w.id) }} {{ count(w.id) === 1 ? 'step' : 'steps' }}</span
        ><button class="chip shrink-0" :aria-pressed="w.on" @click="variants.turn(w.id)">
          {{ w.on ? 'on' : 'off' }}</button
        ><button class="icon-btn" :aria-label="`Delete the variant ${w.name}`" @click="variants.remove(w.id)">
          <Trash2 :size="14" />
        </button>
      </li>
    </ul>
    <form v-if="switches.length < MOST" class="mt-1 flex gap-1" @submit.prevent="add">
      <input
        v-model="fresh"
        class="field min-w-0 flex-1"
        maxlength="40"
        placeholder="with nose"
        aria-label="Name of a new variant"
      /><button class="btn px-2" :disabled="!fresh.trim()"><Plus :size="14" />Add</button>
    </form>
  </details>
</template>
