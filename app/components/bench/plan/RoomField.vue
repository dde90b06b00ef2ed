<script setup lang="ts">
import { Thermometer } from '@lucide/vue'
import { roomProblem, type Room } from '#core/order'

/** The room in which people are painted: typed, or read from the room's sensor (a simulated one ships with this). */
const settings = useSettings()
const kit = useKit()
const failed = ref('')
onMounted(() => settings.readRoom())
const reading = ref(false)
const AIRS = [
  ['still', 'still air'],
  ['fan', 'a fan or a draught'],
  ['sun', 'sun on the skin'],
] as const
function put(change: Partial<Room>): boolean {
  const next = { ...settings.room, ...change }
  failed.value = roomProblem(next) ?? ''
  if (!failed.value) void settings.setRoom(next)
  return !failed.value
}
async function sense(): Promise<void> {
  reading.value = true
  try {
    const { temperature, humidity } = await $fetch<Pick<Room, 'temperature' | 'humidity'>>('/api/room')
    put({ temperature, humidity })
  } catch (error) {
    failed.value = sentencesOf(error).join(' ')
  }
  reading.value = false
}
const words = computed(() => {
  const by = kit.readings.driesBy ?? 1
  return Math.abs(by - 1) < 0.03
    ? 'dries as usual'
    : by > 1
      ? `dries ${by.toFixed(1)} times as slowly`
      : `dries in ${Math.round(100 * by)} % of the time`
})
</script>

<template>
  <div class="flex flex-wrap items-end gap-2 text-[0.87rem]" role="group" aria-label="The room">
    <label
      ><span class="block text-[0.8rem] text-soft">room, °C</span
      ><NumberInput
        :model-value="settings.room.temperature"
        class="w-20!"
        :min="0"
        :max="45"
        :step="0.5"
        label="Temperature of the room, °C"
        @update:model-value="temperature => put({ temperature: temperature! })" /></label
    ><label
      ><span class="block text-[0.8rem] text-soft">humidity, %</span
      ><NumberInput
        :model-value="Math.round(100 * settings.room.humidity)"
        class="w-20!"
        :min="0"
        :max="100"
        label="Humidity of the room, %"
        @update:model-value="v => put({ humidity: v! / 100 })" /></label
    ><select
      class="field w-40!"
      :value="settings.room.air"
      aria-label="Air in the room"
      @change="put({ air: ($event.target as HTMLSelectElement).value as Room['air'] })"
    >
      <option v-for="[air, text] in AIRS" :key="air" :value="air">{{ text }}</option>
    </select>
    <button
      class="btn px-2"
      :disabled="reading"
      v-tip="'A simulated sensor ships with Janusform'"
      @click="sense"
    >
      <Thermometer :size="15" />Read the sensor
    </button>
    <span class="pb-1.5 text-soft">{{ words }} <EstimateMark /></span>
    <p v-if="failed" role="alert" class="w-full text-stop">{{ failed }}</p>
  </div>
</template>
