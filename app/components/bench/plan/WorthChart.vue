<script setup lang="ts">
import { LineChart } from 'echarts/charts'
import { GridComponent, MarkLineComponent, TooltipComponent } from 'echarts/components'
import { use } from 'echarts/core'
import { CanvasRenderer } from 'echarts/renderers'
import VChart from 'vue-echarts'

/** Worth of what is left against the time that it takes, with the lengths of the queue. */
const props = defineProps<{
  points: readonly { seconds: number; worth: number }[]
  marks: readonly { words: string; seconds: number }[]
}>()
use([LineChart, GridComponent, MarkLineComponent, TooltipComponent, CanvasRenderer])
const colours = useChartColours()
const FONT = '"Atkinson Hyperlegible Next Variable", sans-serif'
const option = computed(() => {
  const list = [...props.points].sort((a, b) => a.seconds - b.seconds)
  const all = [...list.map(p => p.seconds), ...props.marks.map(m => m.seconds)]
  return {
    animation: false,
    textStyle: { fontFamily: FONT, color: colours.value.soft },
    grid: { left: 44, right: 18, top: 30, bottom: 36 },
    tooltip: {
      trigger: 'axis',
      formatter: (at: { value: [number, number] }[]) =>
        at[0] ? `${clock(at[0].value[0])} min: worth ${at[0].value[1]}` : '',
    },
    xAxis: {
      type: 'value',
      name: 'minutes',
      nameLocation: 'middle',
      nameGap: 24,
      min: Math.floor(Math.min(...all) / 10) * 10 - 10,
      max: Math.ceil(Math.max(...all) / 10) * 10 + 10,
      axisLabel: { formatter: (v: number) => clock(v) },
      splitLine: { show: false },
    },
    yAxis: {
      type: 'value',
      name: 'worth',
      minInterval: 1,
      splitLine: { lineStyle: { color: colours.value.rule } },
    },
    series: [
      {
        type: 'line',
        step: 'end',
        data: list.map(p => [Math.round(p.seconds), p.worth]),
        symbolSize: 7,
        lineStyle: { color: colours.value.accent, width: 2 },
        itemStyle: { color: colours.value.accent },
        markLine: {
          symbol: 'none',
          lineStyle: { color: colours.value.soft, type: 'dashed' },
          label: { formatter: '{b}', fontSize: 11, color: colours.value.soft, fontFamily: FONT },
          data: props.marks.map(m => ({ name: m.words, xAxis: Math.round(m.seconds) })),
        },
      },
    ],
  }
})
const words = computed(
  () => `Worth against minutes: ${props.points.map(p => `${clock(p.seconds)} gives ${p.worth}`).join(', ')}`,
)
</script>

<template>
  <!-- The chart fills what it stands in, whatever its own class says. -->
  <div
    class="h-72 w-full overflow-hidden rounded-xl border border-rule bg-card"
    role="img"
    :aria-label="words"
  >
    <VChart :option="option" autoresize />
  </div>
</template>
