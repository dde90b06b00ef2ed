<template>
  <div
    class="space-y-2 rounded-lg border border-dashed border-rule p-3 text-center text-[0.87rem] text-soft"
    data-testid="no-paints"
  >
    <p>The kit has no paint yet. Begin with usual colours (estimates), or enter your own.</p>
    <p class="flex flex-col items-center gap-1.5">
      <StarterPaints /><NuxtLink to="/kit" class="btn">To the kit</NuxtLink>
    </p>
  </div>
</template>
