<script setup lang="ts">
import { otherSchools, WAY_KEYS, WAY_QUESTIONS, type ChosenWays, type WayKey } from '#core/look'

/** How the painter works, where painters disagree: for everything, or for the look on the bench alone. */
const emit = defineEmits<{ close: [] }>()
const ways = useWays()
const session = useSession()
const scope = ref<'all' | 'here'>('all')
const here = computed(() => scope.value === 'here')
const schoolsOf = (key: WayKey): [string, string][] => Object.entries(WAY_QUESTIONS[key].schools)
const own = (key: WayKey) => session.look?.ways?.[key]
const value = (key: WayKey): string => (here.value ? (own(key) ?? '') : ways.now[key])
function choose(key: WayKey, school: string): void {
  if (here.value) ways.chooseHere(key, (school || null) as ChosenWays[WayKey] | null)
  else void ways.choose({ [key]: school } as ChosenWays)
}
const houseValue = (key: WayKey): string => ways.house[key] ?? WAY_QUESTIONS[key].usual
const lidsFrom = (years: number) => void ways.choose({ lidsFrom: years })
</script>

<template>
  <PanelDialog open title="Your way of working" wide @close="emit('close')">
    <p class="max-w-prose leading-snug text-soft">
      Painters disagree on these, and none of them is wrong. What you choose changes what new steps begin
      with, what Check says and what the step list proposes; never what is already painted.
    </p>
    <SegmentedChoice
      v-if="session.look"
      v-model="scope"
      class="mt-3 max-w-96"
      label="For what"
      :options="[
        ['all', 'For everything'],
        ['here', 'For this look alone'],
      ]"
    />
    <dl class="mt-3 grid grid-cols-2 gap-x-6 gap-y-3">
      <div v-for="key in WAY_KEYS" :key="key">
        <dt class="font-semibold">{{ WAY_QUESTIONS[key].words }}</dt>
        <dd>
          <select
            class="field"
            :value="here ? value(key) : houseValue(key)"
            :aria-label="WAY_QUESTIONS[key].words"
            @change="choose(key, ($event.target as HTMLSelectElement).value)"
          >
            <option v-if="here" value="">
              as for everything: {{ schoolsOf(key).find(s => s[0] === houseValue(key))?.[1] }}
            </option>
            <option v-for="[school, words] in schoolsOf(key)" :key="school" :value="school">
              {{ words }}
            </option>
          </select>
          <NumberField
            v-if="key === 'lids' && !here"
            class="mt-1"
            :model-value="ways.now.lidsFrom"
            label="clear under"
            unit="years"
            :least="3"
            :most="16"
            @update:model-value="lidsFrom"
          />
          <p class="mt-0.5 text-[0.83rem] leading-snug text-soft">
            {{ otherSchools(key, ways.now[key] as never) }}
          </p>
        </dd>
      </div>
    </dl>
    <p class="mt-3 text-[0.87rem] text-soft">
      Local rules, the product's label, the insurer and licensed practice come before any of these.
    </p>
  </PanelDialog>
</template>
