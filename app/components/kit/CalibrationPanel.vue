<script setup lang="ts">
import {
  edgeKnown,
  EDGE_SPREAD,
  TOOL_IDS,
  TOOL_MEASURES,
  toolKnown,
  TOOLS,
  WETNESSES,
  type Known,
  type ToolId,
  type ToolMeasure,
  type Wetness,
} from '#core/paint'

const kit = useKit()
const settings = useSettings()
/** Which value of which tool is in hand. */
const tool = ref<ToolId>('makeup')
const wetness = ref<Wetness>('tacky')
const of = ref<'edge' | ToolMeasure>('edge')
const HEADS = { release: 'lets go', capacity: 'holds', tip: 'tip' }
function words(measure: ToolMeasure, value: number): string {
  return measure === 'tip'
    ? settings.length(value)
    : measure === 'release'
      ? `${value.toFixed(2)} mg/cm²`
      : `${value.toFixed(0)} mg`
}
const known = computed<Known>(() =>
  of.value === 'edge'
    ? edgeKnown(kit.readings, tool.value, wetness.value)
    : toolKnown(kit.readings, tool.value, of.value),
)
const say = (value: number): string =>
  of.value === 'edge' ? `${value.toFixed(2)} mm` : words(of.value, value)
const start = computed(() =>
  of.value === 'edge' ? EDGE_SPREAD[tool.value][wetness.value] : TOOLS[tool.value][of.value],
)
function take(id: ToolId, measure: ToolMeasure): void {
  tool.value = id
  of.value = measure
}
function takeEdge(id: ToolId, at: Wetness): void {
  tool.value = id
  wetness.value = at
  of.value = 'edge'
}
const cell = (on: boolean) => (on ? 'bg-mulberry text-on' : 'hover:bg-mulberry-wash')
</script>

<template>
  <section class="grid grid-cols-[minmax(0,1fr)] lg:grid-cols-[minmax(0,1fr)_340px] gap-6">
    <div>
      <h2 class="font-display text-xl font-semibold">Your tools</h2>
      <p class="text-soft">
        What a tool lets go per dab, holds and how wide its tip is; then how far paint bleeds past an edge
        with it, on dry skin under a stencil that lies flat (mm). Starting values from common practice are
        estimates; your own readings replace them, and every look follows.
      </p>
      <table class="mt-2 w-full text-left">
        <thead>
          <tr class="text-[0.8rem] text-soft">
            <td />
            <th colspan="3" class="pt-1 font-semibold">what it does</th>
            <th colspan="4" class="pt-1 font-semibold">edge spread, mm</th>
          </tr>
          <tr class="border-b border-rule text-soft">
            <th class="py-1 font-semibold">Tool</th>
            <th v-for="m in TOOL_MEASURES" :key="m" class="font-semibold">{{ HEADS[m] }}</th>
            <th v-for="w in WETNESSES" :key="w" class="font-semibold">{{ w }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="id in TOOL_IDS" :key="id" class="border-b border-rule">
            <th class="py-1.5 pr-2 font-medium">{{ TOOLS[id].name }}</th>
            <td v-for="m in TOOL_MEASURES" :key="m">
              <button
                class="-ml-1.5 rounded-md px-1.5 py-0.5 whitespace-nowrap"
                :class="cell(tool === id && of === m)"
                :data-tool="`${id} ${m}`"
                @click="take(id, m)"
              >
                {{ words(m, toolKnown(kit.readings, id, m).value)
                }}<span v-if="toolKnown(kit.readings, id, m).readings" class="ml-0.5 text-xs font-semibold"
                  >×{{ toolKnown(kit.readings, id, m).readings }}</span
                >
              </button>
            </td>
            <td v-for="w in WETNESSES" :key="w">
              <button
                class="-ml-1.5 rounded-md px-1.5 py-0.5"
                :class="cell(of === 'edge' && tool === id && wetness === w)"
                :data-edge="`${id} ${w}`"
                @click="takeEdge(id, w)"
              >
                {{ edgeKnown(kit.readings, id, w).value.toFixed(2)
                }}<span v-if="edgeKnown(kit.readings, id, w).readings" class="ml-0.5 text-xs font-semibold"
                  >×{{ edgeKnown(kit.readings, id, w).readings }}</span
                >
              </button>
            </td>
          </tr>
        </tbody>
      </table>
      <p class="mt-2 text-sm text-soft">
        Press a value to read it yourself. ×3 means: the mean of three readings of your own.
      </p>
    </div>
    <div class="space-y-3 self-start rounded-2xl border border-rule bg-card p-3">
      <LadderForm v-if="of === 'edge'" v-model:tool="tool" v-model:wetness="wetness" />
      <ToolForm v-else v-model:tool="tool" v-model:wetness="wetness" :measure="of" />
      <p :data-testid="of === 'edge' ? 'edge-known' : 'tool-known'">
        <strong>{{ TOOLS[tool].name }}, {{ of === 'edge' ? wetness : HEADS[of] }}:</strong>
        {{ say(known.value)
        }}<template v-if="known.readings">
          from {{ known.readings }} {{ known.readings === 1 ? 'reading' : 'readings'
          }}<template v-if="known.readings > 1">, give or take {{ say(known.spread) }}</template
          >; it was {{ say(start) }}</template
        ><span v-else class="ml-1 rounded bg-rule px-1 text-xs">estimate</span>
      </p>
      <ReadingList :of="of" :tool="tool" :wetness="wetness" :say="say" />
    </div>
  </section>
</template>
