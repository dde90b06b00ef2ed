<script setup lang="ts">
import { format } from 'date-fns'
import type { LookRecord } from '~~/server/db/looks'

const props = defineProps<{ theirs: LookRecord }>()
const emit = defineEmits<{ close: [] }>()
const session = useSession()
const conflict = useConflict()
const steps = (n: number) => `${n} ${n === 1 ? 'step' : 'steps'}`
</script>

<template>
  <PanelDialog open title="This look was saved from somewhere else" @close="emit('close')">
    <p>
      While you worked here, another page saved a newer version. Nothing is lost: choose which one this look
      goes on with, now or later. Until then your changes are kept on this device.
    </p>
    <div class="mt-4 grid grid-cols-2 gap-3">
      <div class="rounded-xl border border-rule bg-card p-3">
        <h3 class="font-semibold">Yours, on this page</h3>
        <p class="text-soft">{{ session.look!.name }}, {{ steps(session.look!.steps.length) }}</p>
        <button class="btn-main mt-3 w-full" @click="conflict.settle('mine')">Keep mine</button>
        <p class="mt-1 text-sm text-soft">
          The other stays among the earlier versions; press the time of the last save to see them.
        </p>
      </div>
      <div class="rounded-xl border border-rule bg-card p-3">
        <h3 class="font-semibold">
          The other, saved {{ format(new Date(props.theirs.savedAt), 'HH:mm:ss') }}
        </h3>
        <p class="text-soft">{{ props.theirs.look.name }}, {{ steps(props.theirs.look.steps.length) }}</p>
        <button class="btn mt-3 w-full" @click="conflict.settle('theirs')">Keep the other</button>
        <p class="mt-1 text-sm text-soft">Yours becomes a look of its own in the gallery.</p>
      </div>
    </div>
  </PanelDialog>
</template>
