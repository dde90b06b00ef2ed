<script setup lang="ts">
import { RotateCcw } from '@lucide/vue'
import {
  applied,
  mirroredLook,
  ofKind,
  paintsOf,
  sheetsOf,
  swapPaint,
  withSmallerSheets,
  type Look,
} from '#core/look'
import { PLAIN_FACE, type Canvas } from '#core/skin'

/** What is changed for the person who sits there now: the look of the menu stays as it is for the next. */
const chair = useChair()
const drawer = useDrawer()
const kit = useKit()
const worker = useSheetWorker()
const busy = ref(false)
const problem = ref('')
const look = computed(() => chair.look!)
const isArm = computed(() => look.value.canvas.kind === 'arm')

async function wear(next: () => Look | Promise<Look>): Promise<void> {
  busy.value = true
  problem.value = ''
  try {
    await chair.wear(await next())
  } catch (error) {
    problem.value = sentencesOf(error).join(' ')
  }
  busy.value = false
}
/** Moves it to another canvas; what no longer fits gets a smaller stencil where the drawer has one. */
async function moved(canvas: Canvas): Promise<Look> {
  await worker.knowDrawer()
  const found = await worker.moved(look.value, canvas, look.value.skin.age)
  if (!('moved' in found)) throw new RangeError(found.sentence)
  return withSmallerSheets(found.moved.look, found.moved.misfits, id => drawer.find(id)?.name)
}
const FOREARM: Canvas = { kind: 'arm', part: 'forearm', side: 'left', measures: null }
const elsewhere = () => wear(() => moved(isArm.value ? PLAIN_FACE : FOREARM))
const otherSide = () => wear(() => mirroredLook(look.value))

const colours = computed(() => {
  const all = chair.painted.flatMap(s => paintsOf(s)).filter(p => !kit.find(p.id)?.strips.length)
  return all.filter((p, i) => all.findIndex(o => o.id === p.id) === i)
})
const from = ref('')
function recolour(event: Event): void {
  const box = event.target as HTMLSelectElement
  const to = kit.find(box.value)
  box.value = ''
  if (to && from.value) void wear(() => applied(look.value, swapPaint(from.value, kit.refOf(to))))
  from.value = ''
}
const sheets = computed(() => sheetsOf(look.value).flatMap(id => drawer.find(id) ?? []))
const instead = ref('')
async function restencil(event: Event): Promise<void> {
  const box = event.target as HTMLSelectElement
  const to = box.value
  const of = instead.value
  box.value = ''
  instead.value = ''
  if (!to || !of) return
  await drawer.ensure([to])
  await wear(() =>
    applied(look.value, draft => {
      for (const step of ofKind('sheet', draft.steps).filter(s => s.stencil === of)) {
        step.stencil = to
        step.register = null
        // Openings are those of the other stencil.
        for (const pass of step.passes) pass.openings = { use: 'all' }
      }
    }),
  )
}
</script>

<template>
  <section class="break-inside-avoid" aria-label="For this person only" data-testid="for-this-person">
    <h2 class="font-display text-lg font-semibold">For this person only</h2>
    <p class="chair-soft leading-snug">
      {{
        chair.worn
          ? 'Changed for this person. The look on your menu is as it was.'
          : 'The look on your menu stays as it is.'
      }}
    </p>
    <div class="mt-1.5 grid grid-cols-2 gap-1.5">
      <button class="chair-btn" :disabled="busy" @click="elsewhere">
        {{ isArm ? 'On the face' : 'On the arm' }}
      </button>
      <button class="chair-btn" :disabled="busy" @click="otherSide">The other side</button>
      <select v-model="from" class="chair-field" aria-label="Colour to change">
        <option value="">another colour…</option>
        <option v-for="p in colours" :key="p.id" :value="p.id">instead of {{ p.name }}</option>
      </select>
      <select class="chair-field" :disabled="!from" aria-label="The colour instead" @change="recolour">
        <option value="">take…</option>
        <option v-for="p in kit.singles" :key="p.id" :value="p.id">{{ p.name }}</option>
      </select>
      <template v-if="sheets.length">
        <select v-model="instead" class="chair-field" aria-label="Stencil to change">
          <option value="">another stencil…</option>
          <option v-for="s in sheets" :key="s.id" :value="s.id">instead of {{ s.name }}</option>
        </select>
        <select class="chair-field" :disabled="!instead" aria-label="The stencil instead" @change="restencil">
          <option value="">take…</option>
          <option v-for="s in drawer.list" :key="s.id" :value="s.id">{{ s.name }}</option>
        </select>
      </template>
      <button v-if="chair.worn" class="chair-btn col-span-2" :disabled="busy" @click="chair.wear(null)">
        <RotateCcw :size="20" />As it is on the menu
      </button>
    </div>
    <p v-if="problem" role="alert" class="mt-1 text-stop">{{ problem }}</p>
  </section>
</template>
