<script setup lang="ts">
import { Camera, Check } from '@lucide/vue'
import { OUTCOMES, readingsFrom, runOf, type Outcome } from '#core/chair'
import { TOOLS } from '#core/paint'

/** After the last step: mirror and picture, how each step went, the minutes, a note. */
const emit = defineEmits<{ kept: [] }>()
const chair = useChair()
const kit = useKit()
const frame = computed(() => chair.frame!)
const run = computed(() => runOf(frame.value, chair.progress, chair.screens, chair.gates))
const steps = computed(() => run.value.steps.filter(s => s.ending === 'done'))
const left = computed(() => run.value.steps.filter(s => s.ending !== 'done'))
const offers = computed(() => readingsFrom(run.value))
const taken = ref<string[]>([])
const problem = ref('')
async function take(id: string): Promise<void> {
  const offer = offers.value.find(o => o.step.id === id)
  const bridge = offer?.step.bridge
  if (!offer || !bridge) return
  try {
    await kit.read('edges', { tool: bridge.tool, wetness: bridge.wetness, bridge: offer.bridge })
    taken.value.push(id)
    problem.value = ''
  } catch (error) {
    problem.value = sentencesOf(error).join(' ')
  }
}
const note = ref(frame.value.note)
const picture = shallowRef<Blob | null>(null)
const preview = ref('')
/** Pixels of the longer side of a kept picture. */
const MOST_PX = 1200
async function photographed(event: Event): Promise<void> {
  const file = (event.target as HTMLInputElement).files?.[0]
  if (!file) return
  try {
    const image = await createImageBitmap(file)
    const k = Math.min(1, MOST_PX / Math.max(image.width, image.height))
    const canvas = new OffscreenCanvas(Math.round(k * image.width), Math.round(k * image.height))
    canvas.getContext('2d')!.drawImage(image, 0, 0, canvas.width, canvas.height)
    picture.value = await canvas.convertToBlob({ type: 'image/jpeg', quality: 0.85 })
    URL.revokeObjectURL(preview.value)
    preview.value = URL.createObjectURL(picture.value)
    problem.value = ''
  } catch {
    problem.value = 'This file is no picture that can be read: JPEG, PNG and WebP can.'
  }
}
onBeforeUnmount(() => URL.revokeObjectURL(preview.value))
const SHORT: Readonly<Record<Outcome, string>> = {
  'fine': 'fine',
  'bled': 'bled',
  'shifted': 'shifted',
  'did not show': 'pale',
  'smudged': 'smudged',
}
/** Says in one press that everything went well that nobody has said anything else of. */
const allFine = computed(() => steps.value.every(s => frame.value.went[s.id] === 'fine'))
function fine(): void {
  for (const s of steps.value) if (!frame.value.went[s.id]) chair.went(s.id, 'fine')
}
const busy = ref(false)
async function keep(): Promise<void> {
  busy.value = true
  chair.say({ note: note.value.slice(0, 2000) })
  await chair.close(picture.value ?? undefined)
  emit('kept')
}
</script>

<template>
  <div class="flex min-h-0 flex-1 flex-col" data-testid="chair-after">
    <div class="min-h-0 flex-1 space-y-4 overflow-y-auto p-4">
      <header>
        <h1 class="font-display text-3xl font-bold">{{ clock(run.seconds) }} min</h1>
        <p class="chair-soft">
          {{ clock(run.planned) }} planned<template v-if="run.paused >= 1"
            >, {{ clock(run.paused) }} of pauses not counted</template
          >. Show the mirror; sponges and stencils to the wash.
        </p>
      </header>
      <section aria-label="How did it go">
        <div class="flex items-center gap-3">
          <h2 class="flex-1 font-display text-xl font-semibold">How did it go?</h2>
          <button class="chair-btn" :aria-pressed="allFine" @click="fine">All fine</button>
        </div>
        <ul class="divide-y divide-rule">
          <li v-for="s in steps" :key="s.id" class="py-2" :data-went="s.id">
            <p class="flex items-baseline gap-2">
              <strong class="min-w-0 flex-1 truncate">{{ s.label }}</strong><span
                class="chair-soft tabular-nums"
                >{{ clock(s.seconds ?? 0) }} of {{ clock(s.planned) }}</span
              >
            </p>
            <div class="mt-1 grid grid-cols-5 gap-1" role="group" :aria-label="`How did ${s.label} go`">
              <button
                v-for="o in OUTCOMES"
                :key="o"
                class="chair-chip px-0! text-[0.86em]"
                :aria-pressed="frame.went[s.id] === o"
                @click="chair.went(s.id, o)"
              >
                {{ SHORT[o] }}
              </button>
            </div>
            <template v-for="offer in offers" :key="offer.step.id">
              <p
                v-if="offer.step.id === s.id"
                class="mt-1.5 rounded-xl border-2 border-care bg-card p-2.5 leading-snug"
              >
                Its narrowest bridge is {{ offer.step.bridge!.width.toFixed(1) }} mm. Keep as a reading of the
                {{ TOOLS[offer.step.bridge!.tool].name }}, {{ offer.step.bridge!.wetness }}: bridges under
                {{ offer.bridge.toFixed(1) }} mm bleed? <EstimateMark />
                <button class="chair-chip mt-1 block" :disabled="taken.includes(s.id)" @click="take(s.id)">
                  {{ taken.includes(s.id) ? 'kept as a reading' : 'Keep it' }}
                </button>
              </p>
            </template>
          </li>
        </ul>
        <p v-if="left.length" class="chair-soft mt-1">
          Not painted: {{ left.map(s => s.label).join(', ') }}.
        </p>
      </section>
      <p v-if="problem" role="alert" class="text-stop">{{ problem }}</p>
      <label class="block"
        ><span class="chair-soft">A note, no names</span
        ><textarea
          v-model="note"
          class="chair-field w-full"
          rows="2"
          maxlength="2000"
          @change="chair.say({ note })"
        />
      </label>
      <label class="chair-btn relative w-full cursor-pointer"
        ><Camera :size="22" />{{ picture ? 'Another picture' : 'A picture, kept on this computer only'
        }}<input
          type="file"
          accept="image/*"
          capture="environment"
          class="absolute inset-0 cursor-pointer opacity-0"
          aria-label="A picture, kept on this computer only"
          @change="photographed"
      /></label>
      <img
        v-if="preview"
        :src="preview"
        alt="The picture that will be kept"
        class="mx-auto max-h-60 rounded-xl"
      />
    </div>
    <div class="flex shrink-0 gap-2 border-t border-rule bg-card p-3">
      <button class="chair-btn" @click="chair.act('back')">Not done yet</button>
      <button class="chair-main flex-1" data-testid="keep" :disabled="busy" @click="keep">
        <Check :size="26" />Into the log
      </button>
    </div>
  </div>
</template>
