<script setup lang="ts">
import { Columns2, MousePointerClick, MoveUpRight, PaintRoller, Plus, Trash2 } from '@lucide/vue'
import { copied, ofKind, toolWith, type Pass, type SheetStep } from '#core/look'

const props = defineProps<{ step: SheetStep }>()
const session = useSession()
const steps = useSteps()
const choice = useChoice()
const gradient = useGradient()
const sponging = useSponging()
const drawer = useDrawer()
const sheet = computed(() => drawer.shapes.get(props.step.stencil))
const groups = computed(() => drawer.find(props.step.stencil)?.groups ?? [])
const useOf = ({ openings }: Pass) => (openings.use === 'group' ? `group:${openings.name}` : openings.use)
const use = (i: number, value: string) =>
  value !== 'chosen' &&
  change('openings', i, p => {
    p.openings = value === 'all' ? { use: 'all' } : { use: 'group', name: value.slice(6) }
  })
/** The pass that is compared with another way; null when none is. */
const comparing = ref<number | null>(null)
const change = (label: string, i: number, recipe: (pass: Pass) => void) =>
  steps.editKind('sheet', label, s => recipe(s.passes[i]!))

/** A pass that runs out needs a way along which it does: that is dragged on the face. */
function runOut(i: number, on: boolean): void {
  const pass = props.step.passes[i]!
  if (on && !pass.axis) gradient.byHand(i, pass)
  change('run out to nothing', i, p => {
    if (on) p.runsOut = 0.3
    else delete p.runsOut
  })
  // Of one colour nothing is left that runs.
  if (!on && pass.load.kind === 'one' && pass.axis) gradient.byHand(i, pass)
}
/** Whether an earlier pass left something of this colour on this tool. */
function holdsOf(i: number): boolean {
  const key = toolWith(props.step.passes[i]!)
  const all = ofKind('sheet', session.look!.steps)
  const before = all
    .slice(
      0,
      all.findIndex(s => s.id === props.step.id),
    )
    .flatMap(s => s.passes)
  return [...before, ...props.step.passes.slice(0, i)].some(p => toolWith(p) === key)
}
function more(): void {
  const last = props.step.passes.at(-1)!
  steps.editKind('sheet', 'add a colour layer', s => void s.passes.push({ ...copied(last), dabs: 2 }))
}
</script>

<template>
  <ol class="space-y-2">
    <li
      v-for="(pass, i) in step.passes"
      :key="i"
      class="space-y-1.5 rounded-lg border border-rule bg-card p-2"
      :aria-label="`Colour layer ${i + 1}`"
    >
      <div class="flex items-start gap-1.5">
        <span class="eyebrow w-10 shrink-0">Layer {{ i + 1 }}</span>
        <LoadField
          class="min-w-0 flex-1"
          :model-value="pass.load"
          :label="`Colour of layer ${i + 1}`"
          @update:model-value="
            load =>
              change('colour', i, p => {
                p.load = load
              })
          "
        />
        <button
          v-if="step.passes.length > 1"
          class="icon-btn"
          :aria-label="`Delete colour layer ${i + 1}`"
          @click="steps.editKind('sheet', 'delete a colour layer', s => void s.passes.splice(i, 1))"
        >
          <Trash2 :size="15" />
        </button>
      </div>
      <div class="flex items-center gap-1.5">
        <ToolPicker
          :model-value="pass.tool"
          class="min-w-0 flex-1"
          @update:model-value="
            v =>
              change('tool', i, p => {
                p.tool = v
              })
          "
        />
        <CountStepper
          :model-value="pass.dabs"
          label="dabs"
          @update:model-value="
            v =>
              change('dabs', i, p => {
                p.dabs = v
              })
          "
        />
      </div>
      <div class="flex items-center gap-1">
        <WetnessPicker
          class="min-w-0 flex-1"
          :model-value="pass.wetness"
          @update:model-value="
            v =>
              change('wetness', i, p => {
                p.wetness = v
              })
          "
        /><HandTest :tool="pass.tool" :wetness="pass.wetness" /><button
          class="icon-btn"
          v-tip="'Compare with another tool, wetness or number of dabs'"
          :aria-label="`Compare colour layer ${i + 1} with another way`"
          @click="comparing = i"
        >
          <Columns2 :size="16" />
        </button>
      </div>
      <div class="flex items-center gap-1.5">
        <select
          class="field min-w-0 flex-1"
          :value="useOf(pass)"
          :aria-label="`Openings of layer ${i + 1}`"
          @change="use(i, ($event.target as HTMLSelectElement).value)"
        >
          <option value="all">all {{ sheet?.openings.length ?? '' }} openings</option>
          <option v-for="g in groups" :key="g.name" :value="`group:${g.name}`">
            {{ g.name }} ({{ g.openings.length }})
          </option>
          <option v-if="pass.openings.use === 'chosen'" value="chosen">
            {{ pass.openings.numbers.length }} chosen
          </option>
        </select>
        <button
          class="btn px-2"
          :class="choice.pass === i && 'border-mulberry! bg-mulberry-wash text-mulberry'"
          :aria-pressed="choice.pass === i"
          v-tip="'Click openings on the face'"
          @click="choice.pass = choice.pass === i ? null : i"
        >
          <MousePointerClick :size="15" />Choose
        </button>
      </div>
      <PassPartField :step="step" :pass="pass" :index="i" />
      <div
        v-if="pass.load.kind !== 'one' || pass.axis || pass.runsOut !== undefined"
        class="flex items-center gap-1.5"
      >
        <button
          class="btn px-2 text-[0.87rem]"
          :class="gradient.pass === i && 'border-mulberry! bg-mulberry-wash text-mulberry'"
          :aria-pressed="pass.axis !== undefined"
          v-tip="'Drag on the face where the colours begin and end'"
          @click="gradient.byHand(i, pass)"
        >
          <MoveUpRight :size="14" />{{ pass.axis ? 'As the stencil lies' : 'Colours by hand' }}
        </button>
        <button
          v-if="pass.axis && gradient.pass !== i"
          class="btn px-2 text-[0.87rem]"
          @click="gradient.pass = i"
        >
          Show handles
        </button>
      </div>
      <SwitchField
        :model-value="pass.runsOut !== undefined"
        label="Runs out to nothing"
        @update:model-value="v => runOut(i, v)"
      />
      <SwitchField
        v-if="pass.carries || holdsOf(i)"
        :model-value="pass.carries ?? false"
        label="Goes on without reloading"
        @update:model-value="
          v =>
            change('load', i, p => {
              if (v) p.carries = true
              else delete p.carries
            })
        "
      />
      <SwitchField
        :model-value="pass.charge < 1"
        label="Only what is left on the tool (faded)"
        @update:model-value="
          v =>
            change('load', i, p => {
              p.charge = v ? 0.35 : 1
            })
        "
      />
      <SwitchField
        :model-value="pass.glitter"
        label="Glitter before lifting"
        @update:model-value="
          v =>
            change('glitter', i, p => {
              p.glitter = v
            })
        "
      />
      <SparkleField v-if="pass.glitter" :pass="pass" :index="i" />
    </li>
    <li>
      <button
        class="btn text-[0.87rem]"
        v-tip="'Lays the base that belongs beneath this stencil, before it; both move together'"
        data-testid="base-under"
        @click="sponging.addUnder(step)"
      >
        <PaintRoller :size="14" />Base under it
      </button>
    </li>
    <li v-if="step.passes.length < 8">
      <button class="btn text-[0.87rem]" @click="more"><Plus :size="14" />Another colour layer</button>
    </li>
    <CompareDialog v-if="comparing !== null" :step="step" :index="comparing" @close="comparing = null" />
  </ol>
</template>
