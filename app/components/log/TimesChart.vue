<script setup lang="ts">
import { BarChart } from 'echarts/charts'
import { GridComponent, LegendComponent, TooltipComponent } from 'echarts/components'
import { use } from 'echarts/core'
import { CanvasRenderer } from 'echarts/renderers'
import VChart from 'vue-echarts'

/** Planned against real minutes, a pair of bars for each name. */
const props = defineProps<{
  rows: readonly {
    readonly name: string
    readonly planned: number
    readonly took: number
    readonly count: number
  }[]
}>()
use([BarChart, GridComponent, LegendComponent, TooltipComponent, CanvasRenderer])
const colours = useChartColours()
const font = computed(() => ({
  fontFamily: 'Atkinson Hyperlegible Next Variable',
  fontSize: 13,
  color: colours.value.ink,
}))
const ROW_PX = 44
const height = computed(() => `${70 + ROW_PX * props.rows.length}px`)
/** So many ticks at most: the axis is marked at whole minutes. */
const MOST_TICKS = 6
const minutesApart = computed(() => {
  const longest = Math.max(...props.rows.flatMap(r => [r.planned, r.took]), 0)
  return Math.max(1, Math.ceil(longest / 60 / MOST_TICKS))
})
const option = computed(() => ({
  textStyle: font.value,
  animation: false,
  grid: { left: 8, right: 60, top: 30, bottom: 8, containLabel: true },
  legend: { top: 0, left: 0, itemHeight: 10, textStyle: font.value },
  tooltip: { trigger: 'axis', valueFormatter: (v: number) => clock(v) },
  xAxis: {
    type: 'value',
    interval: 60 * minutesApart.value,
    axisLabel: { formatter: (v: number) => `${Math.round(v / 60)} min`, ...font.value },
    splitLine: { lineStyle: { color: colours.value.rule } },
  },
  yAxis: {
    type: 'category',
    inverse: true,
    data: props.rows.map(r => `${r.name} (${r.count})`),
    axisLabel: { ...font.value, width: 170, overflow: 'truncate' },
    axisTick: { show: false },
  },
  series: [
    {
      name: 'planned',
      type: 'bar',
      barMaxWidth: 10,
      itemStyle: { color: '#B9AF9F' },
      data: props.rows.map(r => Math.round(r.planned)),
    },
    {
      name: 'as it was',
      type: 'bar',
      barMaxWidth: 10,
      itemStyle: { color: colours.value.accent },
      label: {
        show: true,
        position: 'right',
        formatter: (p: { value: number }) => clock(p.value),
        ...font.value,
      },
      data: props.rows.map(r => Math.round(r.took)),
    },
  ],
}))
</script>

<template>
  <div
    :style="{ height }"
    role="img"
    :aria-label="rows.map(r => `${r.name}: planned ${clock(r.planned)}, took ${clock(r.took)}`).join('; ')"
  >
    <VChart class="size-full!" :option="option" autoresize />
  </div>
</template>
