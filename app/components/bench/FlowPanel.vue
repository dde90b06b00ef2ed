<script setup lang="ts">
import { ArrowDownNarrowWide, LocateFixed, X } from '@lucide/vue'
import { BREAKS } from '#core/look'

/** How well the look flows to its focal point: one number, a picture, and what breaks it. */
const selection = useSelection()
const flow = useFlow()
const placing = usePlacing()
const told = computed(() => flow.composition?.flow ?? null)
const breaking = computed(() => told.value?.elements.filter(e => Math.abs(e.off) > BREAKS) ?? [])
const end = (off: number, r: number) =>
  [50 + r * Math.sin((off * Math.PI) / 180), 50 - r * Math.cos((off * Math.PI) / 180)] as const
const cascade = computed(() => {
  const c = told.value?.cascade
  return c === null || c === undefined
    ? ''
    : c > 0.6
      ? 'Sizes fall toward the focus.'
      : c > 0.2
        ? 'Sizes fall in part.'
        : c > -0.2
          ? 'Sizes follow no order.'
          : 'Sizes grow toward the focus.'
})
</script>

<template>
  <aside
    class="w-52 rounded-xl border border-rule bg-card/95 p-2 text-[0.87rem] shadow-sm"
    aria-label="Flow"
    data-testid="flow"
  >
    <header class="flex items-center gap-1">
      <strong class="flex-1 font-display">Flow to the focal point</strong
      ><button class="icon-btn size-[24px]!" aria-label="Hide the flow" @click="flow.watching = false">
        <X :size="14" />
      </button>
    </header>
    <template v-if="told && told.elements.length">
      <div class="flex items-center gap-2">
        <svg
          viewBox="0 0 100 100"
          class="size-20 shrink-0"
          role="img"
          :aria-label="`Deviations of ${told.elements.length} elements from the way to the focal point`"
        >
          <path
            :d="`M50 50 L${end(-BREAKS, 44).join(' ')} A44 44 0 0 1 ${end(BREAKS, 44).join(' ')} Z`"
            fill="#3F6B4B"
            opacity="0.16"
          />
          <circle cx="50" cy="50" r="44" fill="none" stroke="var(--color-rule)" />
          <circle cx="50" cy="50" r="22" fill="none" stroke="var(--color-rule)" />
          <path d="M50 3 l3 6 h-6 z" fill="var(--color-mulberry)" />
          <template v-for="(e, i) in told.elements" :key="i">
            <line
              x1="50"
              y1="50"
              :x2="end(e.off, 40)[0]"
              :y2="end(e.off, 40)[1]"
              :stroke="Math.abs(e.off) > BREAKS ? '#A0331F' : '#3F6B4B'"
              stroke-width="2.2"
              :stroke-dasharray="Math.abs(e.off) > BREAKS ? '4 3' : ''"
            />
          </template>
        </svg>
        <p class="leading-tight">
          <strong
            class="font-display text-xl"
            :class="told.toward > 0.7 ? 'text-go' : told.toward > 0.4 ? 'text-care' : 'text-stop'"
            data-testid="flow-number"
            >{{ told.toward.toFixed(2) }}</strong>{{ ' ' }}<EstimateMark /><br />{{ told.words }}<br /><span
            class="text-xs text-soft"
            v-tip="'Mean resultant length of the deviations: how much they agree, wherever they point'"
            >agree {{ told.together.toFixed(2) }}</span
          >
        </p>
      </div>
      <p v-if="cascade" class="mt-1 leading-snug text-soft">{{ cascade }}</p>
      <ul v-if="breaking.length" class="mt-1 max-h-24 overflow-y-auto leading-snug">
        <li v-for="(e, i) in breaking" :key="i">
          <button class="text-left hover:text-mulberry" @click="selection.id = e.stepId">
            {{ e.label }}{{ e.twin ? ', twin' : '' }}: {{ Math.abs(e.off).toFixed(0) }}° off
          </button>
        </li>
      </ul>
      <div class="mt-1 flex flex-wrap gap-1">
        <button
          class="btn px-2 py-0.5 text-[0.87rem]"
          :disabled="!flow.breakers.length"
          @click="placing.aimThese(flow.breakers)"
        >
          <LocateFixed :size="14" />Aim those
        </button>
        <button
          class="btn px-2 py-0.5 text-[0.87rem]"
          v-tip="'Of what is selected, else of all brushwork'"
          @click="flow.cascade()"
        >
          <ArrowDownNarrowWide :size="14" />Sizes fall
        </button>
      </div>
    </template>
    <p v-else class="leading-snug text-soft">
      Nothing here points anywhere yet. Strokes, dots that get smaller, and stencils with a heading do.
    </p>
    <p class="mt-1 text-xs leading-snug text-soft">
      Drag a ringed dot on the face to move a focal point; what lies nearer to one points there.
    </p>
    <div class="mt-1 flex flex-wrap gap-1">
      <button
        class="btn px-2 py-0.5 text-[0.87rem]"
        :disabled="flow.all.length > 6"
        @click="flow.moreFocus()"
      >
        One more point
      </button>
      <button v-if="flow.all.length > 1" class="btn px-2 py-0.5 text-[0.87rem]" @click="flow.onlyFocus()">
        Only one
      </button>
    </div>
  </aside>
</template>
