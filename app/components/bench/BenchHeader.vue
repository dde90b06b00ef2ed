<script setup lang="ts">
import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/vue'
import { format } from 'date-fns'
import {
  ChevronRight,
  CircleAlert,
  CircleCheck,
  CircleHelp,
  Download,
  Ellipsis,
  Frame,
  Layers2,
  ListOrdered,
  LoaderCircle,
  OctagonX,
  PersonStanding,
  Redo2,
  Undo2,
  Users,
} from '@lucide/vue'
import { withoutUnseen } from '#core/look'

const emit = defineEmits<{ help: []; canvas: []; findings: []; skins: []; versions: []; try: [] }>()
const session = useSession()
const { wide } = useBenchLayout()
/** Whether what a small screen has no room for is shown. */
const more = ref(false)
const scene = useScene()
const analysis = useAnalysis()
const exportButton = useTemplateRef<InstanceType<typeof MenuButton>>('exportButton')
const look = computed(() => session.look!)
/** How long it takes, drying included; of before the last change while that is being worked out. */
const times = computed(() => analysis.times)
const timeWords = computed(() =>
  times.value
    ? `${clock(times.value.hands)} of hands and ${clock(times.value.waiting)} of waiting for paint to dry, in this order: an estimate; and the limit that you set`
    : 'Being worked out',
)
const grave = computed(() => analysis.findings.filter(f => f.level === 'problem').length)
const care = computed(() => analysis.findings.filter(f => f.level === 'warning').length)
const tips = computed(() => analysis.findings.filter(f => f.level === 'tip').length)
/** Clear is said only when everything was checked. */
const verdict = computed(() => {
  const words = grave.value
    ? `${grave.value} ${grave.value === 1 ? 'problem' : 'problems'}`
    : care.value
      ? `${care.value} ${care.value === 1 ? 'warning' : 'warnings'}`
      : ''
  if (analysis.checking)
    return { icon: LoaderCircle, tone: 'text-soft', words: words ? `${words}?` : 'checking' }
  return grave.value
    ? { icon: OctagonX, tone: 'text-stop', words }
    : care.value
      ? { icon: CircleAlert, tone: 'text-care', words }
      : {
          icon: CircleCheck,
          tone: 'text-go',
          words: tips.value
            ? `no problems, ${tips.value} ${tips.value === 1 ? 'tip' : 'tips'}`
            : 'no problems',
        }
})
const rename = (event: Event) => {
  const box = event.target as HTMLInputElement
  const name = withoutUnseen(box.value).trim().slice(0, 80)
  if (name)
    session.edit('rename', d => {
      d.name = name
    })
  else box.value = look.value.name
}
const saver = computed(() => session.saver!)
const state = computed(() => saver.value.state.value)
const save = computed(
  () =>
    ({
      saved: {
        icon: CircleCheck,
        words: `saved ${format(new Date(saver.value.savedAt.value), 'HH:mm')}`,
        tone: 'text-go',
      },
      waiting: { icon: LoaderCircle, words: 'saving soon', tone: 'text-soft' },
      saving: { icon: LoaderCircle, words: 'saving', tone: 'text-soft' },
      failed: {
        icon: CircleAlert,
        words: saver.value.keeps.value
          ? 'not saved yet; kept on this device'
          : 'not saved: leave this page open',
        tone: 'text-stop',
      },
      conflict: { icon: CircleAlert, words: 'two versions', tone: 'text-care' },
    })[state.value],
)

const outs = [
  ['JSON', 'export.json', 'the look as a file'],
  ['SVG', 'export.svg', 'true size in mm'],
  ['PNG', 'picture.png?px=8', 'the painted face'],
] as const
const { exporting, fetchFile } = useExport()
/** The server exports what it has, so what waits is saved first. */
async function out(words: string, path: string): Promise<void> {
  await saver.value.flush()
  await fetchFile(words, `/api/looks/${look.value.id}/${path}`, `${look.value.name}.png`)
}
async function go(to: 'steps' | 'chair'): Promise<void> {
  await saver.value.flush()
  await navigateTo(`/looks/${look.value.id}/${to}`)
}
function budget(event: Event): void {
  const text = (event.target as HTMLInputElement).value.trim()
  const m = /^(\d{1,3})(?::([0-5]?\d))?$/.exec(text)
  if (text === '')
    session.edit('time', d => {
      d.budget = null
    })
  else if (m)
    session.edit('time', d => {
      d.budget = Math.min(7200, Math.max(10, Number(m[1]) * 60 + Number(m[2] ?? 0)))
    })
  ;(event.target as HTMLInputElement).value = look.value.budget === null ? '' : clock(look.value.budget)
}
</script>

<template>
  <header
    class="flex min-h-[52px] min-w-0 flex-wrap items-center min-[1100px]:flex-nowrap gap-x-2.5 gap-y-1 border-b border-rule bg-paper px-3 py-1"
  >
    <NuxtLink to="/" class="flex shrink-0 items-center gap-2 font-display text-lg font-bold text-mulberry"
      ><img src="/mark.svg" alt="" class="size-7" /><span class="max-sm:sr-only">Looks</span></NuxtLink
    >
    <ChevronRight :size="16" class="shrink-0 text-soft" />
    <input
      class="w-24 min-w-16 flex-1 rounded-md min-[1100px]:min-w-32 border border-transparent bg-transparent px-1.5 py-0.5 font-display text-lg font-semibold hover:border-rule focus:border-mulberry"
      v-kept="look.name"
      maxlength="80"
      aria-label="Name of the look"
      @change="rename"
    />
    <button
      class="flex min-w-6 shrink items-center gap-1 rounded-md px-1 text-sm hover:underline"
      :class="save.tone"
      v-tip="
        saver.problem.value ||
        (state === 'conflict' ? 'Choose between the two versions' : 'Earlier versions of this look')
      "
      @click="emit('versions')"
    >
      <component
        :is="save.icon"
        :size="15"
        class="shrink-0"
        :class="state === 'saving' && 'animate-spin'"
      /><span
        data-testid="save-state"
        :data-state="state"
        :class="state === 'saved' ? 'whitespace-nowrap max-[1260px]:sr-only' : 'truncate'"
        >{{ save.words }}</span
      >
    </button>
    <span class="flex shrink-0 items-center gap-1" v-tip="timeWords">
      <strong
        :class="[
          look.budget !== null && times && times.finish > look.budget && 'text-stop',
          analysis.checking && 'opacity-50',
        ]"
        data-testid="time"
        :data-old="analysis.checking"
        >{{ times ? clock(times.finish) : '…' }}</strong><span class="text-sm text-soft max-[1320px]:sr-only"
        >limit</span
      >
      <input
        class="field w-15! px-1! text-center"
        v-kept="look.budget === null ? '' : clock(look.budget)"
        placeholder="none"
        aria-label="Limit, minutes:seconds"
        @change="budget"
      /><EstimateMark />
    </span>
    <button
      class="btn shrink-0 px-2"
      :class="verdict.tone"
      v-tip="
        analysis.checking
          ? 'Being checked; what is told is of before the last change'
          : 'Check: all there is to say of this look'
      "
      data-testid="findings"
      :data-checking="analysis.checking"
      @click="emit('findings')"
    >
      <component :is="verdict.icon" :size="15" :class="analysis.checking && 'animate-spin'" />{{
        verdict.words
      }}
    </button>
    <span class="flex shrink-0">
      <button
        class="icon-btn"
        :disabled="!session.undoWords"
        v-tip="`Undo ${session.undoWords}`"
        aria-label="Undo"
        @click="session.undo()"
      >
        <Undo2 :size="18" />
      </button>
      <button
        class="icon-btn"
        :disabled="!session.redoWords"
        v-tip="`Redo ${session.redoWords}`"
        aria-label="Redo"
        @click="session.redo()"
      >
        <Redo2 :size="18" />
      </button>
    </span>
    <!-- On a small screen all of this is one row of its own, to be pushed sideways. -->
    <div
      v-show="wide || more"
      :class="
        wide ? 'contents' : 'order-last flex min-w-0 basis-full items-center gap-2 overflow-x-auto pb-1'
      "
      data-testid="more-row"
    >
      <button
        class="btn shrink-0"
        v-tip="'What it is painted on: another face, an arm, the board'"
        @click="emit('canvas')"
      >
        <Frame :size="15" />{{ scene.ground.words }}, {{ look.skin.age }} y
      </button>
      <SkinPanel />
      <button
        class="icon-btn"
        :aria-label="look.family ? `Try ${look.family.letter}` : 'Tries'"
        v-tip="
          look.family?.why
            ? `Try ${look.family.letter}: ${look.family.why}. Try another way`
            : 'Try another way, and keep this one'
        "
        @click="emit('try')"
      >
        <Layers2 :size="18" /><span v-if="look.family" class="font-semibold">{{ look.family.letter }}</span>
      </button>
      <button
        class="icon-btn"
        v-tip="'Try on other skins'"
        aria-label="Try on other skins"
        @click="emit('skins')"
      >
        <Users :size="18" />
      </button>
      <button class="icon-btn" v-tip="'Keys (?)'" aria-label="Keys" @click="emit('help')">
        <CircleHelp :size="18" />
      </button>
      <Menu as="div" class="relative shrink-0">
        <MenuButton ref="exportButton" class="btn"
          ><Download :size="15" /><span class="max-[1360px]:sr-only">Export</span></MenuButton
        >
        <MenuItems
          ><FloatingPanel :anchor="exportButton" class="w-56 p-1">
            <MenuItem v-for="[words, path, what] in outs" :key="words" v-slot="{ active }"
              ><button
                class="flex w-full items-baseline gap-2 rounded-lg px-3 py-1.5 text-left"
                :class="active && 'bg-mulberry-wash'"
                @click="out(words, path)"
              >
                <strong>{{ words }}</strong><span class="text-sm text-soft">{{ what }}</span>
              </button></MenuItem
            >
          </FloatingPanel></MenuItems
        >
      </Menu>
      <button class="btn shrink-0" v-tip="'Step list'" aria-label="Step list" @click="go('steps')">
        <ListOrdered :size="16" />
      </button>
    </div>
    <div
      v-if="exporting"
      class="fixed bottom-32 left-1/2 z-40 -translate-x-1/2 rounded-xl border border-rule bg-card px-4 py-2 shadow-lg"
    >
      <WaitBar :words="exporting.words" @stop="exporting.stop" />
    </div>
    <button
      v-if="!wide"
      class="icon-btn"
      :aria-expanded="more"
      aria-label="More of this look"
      v-tip="'More of this look'"
      @click="more = !more"
    >
      <Ellipsis :size="18" />
    </button>
    <button class="btn-main shrink-0" @click="go('chair')">
      <PersonStanding :size="16" /><span class="max-[1160px]:sr-only">Chair</span>
    </button>
  </header>
</template>
