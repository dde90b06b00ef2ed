<script setup lang="ts">
import { ArrowLeft, Camera, CircleAlert } from '@lucide/vue'

useHead({ title: 'A stencil from a photograph, Janusform' })
const r = useReading()
const cards = useCards()
const drawer = useDrawer()
const steps = ['Picture and size', 'Openings', 'By hand', 'Into the drawer'] as const

const trying = ref(false)
/** A photograph that ships with the application, on a printed calibration card. */
async function sample(): Promise<void> {
  trying.value = true
  try {
    const blob = await (await fetch('/sample-photograph.jpg')).blob()
    await r.takeFile(new File([blob], 'Half Tiger, sample.jpg', { type: 'image/jpeg' }))
  } catch (error) {
    r.problem = sentencesOf(error).join(' ')
  }
  trying.value = false
}
async function done(ids: string[]): Promise<void> {
  await drawer.load().catch(() => {})
  r.clear()
  await navigateTo(ids.length === 1 ? `/drawer/${ids[0]}` : '/drawer')
}
onMounted(() => void drawer.load().catch(() => {}))
</script>

<template>
  <main
    class="mx-auto flex min-h-dvh max-w-[1440px] flex-col px-3 sm:px-6 lg:h-dvh pb-4"
    @dragover.prevent
    @drop.prevent="r.take($event.dataTransfer?.files)"
  >
    <header class="flex flex-wrap items-center gap-3 py-3">
      <NuxtLink to="/drawer" class="btn"><ArrowLeft :size="16" />Drawer</NuxtLink>
      <h1 class="font-display text-2xl font-bold">A stencil from a photograph</h1>
      <ol class="ml-auto flex gap-1 text-sm" aria-label="Steps">
        <li
          v-for="(words, i) in steps"
          :key="words"
          class="rounded-full px-3 py-1"
          :class="
            i === r.step ? 'bg-mulberry font-semibold text-on' : i < r.step ? 'text-mulberry' : 'text-soft'
          "
          :aria-current="i === r.step ? 'step' : undefined"
        >
          {{ i + 1 }}. {{ words }}
        </li>
      </ol>
    </header>
    <p
      v-if="r.problem"
      role="alert"
      class="mb-2 flex items-start gap-2 rounded-xl border border-stop bg-card p-3 text-stop"
    >
      <CircleAlert :size="18" class="mt-0.5 shrink-0" />{{ r.problem }}
    </p>
    <WaitBar
      v-if="r.waiting"
      class="mb-2"
      :words="`${r.waiting.words}…`"
      :done="r.waiting.done"
      @stop="r.stop()"
    />

    <label
      v-if="!r.opened"
      class="grid flex-1 cursor-pointer place-content-center justify-items-center gap-2 rounded-2xl border-2 border-dashed border-rule text-center hover:border-mulberry"
    >
      <Camera :size="30" class="text-mulberry" />
      <strong class="font-display text-xl">Choose a photograph or a scan, or drop it here</strong>
      <span class="max-w-xl text-soft"
        >JPEG, PNG or WebP. A dark stencil on white paper, a clear or light one on black; flat, in even light,
        with some ground all round. Nothing is kept until you add it, and nothing leaves this house.</span
      >
      <input
        type="file"
        accept="image/jpeg,image/png,image/webp"
        class="sr-only"
        aria-label="Picture of a stencil"
        @change="
          (r.take(($event.target as HTMLInputElement).files),
          (($event.target as HTMLInputElement).value = ''))
        "
      />
      <span class="mt-2 flex gap-2">
        <button class="btn" @click.prevent="cards.calibration()">Print the calibration card</button>
        <button class="btn" :disabled="trying" @click.prevent="sample()">Try it with a sample</button>
      </span>
    </label>

    <PictureStep v-else-if="r.step === 0" />
    <OpeningsStep v-else-if="r.step === 1 && r.flat" />
    <HandStep v-else-if="r.step === 2 && r.current" />
    <div v-else-if="r.step === 3" class="min-h-0 flex-1 overflow-y-auto">
      <IntoDrawer :drafts="r.edited" :name="r.name" :keepsake="r.keepsake" @done="done" />
      <button class="btn mt-3" @click="r.step = 2"><ArrowLeft :size="16" />Back</button>
    </div>
  </main>
</template>
