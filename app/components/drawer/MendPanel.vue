<script setup lang="ts">
import { Hammer } from '@lucide/vue'
import { toast } from 'vue-sonner'
import { sheetSvg } from '#core/formats'
import { MATERIALS, summaryOf, type Analysis, type Join, type SheetGeometry } from '#core/stencil'
import type { StencilMeta } from '~~/server/db/stencils'

const props = defineProps<{ about: StencilMeta; sheet: SheetGeometry; analysis: Analysis }>()
const worker = useSheetWorker()
const drawer = useDrawer()
const width = ref<number>(MATERIALS[props.about.material].bridge)
const least = ref(0.8)
const joins = shallowRef<Join[]>([])
const taken = ref<Set<number>>(new Set())
const widen = reactive({ bridges: false, slots: false })
const after = shallowRef<{ sheet: SheetGeometry; analysis: Analysis } | null>(null)
const working = ref(false)
const saving = ref(false)

const thinOnes = computed(() => props.analysis.bridges.filter(b => b.width < least.value))
const thin = computed(() => thinOnes.value.length)
const narrowOnes = computed(() =>
  props.analysis.slots.filter(s => s.width < least.value).sort((a, b) => a.width - b.width),
)
const narrow = computed(() => narrowOnes.value.length)
/** The places in the sheet frame, narrowest first: as many as can be read. */
const places = computed(() =>
  [
    ...thinOnes.value.map(n => ({ ...n, what: 'bridge' })),
    ...narrowOnes.value.map(n => ({ ...n, what: 'slot' })),
  ]
    .sort((a, b) => a.width - b.width)
    .map(
      ({ what, width, from, to }) =>
        `${what} ${width.toFixed(2)} mm at ${((from[0] + to[0]) / 2).toFixed(0)}, ${((from[1] + to[1]) / 2).toFixed(0)}`,
    ),
)
const islands = computed(() => props.analysis.islands)
const whole = computed(() => islands.value.length > 0 || thin.value > 0 || narrow.value > 0)

watch(
  [() => props.sheet, width],
  async () => {
    joins.value = islands.value.length
      ? await worker.joins(toRaw(props.sheet), toRaw(islands.value), width.value)
      : []
    taken.value = new Set(islands.value.map((_, i) => i))
  },
  { immediate: true },
)

const chosen = computed(() => joins.value.filter(j => taken.value.has(j.island)))
const preview = newestOnly(async () => {
  if (chosen.value.length === 0 && !widen.bridges && !widen.slots) {
    after.value = null
    return
  }
  working.value = true
  try {
    after.value = await worker.mend(toRaw(props.sheet), {
      joins: chosen.value.map(j => toRaw(j)),
      bridge: widen.bridges ? least.value : null,
      slot: widen.slots ? least.value : null,
    })
  } finally {
    working.value = false
  }
})
watch([chosen, () => ({ ...widen }), least], () => preview(), { immediate: true })
function toggle(i: number): void {
  const next = new Set(taken.value)
  if (!next.delete(i)) next.add(i)
  taken.value = next
}

async function keep(): Promise<void> {
  saving.value = true
  const { name, kind, tags, zones, heading, material } = props.about
  try {
    const { stencil } = await $fetch<{ stencil: StencilMeta }>('/api/stencils', {
      method: 'POST',
      body: {
        file: sheetSvg(after.value!.sheet, name),
        about: {
          name: `${name.slice(0, 70)}, repaired`,
          kind,
          tags,
          zones,
          heading,
          material,
          groups: after.value!.analysis.groups,
        },
        analysis: summaryOf(after.value!.analysis),
        mendedFrom: props.about.id,
      },
    })
    await drawer.load()
    toast(`${stencil.name} is in the drawer; the old stencil stays.`)
    await navigateTo(`/drawer/${stencil.id}`)
  } catch (error) {
    toast.error(sentencesOf(error).join(' '))
  }
  saving.value = false
}
</script>

<template>
  <section aria-label="Repair">
    <p v-if="!whole" class="text-soft">
      Nothing to mend: no loose pieces, and no bridge or slot under
      <NumberInput
        live
        v-model="least"
        class="inline w-16!"
        :min="0.2"
        :max="5"
        :step="0.1"
        label="Least width, mm"
      />
      mm.
    </p>
    <template v-else>
      <div class="flex flex-wrap items-center gap-x-4 gap-y-2">
        <label class="flex items-center gap-1"
          >new bridges
          <NumberInput
            live
            v-model="width"
            class="w-16!"
            :min="0.4"
            :max="6"
            :step="0.1"
            label="Width of new bridges, mm"
          />
          mm</label
        >
        <label class="flex items-center gap-1"
          >cutter's least width
          <NumberInput
            live
            v-model="least"
            class="w-16!"
            :min="0.2"
            :max="5"
            :step="0.1"
            label="Least width, mm"
          />
          mm</label
        >
        <span class="text-sm text-soft"
          >default for {{ MATERIALS[about.material].words }}: {{ MATERIALS[about.material].bridge }} mm
          (common practice)</span
        >
      </div>
      <ul v-if="islands.length" class="mt-2 flex flex-wrap gap-1">
        <li v-for="(island, i) in islands" :key="i">
          <button class="chip" :aria-pressed="taken.has(i)" @click="toggle(i)">
            loose piece {{ i + 1 }}, {{ island.area.toFixed(0) }} mm²:
            {{ joins.filter(j => j.island === i).length }} bridges
          </button>
        </li>
        <li v-if="islands.length > 1">
          <button
            class="btn text-sm"
            @click="taken = new Set(taken.size === islands.length ? [] : islands.map((_, i) => i))"
          >
            {{ taken.size === islands.length ? 'None' : 'All' }}
          </button>
        </li>
      </ul>
      <div class="mt-2 grid max-w-md gap-1">
        <SwitchField
          v-if="thin"
          v-model="widen.bridges"
          :label="`Widen ${thin} ${thin === 1 ? 'bridge' : 'bridges'} under ${least} mm`"
        />
        <SwitchField
          v-if="narrow"
          v-model="widen.slots"
          :label="`Open ${narrow} ${narrow === 1 ? 'slot' : 'slots'} under ${least} mm`"
        />
      </div>
      <details v-if="places.length" class="mt-2 text-sm">
        <summary>
          {{ places.length }} {{ places.length === 1 ? 'place' : 'places' }} under {{ least }} mm (x, y in mm
          from the stencil's centre)
        </summary>
        <p class="mt-1 max-h-24 overflow-y-auto text-soft">{{ places.join('; ') }}</p>
      </details>
      <div class="mt-3 grid grid-cols-2 gap-3">
        <figure class="rounded-xl border border-rule bg-stage p-2">
          <figcaption class="eyebrow">Before</figcaption>
          <div class="h-56">
            <SheetDrawing :sheet="sheet" :analysis="analysis" :show="{ islands: true }" :joins="chosen" />
          </div>
        </figure>
        <figure class="rounded-xl border border-rule bg-stage p-2">
          <figcaption class="eyebrow">After{{ working ? ', working…' : '' }}</figcaption>
          <div class="h-56">
            <SheetDrawing
              v-if="after"
              :sheet="after.sheet"
              :analysis="after.analysis"
              :show="{ islands: true }"
            />
          </div>
          <p v-if="after" class="text-sm">
            {{ after.analysis.islands.length }} loose pieces, narrowest bridge
            {{ after.analysis.bridge?.width.toFixed(2) ?? '–' }} mm, slot
            {{ after.analysis.slot.width.toFixed(2) }} mm
          </p>
        </figure>
      </div>
      <button class="btn-main mt-3" :disabled="!after || working || saving" @click="keep">
        <Hammer :size="16" />Keep as a new stencil
      </button>
    </template>
  </section>
</template>
