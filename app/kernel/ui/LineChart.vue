<script setup lang="ts">
import { decimals, significant, written } from '#core/kernel/figure'
import { LineChart } from 'echarts/charts'
import { GridComponent, LegendComponent, MarkAreaComponent, MarkLineComponent, TooltipComponent } from 'echarts/components'
import { use } from 'echarts/core'
import { SVGRenderer } from 'echarts/renderers'
import VChart from 'vue-echarts'

/** Figures over time, with the band that is allowed and lines that are not to be crossed. */
const props = defineProps<{
  /** Instants, or seconds from a start. */
  series: { name: string; points: [x: number | string, y: number][]; dots?: boolean }[]
  told: string
  unit: string
  time?: boolean
  band?: [low: number, high: number]
  lines?: { at: number; says: string }[]
  /** Between which figures the truth lies, along the way; drawn as a wash under the lines. */
  spread?: { x: number; low: number; high: number }[]
  /** How much of the end is shown, in seconds; everything where it is left out. */
  windowSeconds?: number
  xTo?: number
  /** What the figures along the bottom are, where they are no instants. */
  xUnit?: string
}>()
use([LineChart, GridComponent, LegendComponent, MarkAreaComponent, MarkLineComponent, TooltipComponent, SVGRenderer])
const ink = useChartInk()
const inks = ['ink', 'note', 'rust', 'verdigris']

const option = computed(() => {
  const ys = [...props.series.flatMap(s => s.points.map(p => p[1])), ...(props.band ?? []), ...(props.lines ?? []).map(l => l.at)]
  // The scale is that of the figures; of a wash that knows nothing it shows as much again, and the rest runs out of the picture.
  const [least, most] = [Math.min(...ys), Math.max(...ys)]
  const seen = (props.spread ?? []).flatMap(s => [Math.max(s.low, 2 * least - most), Math.min(s.high, 2 * most - least)])
  const [low, high] = [Math.min(least, ...seen), Math.max(most, ...seen)]
  const margin = (high - low || Math.abs(high) || 1) * 0.12
  const xTo = props.xTo ?? 0
  const axis = {
    axisLine: { lineStyle: { color: ink('edge') } },
    axisLabel: { color: ink('ink-2'), fontFamily: 'Spline Sans Mono Variable', hideOverlap: true },
    splitLine: { lineStyle: { color: ink('line') } },
  }
  const nice = (v: number) => written(significant(v))
  return {
    animation: false,
    grid: { left: 56, right: 16, top: props.series.length > 1 ? 28 : 20, bottom: 26 },
    ...(props.series.length > 1 ? { legend: { top: 0, textStyle: { color: ink('ink-2') }, itemHeight: 8 } } : {}),
    tooltip: { ...plainTooltip, trigger: 'axis', valueFormatter: (v: number) => `${decimals(v, 3)} ${props.unit}` },
    xAxis: {
      type: props.time ? 'time' : 'value',
      ...axis,
      splitLine: { show: false },
      ...(props.xUnit ? { axisLabel: { ...axis.axisLabel, formatter: (v: number) => `${written(significant(v))} ${props.xUnit}` } } : {}),
      ...(props.windowSeconds ? { min: Math.max(0, xTo - props.windowSeconds), max: Math.max(props.windowSeconds, xTo) } : {}),
    },
    yAxis: {
      type: 'value',
      name: props.unit,
      nameGap: 6,
      nameTextStyle: { color: ink('ink-2'), align: 'right' },
      min: significant(low - margin),
      max: significant(high + margin),
      ...axis,
      axisLabel: { ...axis.axisLabel, formatter: nice, showMinLabel: false, showMaxLabel: false },
    },
    series: [
      ...props.series.map(({ name, points, dots }, i) => ({
        type: 'line',
        name,
        data: points,
        symbol: dots ? 'circle' : 'none',
        symbolSize: 7,
        lineStyle: { width: dots ? 1 : 2, color: ink(inks[i % inks.length]!) },
        itemStyle: { color: ink(inks[i % inks.length]!) },
        ...(i === 0 && props.band
          ? { markArea: { silent: true, itemStyle: { color: ink('verdigris'), opacity: 0.18 }, data: [[{ yAxis: props.band[0] }, { yAxis: props.band[1] }]] } }
          : {}),
        ...(i === 0 && (props.band || props.lines)
          ? {
              markLine: {
                silent: true,
                symbol: 'none',
                label: { color: ink('ink-2'), position: 'insideEndTop', formatter: (p: { data: { name?: string } }) => p.data.name ?? '' },
                lineStyle: { color: ink('stop'), type: 'dashed' },
                data: [...(props.band ?? []).map(yAxis => ({ yAxis, name: '' })), ...(props.lines ?? []).map(l => ({ yAxis: l.at, name: l.says }))],
              },
            }
          : {}),
      })),
      ...wash.value,
    ],
  }
})
/** The wash stands on an unseen line of its lower edge. */
const wash = computed(() =>
  (['low', 'high'] as const)
    .filter(() => props.spread?.length)
    .map(edge => ({
      type: 'line',
      silent: true,
      symbol: 'none',
      stack: 'wash',
      stackStrategy: 'all',
      tooltip: { ...plainTooltip, show: false },
      lineStyle: { opacity: 0 },
      areaStyle: edge === 'high' ? { color: ink('verdigris'), opacity: 0.18 } : { opacity: 0 },
      data: props.spread!.map(s => [s.x, edge === 'low' ? s.low : s.high - s.low]),
    })),
)
</script>

<template>
  <figure role="img" :aria-label="told" class="h-40 overflow-hidden"><VChart :option="option" autoresize /></figure>
</template>
