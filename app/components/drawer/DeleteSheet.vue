<script setup lang="ts">
import { Trash2 } from '@lucide/vue'
import { toast } from 'vue-sonner'
import { titleAmong } from '#core/look'
import type { LookCardData } from '~~/server/utils/cards'

/** Takes a stencil out of the drawer, after telling which looks use it. */
const props = defineProps<{ id: string; name: string; usedIn: readonly LookCardData[] }>()
const drawer = useDrawer()
const asking = ref(false)

async function takeOut(): Promise<void> {
  asking.value = false
  try {
    await drawer.takeOut(props.id)
    await navigateTo('/drawer')
    tellUndoable(`${props.name} deleted`, () => drawer.bringBack(props.id))
  } catch (error) {
    toast.error(sentencesOf(error).join(' '), { duration: 9000 })
  }
}
</script>

<template>
  <button class="btn text-stop" @click="asking = true"><Trash2 :size="16" />Delete</button>
  <PanelDialog :open="asking" :title="`Delete ${name}?`" @close="asking = false">
    <p v-if="usedIn.length" data-testid="used-by">
      {{ usedIn.length === 1 ? 'A look uses' : `${usedIn.length} looks use` }} it:
      {{
        usedIn
          .slice(0, 6)
          .map(l => titleAmong(l, usedIn))
          .join(', ')
      }}{{ usedIn.length > 6 ? ' and others' : '' }}. They keep it; it is only not offered any more.
    </p>
    <p v-else>No look uses it.</p>
    <p class="text-soft">It can be brought back under Kept safe, on the page of looks.</p>
    <div class="mt-3 flex gap-2">
      <button class="btn-main" @click="takeOut">Delete</button
      ><button class="btn" @click="asking = false">Keep it</button>
    </div>
  </PanelDialog>
</template>
