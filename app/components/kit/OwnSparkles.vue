<script setup lang="ts">
import { Plus, Trash2 } from '@lucide/vue'
import {
  GEM_CUTS,
  GEM_SIZE,
  GLITTER_SORTS,
  GLITTERS,
  type OwnGem,
  type OwnGlitter,
  type SparkFinish,
  type Sparkles,
} from '#core/look'

/** The painter's own glitters or gems: what they look like, and a form for one more. */
const props = defineProps<{ of: keyof Sparkles }>()
const sparkles = useSparkles()
const failed = ref('')
const blank = () => ({
  name: '',
  colour: '#c8d6e5',
  finish: '' as SparkFinish | '',
  sort: 'chunky' as OwnGlitter['sort'],
  flake: 0.6,
  cut: 'round' as OwnGem['cut'],
  size: 6,
})
const fresh = ref(blank())
const list = computed(() => sparkles.all[props.of])
async function keep(next: Sparkles): Promise<boolean> {
  failed.value = ''
  try {
    await sparkles.keep(next)
    return true
  } catch (error) {
    failed.value = sentencesOf(error).join(' ')
    return false
  }
}
async function add(): Promise<void> {
  const { name, colour, finish, sort, flake, cut, size } = fresh.value
  const called = name.trim()
  if (!called) return
  const taken = [...sparkles.all.glitters, ...sparkles.all.gems].some(s => s.name === called)
  if (taken) return void (failed.value = `There is one called ${called} already.`)
  const look = { name: called, colour, ...(finish && { finish }) }
  const { glitters, gems } = sparkles.all
  const next =
    props.of === 'glitters'
      ? { gems, glitters: [...glitters, { ...look, sort, flake }] }
      : { glitters, gems: [...gems, { ...look, cut, size }] }
  if (await keep(next)) fresh.value = blank()
}
const remove = (n: number) =>
  keep({ ...sparkles.all, [props.of]: list.value.filter((_, i) => i !== n) } as Sparkles)
const wordsOf = (s: OwnGlitter | OwnGem): string =>
  [
    s.finish,
    'sort' in s
      ? `${GLITTERS[s.sort].words}, ${s.flake ?? GLITTERS[s.sort].size} mm flakes`
      : `${s.size} mm ${s.cut}`,
  ]
    .filter(Boolean)
    .join(', ')
</script>

<template>
  <div class="mt-2 space-y-1.5 border-t border-rule pt-2">
    <h3 class="eyebrow">Your own</h3>
    <ul class="space-y-1">
      <li v-for="(s, n) in list" :key="s.name" class="flex items-center gap-1.5 text-[0.9rem]">
        <span class="size-4 shrink-0 rounded-full border border-ink/20" :style="{ background: s.colour }" />
        <span class="min-w-0 flex-1 leading-tight"
          ><strong>{{ s.name }}</strong> <span class="text-soft">{{ wordsOf(s) }}</span></span
        ><button class="icon-btn" :aria-label="`Delete ${s.name}`" @click="remove(n)">
          <Trash2 :size="14" />
        </button>
      </li>
    </ul>
    <p v-if="failed" role="alert" class="text-stop">{{ failed }}</p>
    <form class="space-y-1.5 text-[0.87rem]" :aria-label="`One more of ${of}`" @submit.prevent="add">
      <div class="flex gap-1.5">
        <input
          v-model="fresh.colour"
          type="color"
          class="h-8 w-10 shrink-0 rounded-md border border-rule bg-white"
          aria-label="Colour"
        /><input
          v-model="fresh.name"
          class="field min-w-0 flex-1"
          maxlength="40"
          placeholder="name"
          aria-label="Name"
        />
      </div>
      <div class="grid grid-cols-2 gap-1.5">
        <label
          >finish<select v-model="fresh.finish" class="field" aria-label="Finish">
            <option value="">{{ of === 'gems' ? 'faceted' : 'plain' }}</option>
            <option value="iridescent">iridescent</option>
            <option value="pearl">pearl</option>
          </select></label
        ><template v-if="of === 'glitters'"
          ><label
            >sort<select v-model="fresh.sort" class="field" aria-label="Sort">
              <option v-for="sort in GLITTER_SORTS" :key="sort" :value="sort">
                {{ GLITTERS[sort].words }}
              </option>
            </select></label
          ><label
            >flakes, mm<NumberInput
              live
              v-model="fresh.flake"
              :min="0.08"
              :max="4"
              :step="0.01"
              label="Size of a flake, mm"
          /></label>
        </template>
        <template v-else
          ><label
            >cut<select v-model="fresh.cut" class="field" aria-label="Cut">
              <option v-for="cut in GEM_CUTS" :key="cut" :value="cut">{{ cut }}</option>
            </select></label
          ><label
            >size, mm<NumberInput
              live
              v-model="fresh.size"
              :min="GEM_SIZE[0]"
              :max="GEM_SIZE[1]"
              :step="0.5"
              label="Size, mm"
          /></label>
        </template>
        <button class="btn self-end" :disabled="!fresh.name.trim()"><Plus :size="14" />Add</button>
      </div>
    </form>
  </div>
</template>
