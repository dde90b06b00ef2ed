<script setup lang="ts">
import {
  ContextMenuContent,
  ContextMenuItem,
  ContextMenuPortal,
  ContextMenuRoot,
  ContextMenuTrigger,
} from 'reka-ui'
import type { Doing } from '~/composables/useCommands'

/**
 * What a right press on something of the bench offers: commands of the list, by id. Where there are
 * none, nothing opens.
 */
const props = defineProps<{ commands: readonly string[]; others?: readonly Doing[] }>()
const all = useCommands()
const items = computed(() => [
  ...(props.others ?? []),
  ...props.commands.flatMap(id => all.value.find(c => c.id === id) ?? []),
])
/** A finger that rests picks a spot on the face and drags in the strip: it opens no menu. */
const NEVER_MS = 1e8
</script>

<template>
  <ContextMenuRoot :press-open-delay="NEVER_MS" :modal="false">
    <ContextMenuTrigger as-child><slot /></ContextMenuTrigger>
    <ContextMenuPortal>
      <ContextMenuContent
        v-if="items.length"
        class="z-50 min-w-52 rounded-xl border border-rule bg-card p-1 shadow-xl"
        :collision-padding="8"
      >
        <ContextMenuItem
          v-for="c in items"
          :key="c.id"
          class="flex min-h-8 cursor-pointer items-center gap-6 rounded-lg px-3 py-1 outline-none data-[highlighted]:bg-mulberry-wash data-[highlighted]:text-mulberry"
          @select="c.run()"
        >
          <span class="flex-1">{{ c.words }}</span><kbd v-if="c.keys" class="font-sans text-sm text-soft">{{
            c.keys
          }}</kbd>
        </ContextMenuItem>
      </ContextMenuContent>
    </ContextMenuPortal>
  </ContextMenuRoot>
</template>
