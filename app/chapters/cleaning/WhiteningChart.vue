<script setup lang="ts">
import { fixed } from '#core/kernel/figure'
import type { WhiteningResult } from '#core/cleaning/whitening-forecast'

/** How a part comes towards its reference: what was measured, the fitted curve with its band, the goal. */
const props = defineProps<{ result: WhiteningResult; measured: { hours: number; b: number }[]; referenceB: number; goalB: number }>()
const points = computed(() => props.measured.map((m): [number, number] => [m.hours, m.b - props.referenceB]))
const series = computed(() => [
  { name: 'measured', points: points.value, dots: true },
  ...(props.result.curve.length ? [{ name: 'fitted', points: props.result.curve.map((c): [number, number] => [c.hours, c.mid]) }] : []),
])
const spread = computed(() => props.result.curve.map(c => ({ x: c.hours, low: c.low, high: c.high })))
const told = computed(
  () => `Difference in b* over hours of treatment: ${points.value.map(([h, d]) => `${h} h ${fixed(d, 1)}`).join(', ')}; goal ${props.goalB}`,
)
</script>

<template>
  <LineChart :series="series" :spread="spread" unit="Δb*" x-unit="h" :lines="[{ at: goalB, says: 'goal' }]" :told="told" />
</template>
