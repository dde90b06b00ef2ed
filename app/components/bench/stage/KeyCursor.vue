<script setup lang="ts">
import type { Point } from '#core/geometry'

/** The cursor that keys move over the skin; doubled while it holds something. */
defineProps<{ at: Point; holding: boolean }>()
</script>

<template>
  <span
    class="key-cursor"
    :class="holding && 'holding'"
    :style="{ left: `${at[0]}px`, top: `${at[1]}px` }"
    data-testid="key-cursor"
    :data-holding="holding"
  />
</template>

<style scoped>
.key-cursor {
  position: absolute;
  width: 26px;
  height: 26px;
  margin: -13px 0 0 -13px;
  pointer-events: none;
  border: 2px solid #7a2e5d;
  border-radius: 50%;
  /* A light rim inside and outside: it shows on every paint. */
  box-shadow:
    0 0 0 2px #fff,
    inset 0 0 0 2px #fff;
}
.key-cursor::before,
.key-cursor::after {
  content: '';
  position: absolute;
  left: 50%;
  top: 50%;
  width: 10px;
  height: 2px;
  transform: translate(-50%, -50%);
  background: #7a2e5d;
  outline: 1px solid #fff;
}
.key-cursor::after {
  transform: translate(-50%, -50%) rotate(90deg);
}
.key-cursor.holding {
  border-style: double;
  border-width: 5px;
}
</style>
