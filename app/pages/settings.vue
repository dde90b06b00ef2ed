<script setup lang="ts">
import { Compass } from '@lucide/vue'
import { CURRENCIES } from '~/stores/settings'

useHead({ title: 'Settings, Janusform' })
const settings = useSettings()
const ways = useWays()
const { dark, toggle } = useTheme()
const choosing = ref(false)
const failed = ref<string[]>([])
onMounted(async () => {
  try {
    await ways.load()
  } catch (error) {
    failed.value = sentencesOf(error)
  }
})
const ownLetters = computed(() => Object.keys(settings.ownKeys).length)
const darkTheme = computed({ get: () => dark.value, set: toggle })
</script>

<template>
  <main class="mx-auto max-w-[1280px] px-3 pb-16 sm:px-6 min-[1800px]:max-w-[1800px]">
    <header class="flex flex-wrap items-center gap-3 py-5">
      <h1 class="sr-only">Settings</h1>
      <AppNav class="mr-auto" />
    </header>
    <p v-for="s in failed" :key="s" role="alert" class="mb-3 text-stop">{{ s }}</p>
    <div class="grid gap-4 md:grid-cols-2">
      <section class="panel">
        <h2 class="panel-head">What you see</h2>
        <SwitchField v-model="darkTheme" label="Dark theme, for the tent at night" />
        <SwitchField v-model="settings.inches" label="Inches instead of mm" />
        <label class="flex items-center justify-between gap-2"
          >Currency<select v-model="settings.currency" class="field w-24!">
            <option v-for="c in CURRENCIES" :key="c">{{ c }}</option>
          </select></label
        >
        <SwitchField v-model="settings.guides" label="Midline, landmarks and focal point on the face" />
        <SwitchField v-model="settings.ruler" label="Ruler along the face's edges" />
      </section>
      <section class="panel">
        <h2 class="panel-head">How you work</h2>
        <p class="text-soft">Sponge or dauber, thin dabs or one good load, outlines or none.</p>
        <button class="btn self-start" @click="choosing = true">Your way of working</button>
        <SwitchField v-model="settings.twinNew" label="New strokes off the midline get a twin" />
        <SwitchField v-model="settings.snap" label="Stencils go to brow, cheekbone and other rims" />
        <FingerField />
      </section>
      <section class="panel">
        <h2 class="panel-head">Keys</h2>
        <SwitchField v-model="settings.letterKeys" label="Single letters do something on the bench" />
        <p class="text-soft">
          {{
            ownLetters
              ? `${ownLetters} ${ownLetters === 1 ? 'letter of your own is' : 'letters of your own are'} set.`
              : 'The usual letters are set; the list of keys on the bench (?) gives others.'
          }}
        </p>
        <button v-if="ownLetters" class="btn self-start" @click="settings.ownKeys = {}">
          The usual letters again
        </button>
        <button class="btn self-start" @click="openTour"><Compass :size="16" />Take the tour</button>
      </section>
      <section class="panel">
        <h2 class="panel-head">The room</h2>
        <p class="text-soft">
          How warm, damp and draughty it is where people are painted: how fast paint dries.
        </p>
        <RoomField />
      </section>
    </div>
    <p class="mt-4 text-sm text-soft">
      The room and your way of working hold for the house; the rest for this device.
    </p>
    <WaysDialog v-if="choosing" @close="choosing = false" />
  </main>
</template>

<style scoped>
.panel {
  display: flex;
  flex-direction: column;
  gap: 0.6rem;
  border: 1px solid var(--color-rule);
  border-radius: 1rem;
  background: var(--color-card);
  padding: 1rem;
}
.panel-head {
  font-size: 1.2rem;
  font-weight: 600;
}
</style>
