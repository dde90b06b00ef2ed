<template>
  <span
    class="rounded bg-rule px-1 text-xs font-normal text-ink"
    v-tip="'Nobody measured this: it rests on common practice'"
    >estimate</span
  >
</template>
