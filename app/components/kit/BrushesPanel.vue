<script setup lang="ts">
import { GEM_COLOURS, GEM_CUTS, GLITTER_COLOURS, GLITTER_SORTS, GLITTERS } from '#core/look'
import { BRUSH_IDS, BRUSHES, brushFilm } from '#core/paint'

/** Brushes with what pressure and a load give, and what sparkles. */
const settings = useSettings()
const widest = Math.max(...BRUSH_IDS.map(b => BRUSHES[b].most))
const bar = (mm: number) => `${(100 * mm) / widest}%`
</script>

<template>
  <div class="grid grid-cols-[minmax(0,1fr)] lg:grid-cols-[minmax(0,1fr)_340px] gap-6">
    <section>
      <h2 class="mb-2 font-display text-lg font-semibold">
        Brushes <span class="rounded bg-rule px-1 align-middle text-xs font-normal">estimates</span>
      </h2>
      <table class="w-full text-left text-[0.95rem]">
        <thead class="text-[0.87rem] text-soft">
          <tr>
            <th class="py-1 font-semibold">Brush</th>
            <th class="font-semibold">Line, lightest to hardest</th>
            <th class="w-1/3"><span class="sr-only">Drawn</span></th>
            <th class="font-semibold">A load gives</th>
            <th class="font-semibold">Film</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="b in BRUSH_IDS" :key="b" class="border-t border-rule" :data-brush="b">
            <td class="py-1.5 font-semibold">{{ BRUSHES[b].name }}</td>
            <td>{{ settings.length(BRUSHES[b].least, 1) }} to {{ settings.length(BRUSHES[b].most, 1) }}</td>
            <td class="pr-4">
              <span class="block h-2.5 rounded-full bg-rule"
                ><span class="block h-full rounded-full bg-mulberry" :style="{ width: bar(BRUSHES[b].most) }"
              /></span>
            </td>
            <td>{{ settings.length(BRUSHES[b].line) }} of line</td>
            <td>{{ brushFilm(b).toFixed(1) }} mg/cm²</td>
          </tr>
        </tbody>
      </table>
      <p class="mt-3 text-[0.93rem] text-soft">
        Rounds and the dagger draw from their tip: pressure makes the line. Flats, angled flats and the
        filbert take a split cake, or light and dark on their two edges; the dark edge stays outward when the
        brush is turned over for the twin.
      </p>
    </section>
    <aside class="space-y-4">
      <section class="rounded-2xl border border-rule bg-card p-3">
        <h2 class="mb-1.5 font-display text-lg font-semibold">Glitter</h2>
        <ul class="space-y-1">
          <li v-for="sort in GLITTER_SORTS" :key="sort" class="flex justify-between gap-2">
            <span class="first-letter:uppercase">{{ GLITTERS[sort].words }}</span><span class="text-soft"
              >{{ GLITTERS[sort].size }} mm flakes</span
            >
          </li>
        </ul>
        <div class="mt-2 flex flex-wrap gap-1.5">
          <span v-for="c in GLITTER_COLOURS" :key="c.name" class="flex items-center gap-1 text-[0.87rem]"
            ><span class="size-3.5 rounded-full border border-ink/20" :style="{ background: c.colour }" />{{
              c.name
            }}</span
          >
        </div>
        <OwnSparkles of="glitters" />
      </section>
      <section class="rounded-2xl border border-rule bg-card p-3">
        <h2 class="mb-1.5 font-display text-lg font-semibold">Gems</h2>
        <p class="mb-1.5 text-soft">{{ GEM_CUTS.join(', ') }}; self-adhesive or with skin-safe glue</p>
        <div class="flex flex-wrap gap-1.5">
          <span v-for="c in GEM_COLOURS" :key="c.name" class="flex items-center gap-1 text-[0.87rem]"
            ><span class="size-3.5 rounded-full border border-ink/20" :style="{ background: c.colour }" />{{
              c.name
            }}</span
          >
        </div>
        <OwnSparkles of="gems" />
      </section>
      <p class="text-[0.87rem] leading-snug text-soft">
        Cosmetic grade only: craft glitter and craft gems cut. Chunky glitter and adhesive keep away from eyes
        and lips; none within reach of very small children. Local rules and the product's label come first.
      </p>
    </aside>
  </div>
</template>
