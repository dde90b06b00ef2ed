<script setup lang="ts">
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/vue'
import {
  ArrowDownToLine,
  LogOut,
  Moon,
  Pause,
  RotateCcw,
  SkipForward,
  Sun,
  Trash2,
  Users,
  X,
} from '@lucide/vue'
import type { Length } from '#core/chair'

/** What else can be done with the step in hand, and with the rest of the look. */
defineProps<{ dark: boolean }>()
const emit = defineEmits<{ close: []; dark: []; leave: []; giveUp: [] }>()
const chair = useChair()
const painter = usePainter()
const notice = ref('')
const busy = ref('')
const surely = ref(false)
function deed(what: 'skip' | 'again' | 'pause'): void {
  chair.act(what)
  emit('close')
}
function later(): void {
  if (chair.later()) emit('close')
  else notice.value = 'Nothing that is left can go before it.'
}
/** Time for all of it with a queue, when nobody said: a share of the whole (common practice). */
const SHARES = { 'three waiting': 0.72, 'ten waiting': 0.5 } as const
const whole = computed(() => chair.screens.reduce((sum, s) => sum + s.planned, 0))
const budgetFor = (length: keyof typeof SHARES): number => {
  const kept = length === 'three waiting' ? chair.look!.queue?.three : chair.look!.queue?.ten
  return kept ?? SHARES[length] * whole.value
}
const lengths = ['three waiting', 'ten waiting'] as const
const leaves = (without: readonly string[]) =>
  without.map(id => `"${chair.screens.find(s => s.id === id)?.label}"`).join(', ')
/** More people came: what is left is made shorter, and put in the shortest order. */
async function shorten(length: Length & keyof typeof SHARES): Promise<void> {
  busy.value = length
  const left = budgetFor(length) - (chair.live.now - chair.live.paused)
  // What is behind, and what was left out before, does not come back.
  const behind = chair.look!.steps.map(s => s.id).filter(id => !chair.progress.left.includes(id))
  try {
    const told = await painter.shortened(chair.look!, [Math.max(1, left)], 0, behind)
    const found = told.within[0]
    const order = (found?.timeline ?? told.least?.planned)?.order
    if (!order) notice.value = 'No order of what is left was found; nothing is changed.'
    else {
      const without = chair.progress.left.filter(id => !order.includes(id))
      chair.act('shorten', { order, length })
      notice.value = found
        ? without.length
          ? `Left out: ${leaves(without)}.`
          : 'Nothing has to go: what is left fits.'
        : `Not even what must be done fits: ${clock(told.least?.planned.finish ?? 0)} more. ${without.length ? `Left out: ${leaves(without)}.` : ''}`
    }
  } catch (error) {
    if (!(error instanceof GivenUp)) notice.value = sentencesOf(error).join(' ')
  }
  busy.value = ''
}
</script>

<template>
  <Dialog open class="relative z-50" @close="emit('close')">
    <div class="fixed inset-0 bg-black/50" aria-hidden="true" />
    <div class="fixed inset-x-0 bottom-0 flex max-h-full flex-col justify-end">
      <DialogPanel
        class="chair mx-auto w-full max-w-2xl overflow-y-auto rounded-t-3xl border-t border-rule bg-paper p-4 pb-6 text-ink"
      >
        <div class="mb-3 flex items-center justify-between">
          <DialogTitle class="font-display text-xl font-bold">{{ chair.now?.label ?? 'More' }}</DialogTitle>
          <button class="chair-btn size-12" aria-label="Close" @click="emit('close')">
            <X :size="24" />
          </button>
        </div>
        <p v-if="notice" role="status" class="mb-3 rounded-xl border-2 border-care bg-card p-3">
          {{ notice }}
        </p>
        <div class="grid grid-cols-2 gap-2">
          <button class="chair-btn" @click="deed('skip')"><SkipForward :size="22" />Skip it</button>
          <button class="chair-btn" @click="later"><ArrowDownToLine :size="22" />Do it later</button>
          <button class="chair-btn col-span-2" @click="deed('again')">
            <RotateCcw :size="22" />They moved: start it again
          </button>
          <button v-for="l in lengths" :key="l" class="chair-btn" :disabled="busy !== ''" @click="shorten(l)">
            <Users :size="22" />{{ busy === l ? 'working it out…' : l }}
          </button>
          <button class="chair-btn" @click="deed('pause')"><Pause :size="22" />Pause</button>
          <button class="chair-btn" @click="emit('dark')">
            <component :is="dark ? Sun : Moon" :size="22" />{{ dark ? 'Light' : 'Dark' }}
          </button>
          <button class="chair-btn" v-tip="'It goes on when you come back'" @click="emit('leave')">
            <LogOut :size="22" />Leave, go on later
          </button>
          <button class="chair-btn text-stop" @click="surely ? emit('giveUp') : (surely = true)">
            <Trash2 :size="22" />{{ surely ? 'Surely? Press again' : 'Give up, keep nothing' }}
          </button>
        </div>
      </DialogPanel>
    </div>
  </Dialog>
</template>
