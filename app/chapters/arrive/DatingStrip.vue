<script setup lang="ts">
import { writtenDay } from '#core/kernel/days'
import { ScatterChart } from 'echarts/charts'
import { GridComponent, MarkAreaComponent, TooltipComponent } from 'echarts/components'
import { use } from 'echarts/core'
import { SVGRenderer } from 'echarts/renderers'
import VChart from 'vue-echarts'
import type { DatingResult } from '#core/identify/dating'

/** The codes of a machine on one strip of time: those that count, those left out, and when it was made. */
const props = defineProps<{ dating: DatingResult }>()
use([ScatterChart, GridComponent, MarkAreaComponent, TooltipComponent, SVGRenderer])

const ink = useChartInk()
const point = (p: { code: string; place: string; firstDay?: string }, what: string) => ({
  value: [p.firstDay!, 0],
  name: `${p.code}${p.place && ` on ${p.place}`}: ${what}`,
})

const option = computed(() => {
  const { used, leftOut, interval } = props.dating
  const out = leftOut.filter(p => p.firstDay)
  return {
    animation: false,
    grid: { left: 12, right: 12, top: 8, bottom: 26 },
    tooltip: { ...plainTooltip, formatter: (p: { name: string }) => p.name },
    xAxis: {
      type: 'time',
      axisLine: { lineStyle: { color: ink('edge') } },
      axisLabel: { color: ink('ink-2'), fontFamily: 'Spline Sans Mono Variable', hideOverlap: true },
      splitLine: { show: true, lineStyle: { color: ink('line') } },
      minInterval: 28 * 24 * 3600 * 1000,
      boundaryGap: ['6%', '6%'],
    },
    yAxis: { show: false, min: -1, max: 1 },
    series: [
      {
        type: 'scatter',
        symbol: 'rect',
        symbolSize: [5, 34],
        itemStyle: { color: ink('enamel'), opacity: 0.75 },
        data: used.map(p => point(p, p.says)),
        markArea: interval
          ? { silent: true, itemStyle: { color: ink('tape'), opacity: 0.55 }, data: [[{ xAxis: interval.notBefore }, { xAxis: interval.notAfter }]] }
          : undefined,
      },
      {
        type: 'scatter',
        symbol: 'rect',
        symbolSize: [5, 34],
        itemStyle: { color: 'transparent', borderColor: ink('care'), borderWidth: 2 },
        data: out.map(p => point(p, p.why)),
      },
    ],
  }
})
const told = computed(
  () =>
    `Strip of ${props.dating.used.length} codes that count and ${props.dating.leftOut.length} left out${props.dating.interval ? `; made between ${writtenDay(props.dating.interval.notBefore)} and ${writtenDay(props.dating.interval.notAfter)}` : ''}`,
)
</script>

<template>
  <figure role="img" :aria-label="told" class="h-24 overflow-hidden"><VChart :option="option" autoresize /></figure>
</template>
