<script setup lang="ts">
import { Layers } from '@lucide/vue'
import { FEW } from '#core/look'

/** What the step card shows while no step is selected: the look as a whole. */
const session = useSession()
const analysis = useAnalysis()
const settings = useSettings()
const ways = useWays()
const look = computed(() => session.look!)
const amounts = computed(() => analysis.paintUse)
const total = computed(() => amounts.value.reduce((s, a) => s + a.grams, 0))
const cost = computed(() =>
  amounts.value.some(a => a.cost !== null) ? amounts.value.reduce((s, a) => s + (a.cost ?? 0), 0) : null,
)
const choosing = ref(false)
function ask(): void {
  choosing.value = true
  ways.asked = true
}
const value = (event: Event) => (event.target as HTMLInputElement).value
const tagsOf = (text: string) =>
  [
    ...new Set(
      text
        .split(',')
        .map(t => t.trim().toLowerCase().slice(0, 30))
        .filter(Boolean),
    ),
  ].slice(0, 20)
</script>

<template>
  <div class="space-y-3 p-3">
    <header class="flex items-center gap-2">
      <Layers :size="18" class="text-soft" />
      <h2 class="font-display text-lg font-semibold">The look</h2>
    </header>
    <p class="leading-snug text-soft">
      {{
        look.steps.length
          ? 'Choose a step in the strip below, or click a print on the face.'
          : 'Lay a base or a stencil from the tray to begin.'
      }}
      Tap bare skin, or press long on paint, to pick a spot for what comes next.
    </p>
    <div
      v-if="!ways.asked"
      class="rounded-lg border border-mulberry bg-mulberry-wash p-2.5 leading-snug"
      data-testid="ways-asked"
    >
      <p class="font-semibold">How do you work?</p>
      <p class="text-[0.87rem]">
        Sponge or dauber, thin dabs or one good load, outlines or none: eight questions on which painters
        disagree.
      </p>
      <div class="mt-1.5 flex gap-1.5">
        <button class="btn-main px-2!" @click="ask">Choose</button
        ><button class="btn px-2" @click="ways.asked = true">As usual</button>
      </div>
    </div>
    <SittingPanel />
    <label class="block"
      ><span class="eyebrow">Notes for the chair</span
      ><textarea
        class="field"
        rows="5"
        maxlength="4000"
        v-kept="look.notes"
        placeholder="Ticket number, wishes, what to watch"
        @change="
          session.edit('notes', d => {
            d.notes = value($event)
          })
        "
      />
    </label>
    <label class="block"
      ><span class="eyebrow">Tags, with commas</span
      ><input
        class="field"
        v-kept="look.tags.join(', ')"
        @change="
          session.edit('tags', d => {
            d.tags = tagsOf(value($event))
          })
        "
    /></label>
    <VariantsPanel />
    <SchemePanel />
    <details
      v-if="amounts.length"
      class="rounded-lg border border-rule bg-card px-2.5 py-1.5 text-[0.93rem]"
      data-testid="amounts"
    >
      <summary class="font-semibold">
        Paint for this look: {{ total.toFixed(1) }} g<template v-if="cost !== null"
          >, {{ settings.money(cost) }}</template
        >{{ ' ' }}<EstimateMark />
      </summary>
      <ul class="mt-1 space-y-0.5 text-[0.87rem]">
        <li v-for="a in amounts" :key="a.id" class="flex items-baseline gap-1.5">
          <span
            class="size-2.5 shrink-0 rounded-full border border-ink/20"
            :style="{ background: a.colour }"
          /><span class="min-w-0 flex-1 truncate">{{ a.name }}</span
          >{{ a.grams.toFixed(2) }} g<span v-if="a.cost !== null" class="text-soft">{{
            settings.money(a.cost)
          }}</span
          ><strong v-if="a.lasts !== null && a.lasts < FEW" class="text-care"
            >Warning: lasts {{ a.lasts }}</strong
          >
        </li>
      </ul>
    </details>
    <details class="rounded-lg border border-rule bg-card px-2.5 py-1.5 text-[0.93rem]">
      <summary class="font-semibold">Your hands and rules</summary>
      <FingerField class="mt-1.5" />
      <p class="text-[0.87rem] text-soft">
        Lay a finger on the ruler once; places are then told in fingers too.
      </p>
      <button class="btn mt-1.5 w-full" @click="choosing = true">Your way of working</button>
      <SwitchField v-model="settings.inches" class="mt-1.5" label="Inches instead of mm" />
    </details>
    <p class="text-[0.87rem] leading-snug text-soft">
      Ask for allergies and offer a test patch; no paint on broken or sore skin. Local rules and the product's
      label come first.
    </p>
    <WaysDialog v-if="choosing" @close="choosing = false" />
  </div>
</template>
