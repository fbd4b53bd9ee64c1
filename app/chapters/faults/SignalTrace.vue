<script setup lang="ts">
import { type SignalLine, half, high } from '#core/signals/capture'

/** Lines of a capture over time; drawn nearer and further, and moved, by keys, wheel or buttons. */
const props = defineProps<{ lines: readonly SignalLine[]; durationS: number }>()
const [width, row, names] = [1000, 26, 110]
const view = ref({ from: 0, to: 1 })
watch(
  () => props.lines,
  () => (view.value = { from: 0, to: 1 }),
)
const span = computed(() => ({ from: view.value.from * props.durationS, to: view.value.to * props.durationS }))
/** More steps than this within the view are drawn as a band. */
const mostSteps = 1500

/** The first change after an instant, by halving. */
function after(at: Float64Array, instant: number) {
  let [low, up] = [0, at.length]
  while (low < up) {
    const mid = (low + up) >> 1
    if (at[mid]! <= instant) low = mid + 1
    else up = mid
  }
  return low
}
function pathOf({ atS, levels }: SignalLine, i: number) {
  const { from, to } = span.value
  const x = (s: number) => (((s - from) / (to - from)) * width).toFixed(1)
  const y = (level: number) => (i + (level === high ? 0.2 : level >= half ? 0.5 : 0.8)) * row
  const [first, last] = [after(atS, from), after(atS, to)]
  if (last - first > mostSteps) return { band: true, d: `M0,${(i + 0.2) * row}H${width}V${(i + 0.8) * row}H0Z` }
  let level = levels[Math.max(0, first - 1)] ?? 0
  const steps = [`M0,${y(level)}`]
  for (let k = first; k < last; k++) {
    steps.push(`H${x(atS[k]!)}`)
    level = levels[k]!
    steps.push(`V${y(level)}`)
  }
  return { band: false, d: `${steps.join('')}H${width}` }
}
const drawn = computed(() => props.lines.map((line, i) => ({ name: line.name, ...pathOf(line, i) })))
function zoom(factor: number, about = 0.5) {
  const { from, to } = view.value
  const at = from + (to - from) * about
  const wide = Math.min(1, Math.max(1e-6, (to - from) * factor))
  const start = Math.min(1 - wide, Math.max(0, at - wide * about))
  view.value = { from: start, to: start + wide }
}
function move(share: number) {
  const wide = view.value.to - view.value.from
  const start = Math.min(1 - wide, Math.max(0, view.value.from + wide * share))
  view.value = { from: start, to: start + wide }
}
function onWheel(event: WheelEvent) {
  const box = (event.currentTarget as Element).getBoundingClientRect()
  const share = (((event.clientX - box.left) / box.width) * (width + names) - names) / width
  zoom(event.deltaY > 0 ? 1.4 : 0.7, Math.min(1, Math.max(0, share)))
}
function onKey(event: KeyboardEvent) {
  const keys: Record<string, () => void> = {
    '+': () => zoom(0.5),
    '-': () => zoom(2),
    'ArrowLeft': () => move(-0.25),
    'ArrowRight': () => move(0.25),
    '0': () => (view.value = { from: 0, to: 1 }),
  }
  keys[event.key]?.()
  if (keys[event.key]) event.preventDefault()
}
const time = (s: number) => (s >= 1 ? `${three(s)} s` : s >= 1e-3 ? `${three(s * 1e3)} ms` : s >= 1e-6 ? `${three(s * 1e6)} µs` : `${three(s * 1e9)} ns`)
</script>

<template>
  <figure class="grid min-w-0 gap-1">
    <div class="overflow-x-auto">
      <svg
        :viewBox="`${-names} 0 ${width + names} ${lines.length * row + 4}`"
        class="w-full min-w-[44rem] border border-line bg-mat"
        role="img"
        tabindex="0"
        :aria-label="`${lines.length} lines from ${time(span.from)} to ${time(span.to)}`"
        @wheel.prevent="onWheel"
        @keydown="onKey"
      >
        <g v-for="(one, i) in drawn" :key="one.name + i">
          <text :x="-names + 6" :y="(i + 0.65) * row" font-size="14" class="figure fill-ink">{{ one.name.slice(0, 11) }}</text>
          <path :d="one.d" :class="one.band ? 'fill-enamel/40 stroke-enamel' : 'fill-none stroke-enamel'" stroke-width="1.5" />
        </g>
      </svg>
    </div>
    <figcaption class="no-print flex flex-wrap items-center gap-2">
      <button type="button" class="button button-quiet" @click="zoom(0.5)">Nearer</button>
      <button type="button" class="button button-quiet" @click="zoom(2)">Further</button>
      <button type="button" class="button button-quiet" @click="move(-0.5)">Earlier</button>
      <button type="button" class="button button-quiet" @click="move(0.5)">Later</button>
      <button type="button" class="button button-quiet" @click="view = { from: 0, to: 1 }">All of it</button>
      <span class="figure hint">{{ time(span.from) }} to {{ time(span.to) }}</span>
    </figcaption>
  </figure>
</template>
