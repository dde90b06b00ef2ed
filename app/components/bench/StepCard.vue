<script setup lang="ts">
import { useLocalStorage } from '@vueuse/core'
import { Copy, Grid3x3, Trash2, X } from '@lucide/vue'
import type { Component } from 'vue'
import { kindOf, type Field } from '#core/look'
import AxisField from './controls/AxisField.vue'
import BrushPicker from './controls/BrushPicker.vue'
import BrushworkField from './controls/BrushworkField.vue'
import DotsField from './controls/DotsField.vue'
import PullField from './controls/PullField.vue'
import ReworkField from './controls/ReworkField.vue'
import StrokeHandField from './controls/StrokeHandField.vue'
import ToolLoadField from './controls/ToolLoadField.vue'
import FreeField from './controls/FreeField.vue'
import GemField from './controls/GemField.vue'
import GlitterField from './controls/GlitterField.vue'
import GuideField from './controls/GuideField.vue'
import HandlesField from './controls/HandlesField.vue'
import LipsField from './controls/LipsField.vue'
import MarkTwinField from './controls/MarkTwinField.vue'
import CountStepper from './controls/CountStepper.vue'
import PaintsField from './controls/PaintsField.vue'
import PassesField from './controls/PassesField.vue'
import PlacementField from './controls/PlacementField.vue'
import RegisterField from './controls/RegisterField.vue'
import SwitchField from './controls/SwitchField.vue'
import ToolPicker from './controls/ToolPicker.vue'
import TwinField from './controls/TwinField.vue'
import WetnessPicker from './controls/WetnessPicker.vue'
import ZonesField from './controls/ZonesField.vue'

const emit = defineEmits<{ nine: [] }>()
const session = useSession()
const selection = useSelection()
const steps = useSteps()
/** Controls that take the whole step, and those that hold the one value their field names. */
const whole: Partial<Record<Field['control'], Component>> = {
  zones: ZonesField,
  paints: PaintsField,
  axis: AxisField,
  placement: PlacementField,
  sheetTwin: TwinField,
  twin: MarkTwinField,
  register: RegisterField,
  passes: PassesField,
  brushwork: BrushworkField,
  dots: DotsField,
  gem: GemField,
  glitter: GlitterField,
  lips: LipsField,
  handles: HandlesField,
  free: FreeField,
  pull: PullField,
  toolLoad: ToolLoadField,
  rework: ReworkField,
  guide: GuideField,
  strokeHand: StrokeHandField,
}
const single: Partial<Record<Field['control'], Component>> = {
  tool: ToolPicker,
  wetness: WetnessPicker,
  dabs: CountStepper,
  switch: SwitchField,
  brush: BrushPicker,
}

const step = computed(() => selection.step)
const number = computed(() => session.look!.steps.findIndex(s => s.id === step.value?.id) + 1)
const kind = computed(() => step.value && kindOf(step.value))
const fields = computed(() => (step.value && kind.value ? kind.value.fields(step.value) : []))
const valueOf = (path: string): unknown => step.value && Reflect.get(step.value, path)
const put = (field: Field, value: unknown) =>
  steps.edit(field.label.toLowerCase(), s => {
    // A value that the step cannot have is refused with a sentence when the look is read.
    Reflect.set(s, field.path, value)
  })
/** Sections that are folded until somebody opens them, by what they hold; what was opened or folded is remembered. */
const FOLDED: readonly string[] = ['register', 'free']
const folds = useLocalStorage<Record<string, boolean>>('janusform-card-folds', {})
const sectionOf = ({ control, path }: Field) => `${control} ${path}`.trim()
/** Devices may remember sections by their labels, as version 0.1 did. */
const isOpen = (field: Field) =>
  folds.value[sectionOf(field)] ?? folds.value[field.label] ?? !FOLDED.includes(field.control)
const fold = (field: Field, event: Event) => {
  folds.value = { ...folds.value, [sectionOf(field)]: (event.target as HTMLDetailsElement).open }
}
/** Puts the step in another place, by its number. */
function renumber(to: number | null): void {
  steps.move(step.value!.id, Math.round(to!) - 1)
}
const rename = (event: Event) =>
  steps.edit('rename', s => {
    s.label = (event.target as HTMLInputElement).value.slice(0, 60)
  })
</script>

<template>
  <aside class="flex min-h-0 flex-col border-l border-rule bg-paper" aria-label="Step card">
    <template v-if="step && kind">
      <div :key="step.id" class="min-h-0 flex-1 space-y-3 overflow-y-auto p-3">
        <header>
          <div class="flex items-center gap-1">
            <NumberInput
              :model-value="number"
              :min="1"
              :max="session.look!.steps.length"
              class="h-6! w-9! rounded-full! border-0! bg-mulberry! px-1! text-center text-sm font-bold text-on"
              label="Place of this step"
              @update:model-value="renumber"
            />
            <span class="eyebrow flex-1"
              >{{ kind.words }} <span class="font-normal">of {{ session.look!.steps.length }}</span></span
            >
            <button
              class="icon-btn"
              v-tip="'Nine others at a glance (N)'"
              aria-label="Nine others at a glance"
              @click="emit('nine')"
            >
              <Grid3x3 :size="16" />
            </button>
            <button
              class="icon-btn"
              v-tip="'Copy this step'"
              aria-label="Copy this step"
              @click="steps.duplicate()"
            >
              <Copy :size="16" />
            </button>
            <button
              class="icon-btn"
              v-tip="'Delete this step (Delete)'"
              aria-label="Delete this step"
              @click="steps.remove()"
            >
              <Trash2 :size="16" />
            </button>
            <button
              class="icon-btn"
              v-tip="'Let go of this step (Esc)'"
              aria-label="Close the card"
              @click="selection.id = null"
            >
              <X :size="16" />
            </button>
          </div>
          <input
            class="mt-1 w-full rounded-md border border-transparent bg-transparent px-1 font-display text-lg font-semibold hover:border-rule focus:border-mulberry"
            v-kept="step.label"
            aria-label="Name of the step"
            maxlength="60"
            @change="rename"
          />
        </header>
        <SeveralActions v-if="selection.steps.length > 1" />
        <GroupField />
        <template v-for="field in fields" :key="field.label">
          <SwitchField
            v-if="field.control === 'switch'"
            :model-value="valueOf(field.path) as boolean"
            :label="field.label"
            @update:model-value="put(field, $event)"
          />
          <details v-else :open="isOpen(field)" :data-section="field.label" @toggle="fold(field, $event)">
            <summary class="eyebrow mb-1 select-none">{{ field.label }}</summary>
            <component :is="whole[field.control]" v-if="whole[field.control]" :step="step" />
            <component
              :is="single[field.control]"
              v-else
              :model-value="valueOf(field.path)"
              :label="field.label"
              @update:model-value="put(field, $event)"
            />
          </details>
        </template>
        <StepNeeds :step="step" />
      </div>
      <!-- Below the fields and not above them: what comes of a step arrives late, and must not move them under the hand; its height is fixed for the same reason. -->
      <StepOutcome
        :key="`${step.id} outcome`"
        :step="step"
        class="h-[28%] min-h-36 shrink-0 overflow-y-auto border-t border-rule px-3 py-2.5"
      />
    </template>
    <div v-else class="min-h-0 overflow-y-auto"><LookNotes /></div>
  </aside>
</template>
