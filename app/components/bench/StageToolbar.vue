<script setup lang="ts">
import {
  Compass,
  Crosshair,
  Grid3x3,
  Layers2,
  Magnet,
  MessageSquareText,
  Ruler,
  RulerDimensionLine,
  ScanFace,
  Smile,
  Rotate3d,
  Waypoints,
  Wrench,
  X,
  ZoomIn,
  ZoomOut,
} from '@lucide/vue'

/** The switches beside the face. */
defineProps<{ onFace: boolean }>()
const turned = defineModel<boolean>('turned', { required: true })
const fitting = defineModel<boolean>('fitting', { required: true })
const picking = defineModel<boolean>('picking', { required: true })
const emit = defineEmits<{ zoom: [factor: number]; words: []; moves: [] }>()
const scene = useScene()
const settings = useSettings()
const flow = useFlow()
const tape = useTape()
/** On a small screen the tools fold away, so that the face stays free, and have words when they are out. */
const { layout } = useBenchLayout()
const folds = computed(() => layout.value === 'phone')
const out = ref(false)
/** How much nearer one press brings the picture. */
const NEARER = 1.35
</script>

<template>
  <button
    v-if="folds"
    class="btn absolute right-2 bottom-2 z-10"
    :aria-expanded="out"
    aria-controls="stage-tools"
    @click="out = !out"
  >
    <component :is="out ? X : Wrench" :size="17" />{{ out ? 'Close' : 'Tools' }}
  </button>
  <div
    v-show="!folds || out"
    id="stage-tools"
    class="absolute right-2 rounded-lg border border-rule bg-card/95 p-0.5"
    :class="
      folds
        ? 'tools-in-words bottom-14 left-2 grid max-h-[calc(100%-4.5rem)] grid-cols-2 gap-1 overflow-y-auto'
        : 'bottom-2 flex max-h-[calc(100%-1rem)] flex-col flex-wrap-reverse gap-1'
    "
  >
    <StageSwitch
      :model-value="turned"
      :title="`Turn the ${scene.ground.face ? 'head' : 'arm'}`"
      :label="`Turn the ${scene.ground.face ? 'head' : 'arm'}`"
      @update:model-value="turned = true"
    >
      <Rotate3d :size="17" />
    </StageSwitch>
    <LightSwitch />
    <button
      v-if="scene.ground.relief"
      class="icon-btn"
      v-tip="'How it moves with the face'"
      aria-label="How it moves"
      @click="emit('moves')"
    >
      <Smile :size="17" />
    </button>
    <StageSwitch v-if="onFace" v-model="fitting" title="Fit landmarks to a person" label="Fit landmarks" held>
      <ScanFace :size="17" />
    </StageSwitch>
    <StageSwitch v-model="settings.lift" title="How the stencil lifts off the skin" label="Lift">
      <Layers2 :size="17" />
    </StageSwitch>
    <StageSwitch v-model="settings.grid" title="The stencil's own grid, 10 mm" label="Stencil grid">
      <Grid3x3 :size="17" />
    </StageSwitch>
    <StageSwitch v-model="flow.watching" title="Where everything points, and to what" label="Flow">
      <Compass :size="17" />
    </StageSwitch>
    <StageSwitch
      v-model="picking"
      title="Pick a spot, also on what is painted (or press long, or Alt and click)"
      label="Pick a spot"
      held
    >
      <Crosshair :size="17" />
    </StageSwitch>
    <button
      class="icon-btn"
      v-tip="'The face in words'"
      aria-label="The face in words"
      @click="emit('words')"
    >
      <MessageSquareText :size="17" />
    </button>
    <span class="mx-1 h-px bg-rule" />
    <button class="icon-btn" v-tip="'Zoom in'" aria-label="Zoom in" @click="emit('zoom', NEARER)">
      <ZoomIn :size="17" />
    </button>
    <button class="icon-btn" v-tip="'Zoom out'" aria-label="Zoom out" @click="emit('zoom', 1 / NEARER)">
      <ZoomOut :size="17" />
    </button>
    <StageSwitch v-model="settings.guides" title="Midline, landmarks and focal point" label="Guides">
      <Waypoints :size="17" />
    </StageSwitch>
    <StageSwitch v-model="tape.on" title="Tape: drag between any two points of the skin" label="Tape" held>
      <RulerDimensionLine :size="17" />
    </StageSwitch>
    <StageSwitch
      v-model="settings.snap"
      title="Stencils go to brow, cheekbone and the rims of other prints (not with Alt held)"
      label="Snap"
    >
      <Magnet :size="17" />
    </StageSwitch>
    <StageSwitch v-model="settings.ruler" title="Edge ruler" label="Edge ruler">
      <Ruler :size="17" />
    </StageSwitch>
  </div>
</template>
