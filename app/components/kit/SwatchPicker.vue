<script setup lang="ts">
import { Pipette } from '@lucide/vue'

/** Picks the two colours of a swatch card from a picture of it: the paint over white, then over black. */
const emit = defineEmits<{ pick: [part: 'overBlack' | 'overWhite', colour: string] }>()
const notices = useNotices()
const picture = useTemplateRef<HTMLCanvasElement>('picture')
const file = useTemplateRef<HTMLInputElement>('file')
const picking = ref<'overBlack' | 'overWhite' | null>(null)
const shown = ref(false)
/** Width at which the picture is shown, px. */
const WIDTH = 300
/** A swatch is never quite even: the mean of a square of so many pixels is taken. */
const SQUARE = 7

async function show(event: Event): Promise<void> {
  const chosen = (event.target as HTMLInputElement).files?.[0]
  if (!chosen) return
  try {
    const bitmap = await createImageBitmap(chosen)
    const k = Math.min(1, WIDTH / bitmap.width)
    const c = picture.value!
    c.width = Math.round(bitmap.width * k)
    c.height = Math.round(bitmap.height * k)
    c.getContext('2d', { willReadFrequently: true })!.drawImage(bitmap, 0, 0, c.width, c.height)
    shown.value = true
    picking.value = 'overWhite'
  } catch {
    notices.refuse('This is no picture that can be read: take a PNG or JPEG of the swatch card.')
  }
}
function pick(event: MouseEvent): void {
  if (!picking.value) return
  const c = picture.value!
  const box = c.getBoundingClientRect()
  const x = Math.round(((event.clientX - box.left) * c.width) / box.width)
  const y = Math.round(((event.clientY - box.top) * c.height) / box.height)
  const half = Math.floor(SQUARE / 2)
  const corner = [Math.max(0, x - half), Math.max(0, y - half)] as const
  const { data } = c.getContext('2d')!.getImageData(...corner, SQUARE, SQUARE)
  const sum = [0, 0, 0]
  for (let i = 0; i < data.length; i += 4) for (let k = 0; k < 3; k++) sum[k]! += data[i + k]! / SQUARE ** 2
  const hex = (v: number) => Math.round(v).toString(16).padStart(2, '0')
  emit('pick', picking.value, `#${sum.map(hex).join('')}`)
  picking.value = picking.value === 'overWhite' ? 'overBlack' : null
}
</script>

<template>
  <div>
    <div class="flex flex-wrap gap-1.5">
      <slot /><button type="button" class="btn text-[0.87rem]" @click="file?.click()">
        <Pipette :size="15" />Pick from a picture</button
      ><input
        ref="file"
        type="file"
        accept="image/*"
        class="hidden"
        aria-label="Picture of a swatch card"
        @change="show"
      />
    </div>
    <div v-show="shown" class="mt-2">
      <canvas ref="picture" class="max-w-full cursor-crosshair rounded-lg border border-rule" @click="pick" />
      <p class="text-[0.87rem] text-soft">
        {{
          picking === 'overWhite'
            ? 'Click the paint over white.'
            : picking === 'overBlack'
              ? 'Now click it over black.'
              : 'Both picked.'
        }}
        <button type="button" class="underline" @click="picking = 'overWhite'">again</button>
      </p>
    </div>
  </div>
</template>
