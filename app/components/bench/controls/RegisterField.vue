<script setup lang="ts">
import { Magnet, X } from '@lucide/vue'
import {
  ofKind,
  paintedOpenings,
  registerFit,
  registerMeets,
  type RegisterWay,
  type SheetStep,
} from '#core/look'

const props = defineProps<{ step: SheetStep }>()
const session = useSession()
const scene = useScene()
const placing = usePlacing()
const drawer = useDrawer()
const hosts = computed(() =>
  ofKind('sheet', session.look!.steps).filter(
    s => s.id !== props.step.id && s.register?.on !== props.step.id,
  ),
)
const on = ref('')
const way = ref<RegisterWay>('openings')
watchEffect(() => {
  on.value = props.step.register?.on ?? hosts.value.at(-1)?.id ?? ''
  way.value =
    props.step.register?.way ?? (drawer.find(props.step.stencil)?.analysis?.lattice ? 'openings' : 'motif')
})
const ways: [RegisterWay, string][] = [
  ['openings', 'pattern on its openings'],
  ['bridges', 'pattern on its bridges'],
  ['motif', 'motif in motif'],
  ['edge', 'edge to edge'],
]
const name = (step: SheetStep) =>
  `${session.look!.steps.findIndex(s => s.id === step.id) + 1} ${step.label || drawer.find(step.stencil)?.name}`
/** What the register leaves, worked out anew from both sheets. */
const report = computed(() => {
  const { register } = props.step
  const host = hosts.value.find(h => h.id === register?.on)
  const a = host && drawer.shapes.get(host.stencil)
  const b = drawer.shapes.get(props.step.stencil)
  const fit = register && a && b ? registerFit(a, b, register.way, register) : null
  return fit && typeof fit !== 'string' ? fit : null
})
/** Why a register holds nothing together, as a sentence; empty when it does. */
const lost = computed(() => {
  const { register } = props.step
  const host = hosts.value.find(h => h.id === register?.on)
  const a = host && drawer.shapes.get(host.stencil)
  const b = drawer.shapes.get(props.step.stencil)
  if (!register) return ''
  if (!host) return 'The stencil on which it was held is not in the look any more.'
  if (!a || !b) return ''
  const fit = registerFit(a, b, register.way, register)
  if (typeof fit === 'string') return fit
  const met = registerMeets(
    a,
    b,
    { host: paintedOpenings(host, scene.world)[0]!, guest: paintedOpenings(props.step, scene.world)[0]! },
    register.way,
    register,
  )
  return met
    ? ''
    : `It meets nothing that "${host.label}" prints: let both dab openings that lie over each other.`
})
</script>

<template>
  <div v-if="hosts.length" class="space-y-1.5">
    <div class="grid grid-cols-2 gap-1.5">
      <select v-model="on" class="field" aria-label="Register on">
        <option v-for="h in hosts" :key="h.id" :value="h.id">{{ name(h) }}</option>
      </select>
      <select v-model="way" class="field" aria-label="How to register">
        <option v-for="[value, words] in ways" :key="value" :value="value">{{ words }}</option>
      </select>
    </div>
    <div class="flex items-center gap-1.5">
      <button class="btn text-[0.87rem]" :disabled="!on" @click="placing.register(on, way)">
        <Magnet :size="15" />Register
      </button>
      <button v-if="step.register" class="btn px-2 text-[0.87rem]" @click="placing.register(null, way)">
        <X :size="15" />Let go
      </button>
    </div>
    <p v-if="lost" class="text-[0.87rem] leading-snug text-care" data-testid="register-lost">
      <strong>Warning</strong> {{ lost }}
    </p>
    <p v-else-if="report" class="text-[0.87rem] leading-snug text-go" data-testid="register-report">
      Held on {{ ways.find(w => w[0] === step.register!.way)![1].replace('its', 'the') }}:
      {{ report.residual < 0.005 ? 'no' : report.residual.toFixed(2) }} mm left over{{
        report.matched > 1 ? `, ${report.matched} points` : ''
      }}; it may slip {{ report.tolerance.toFixed(1) }} mm.
    </p>
  </div>
  <p v-else class="text-[0.87rem] text-soft">
    Lay another stencil first, then this one can be held in register with it.
  </p>
</template>
