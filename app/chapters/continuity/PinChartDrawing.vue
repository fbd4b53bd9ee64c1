<script setup lang="ts">
import { type PackageForm, type PinState, pinChart, pinStateNames } from '#core/continuity/pin-chart'

/** One part with its pins, each with its net and what it is known to be; by sign and word, not by colour alone. */
const props = defineProps<{ part: string; form: PackageForm; pins: readonly { pin: string; net: string; state: PinState }[] }>()
const chart = computed(() =>
  pinChart(
    props.pins.map(p => p.pin),
    props.form,
  ),
)
const of = computed(() => new Map(props.pins.map(p => [p.pin, p])))
/** The longest word needs room beside the body, or above and below it; more would make the words small on a phone. */
const side = computed(() => 1.4 + 0.45 * Math.max(4, ...props.pins.map(p => words(p.pin).length)))
const margin = computed(() => (props.form === 'carrier' ? side.value : 1.5))
const frame = computed(() => ({
  left: -chart.value.width / 2 - side.value,
  top: -margin.value,
  width: chart.value.width + 2 * side.value,
  height: chart.value.height + 2 * margin.value,
}))
const inks: Record<PinState, string> = {
  'broken': 'fill-stop',
  'doubtful': 'fill-care',
  'joined-wrongly': 'fill-stop',
  'not-yet': 'fill-card',
  'whole': 'fill-fine',
  'struck': 'fill-line',
  'unknown': 'fill-mat',
}
const signs: Record<PinState, string> = { 'broken': '×', 'doubtful': '?', 'joined-wrongly': '∞', 'not-yet': '○', 'whole': '✓', 'struck': '–', 'unknown': '' }
const stateOf = (pin: string) => of.value.get(pin)?.state ?? 'unknown'
const anchors = { left: 'end', right: 'start', above: 'start', below: 'end' } as const
const words = (pin: string) => {
  const known = of.value.get(pin)
  return known ? `${signs[known.state]} ${known.net}`.trim().slice(0, 24) : ''
}
const shift = { left: [-0.9, 0.28], right: [0.9, 0.28], above: [0, -0.9], below: [0, 0.9] } as const
const used = computed(() => [...new Set(props.pins.map(p => p.state))])
</script>

<template>
  <figure class="grid gap-2">
    <figcaption class="flex flex-wrap items-baseline gap-x-4">
      <span class="figure text-xl font-semibold">{{ part }}</span><span class="hint">{{ chart.seen }}</span>
    </figcaption>
    <svg
      :viewBox="`${frame.left} ${frame.top} ${frame.width} ${frame.height}`"
      class="max-h-[70vh] w-full max-w-3xl border border-line bg-card print:max-h-[21cm]"
      role="img"
      :aria-label="`${part}: ${pins.map(p => `${p.pin} ${p.net} ${pinStateNames[p.state].toLowerCase()}`).join(', ')}`"
    >
      <rect
        :x="-chart.width / 2"
        :y="0"
        :width="chart.width"
        :height="chart.height"
        :rx="form === 'round' ? chart.width / 2 : 0.2"
        class="fill-mat stroke-edge"
        stroke-width="0.08"
      />
      <path v-if="form === 'dual'" d="M -0.5 0 A 0.5 0.5 0 0 0 0.5 0" class="fill-card stroke-edge" stroke-width="0.08" />
      <g v-for="place in chart.places" :key="place.pin">
        <circle :cx="place.x" :cy="place.y" r="0.42" class="stroke-ink" :class="inks[stateOf(place.pin)]" stroke-width="0.06" />
        <text
          :x="place.x"
          :y="place.y + 0.18"
          text-anchor="middle"
          font-size="0.5"
          class="figure"
          :class="['whole', 'broken', 'doubtful', 'joined-wrongly'].includes(stateOf(place.pin)) ? 'fill-card' : 'fill-ink'"
        >
          {{ place.pin }}
        </text>
        <text
          :x="place.x + shift[place.words][0]"
          :y="place.y + shift[place.words][1]"
          :text-anchor="anchors[place.words]"
          font-size="0.72"
          class="figure fill-ink"
          :transform="place.words === 'above' || place.words === 'below' ? `rotate(-90 ${place.x} ${place.y + shift[place.words][1]})` : undefined"
        >
          {{ words(place.pin) }}
        </text>
      </g>
    </svg>
    <p class="flex flex-wrap gap-x-4 text-sm">
      <span v-for="state in used" :key="state">{{ signs[state] || 'no sign:' }} {{ pinStateNames[state].toLowerCase() }}</span>
    </p>
  </figure>
</template>
