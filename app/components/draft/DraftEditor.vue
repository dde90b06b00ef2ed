<script setup lang="ts">
import { useEventListener } from '@vueuse/core'
import { Redo2, Undo2, ZoomIn, ZoomOut, Maximize } from '@lucide/vue'
import type { Draft } from '#core/draft'
import type { Point } from '#core/geometry'
import type { Analysis } from '#core/stencil'
import { DRAFT_TOOLS, type DraftTool } from '~/utils/draftTools'
import type { useDraftHistory } from '~/composables/useDraftHistory'

/** Changing a draft by hand: tools, undo, and the photograph under it. */
const props = defineProps<{
  history: ReturnType<typeof useDraftHistory>
  photo?: { url: string; x: number; y: number; width: number; height: number } | null
  analysis?: Analysis | null
}>()
const emit = defineEmits<{ line: [points: Point[]] }>()
const tool = defineModel<DraftTool>('tool', { default: 'select' })
const chosen = defineModel<number | null>('chosen', { default: null })
const brush = ref(1.5)
const bridge = ref(1.2)
const smooth = ref(true)
const opacity = ref(0.7)
const different = ref(false)
const said = ref('')
const stage = useTemplateRef('stage')
const draft = computed(() => props.history.draft.value)

function put(next: Draft, words: string): void {
  said.value = ''
  props.history.put(next, words)
}
function key(event: KeyboardEvent): void {
  const { tagName, type } = event.target as HTMLInputElement
  if (
    tagName === 'SELECT' ||
    tagName === 'TEXTAREA' ||
    (tagName === 'INPUT' && type !== 'range' && type !== 'checkbox')
  )
    return
  const letter = event.key.toLowerCase()
  if (event.ctrlKey || event.metaKey) {
    if (letter === 'y' || (letter === 'z' && event.shiftKey)) props.history.redo()
    else if (letter === 'z') props.history.undo()
    else return
    event.preventDefault()
    return
  }
  const next = Object.entries(DRAFT_TOOLS).find(([, t]) => t.key === letter)
  if (next && !event.altKey) tool.value = next[0] as DraftTool
}
ownHistory()
useEventListener('keydown', key)
</script>

<template>
  <div v-if="draft" class="flex min-h-0 flex-1 flex-col gap-2">
    <div class="flex flex-wrap items-center gap-1" role="toolbar" aria-label="Tools">
      <button
        v-for="(t, id) in DRAFT_TOOLS"
        :key="id"
        class="icon-btn"
        :class="tool === id && 'bg-mulberry! text-on!'"
        :aria-pressed="tool === id"
        :aria-label="t.words"
        v-tip="`${t.words} (${t.key.toUpperCase()})`"
        @click="tool = id"
      >
        <component :is="t.icon" :size="17" />
      </button>
      <label v-if="tool === 'cut' || tool === 'fill'" class="ml-2 flex items-center gap-1 text-sm"
        >brush
        <NumberInput
          live
          v-model="brush"
          class="w-18!"
          :min="0.2"
          :max="30"
          :step="0.1"
          label="Width of the brush, mm"
        />
        mm</label
      >
      <label v-if="tool === 'apart' || tool === 'join'" class="ml-2 flex items-center gap-1 text-sm"
        >{{ tool === 'apart' ? 'bridge' : 'slot' }}
        <NumberInput
          live
          v-model="bridge"
          class="w-18!"
          :min="0.3"
          :max="20"
          :step="0.1"
          label="Width of the bridge or slot, mm"
        />
        mm</label
      >
      <label v-if="tool === 'path'" class="ml-2 flex items-center gap-1 text-sm"
        ><input v-model="smooth" type="checkbox" class="accent-mulberry" /> smooth</label
      >
      <slot name="tools" />
      <span class="ml-auto flex items-center gap-1">
        <button class="icon-btn" aria-label="Nearer" @click="stage?.zoomBy(1.5)">
          <ZoomIn :size="17" />
        </button>
        <button class="icon-btn" aria-label="Farther" @click="stage?.zoomBy(1 / 1.5)">
          <ZoomOut :size="17" />
        </button>
        <button class="icon-btn" aria-label="The whole stencil" @click="stage?.whole()">
          <Maximize :size="17" />
        </button>
        <button
          class="icon-btn"
          aria-label="Undo"
          v-tip="history.undoes.value ? `Undo ${history.undoes.value}` : 'Nothing to undo'"
          :disabled="history.undoes.value === null"
          @click="history.undo()"
        >
          <Undo2 :size="17" />
        </button>
        <button
          class="icon-btn"
          aria-label="Redo"
          v-tip="history.redoes.value ? `Redo ${history.redoes.value}` : 'Nothing to redo'"
          :disabled="history.redoes.value === null"
          @click="history.redo()"
        >
          <Redo2 :size="17" />
        </button>
      </span>
    </div>
    <div class="min-h-0 flex-1 rounded-2xl border border-rule bg-stage p-2">
      <DraftStage
        ref="stage"
        v-model:chosen="chosen"
        :draft="draft"
        :tool="tool"
        :brush="Math.min(30, Math.max(0.2, brush || 1))"
        :bridge="Math.min(20, Math.max(0.3, bridge || 1))"
        :smooth="smooth"
        :photo="photo && opacity > 0 ? photo : null"
        :opacity="opacity"
        :before="different ? history.first.value : null"
        :analysis="analysis"
        @change="put"
        @line="emit('line', $event)"
        @say="said = $event"
      />
    </div>
    <div class="flex flex-wrap items-center gap-4 text-sm">
      <label v-if="photo" class="flex items-center gap-2"
        >photograph
        <input
          v-model.number="opacity"
          type="range"
          min="0"
          max="1"
          step="0.05"
          class="w-32 accent-mulberry"
          aria-label="Opacity of the photograph"
      /></label>
      <label class="flex items-center gap-1"
        ><input v-model="different" type="checkbox" class="accent-mulberry" /> show what was changed
        (orange)</label
      >
      <p v-if="said" role="alert" class="text-stop">{{ said }}</p>
      <p v-else class="text-soft">Wheel zooms, Alt and drag moves the stencil.</p>
    </div>
  </div>
</template>
