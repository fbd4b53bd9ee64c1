<script setup lang="ts">
import { type Level, decidingLevel } from '#core/kernel/finding'
import { parseReading } from '#core/kernel/quantity'
import { type Leg, type PathKind, junctionBands, pairsOf, readJunctions } from '#core/power/junction'
import { powerJunction } from '#shared/tools/power/junction'

/** A part of two or three legs, leg by leg with the diode test. */
const emit = defineEmits<{ input: [input: Record<string, unknown> | undefined] }>()
const legs = ref<'2' | '3'>('3')
const count = computed(() => Number(legs.value) as 2 | 3)
const key = (red: Leg, black: Leg) => `${red}-${black}`
const typed = ref<Record<string, string>>(
  Object.fromEntries(powerJunction.example.readings.map(r => [key(r.red, r.black), r.volts === null ? 'OL' : String(r.volts)])),
)
const { result, at } = useInstrument(
  () => ({
    legs: count.value,
    readings: pairsOf(count.value).flatMap(([red, black]) => {
      const text = typed.value[key(red, black)] ?? ''
      return text.trim() ? [{ red, black, volts: parseReading(text, 'V', key(red, black)) }] : []
    }),
  }),
  readJunctions,
  input => emit('input', input),
)
/** Of all the ways it was measured, the one that lets most through. */
const lowest = computed(
  () => result.value?.paths.reduce<number | null>((low, p) => (p.volts === null || (low !== null && low < p.volts) ? low : p.volts), null) ?? null,
)
const scaleWords: Partial<Record<PathKind, { says: string; level: Level }>> = {
  short: { says: '', level: 'stop' },
  low: { says: 'low', level: 'care' },
  germanium: { says: 'germanium', level: 'note' },
  silicon: { says: 'silicon', level: 'fine' },
  high: { says: 'too high', level: 'care' },
}
const scale = junctionBands.map(band => ({ to: Math.min(band.belowV, 1.5), ...scaleWords[band.kind]! }))
const names = {
  wire: 'A wire',
  shorted: 'Shorted',
  open: 'Open',
  diode: 'Plausible diode',
  npn: 'Plausible NPN transistor',
  pnp: 'Plausible PNP transistor',
  unclear: 'Not clear yet',
}
</script>

<template>
  <div class="grid items-start gap-4 lg:grid-cols-2">
    <OneCard title="Readings" hint="Diode test, out of the circuit if you can. OL where the meter shows open.">
      <SelectField
        v-model="legs"
        label="Legs"
        :options="[
          { value: '2', label: 'Two' },
          { value: '3', label: 'Three' },
        ]"
      />
      <div class="grid grid-cols-2 gap-3">
        <div v-for="[red, black] in pairsOf(count)" :key="key(red, black)" class="grid content-start gap-1">
          <MeasureField
            :model-value="typed[key(red, black)] ?? ''"
            :label="`Red on ${red}, black on ${black}`"
            :message="at(key(red, black))"
            @update:model-value="text => (typed[key(red, black)] = text)"
          /><MeterTake what="diode" brief :label="`red on ${red}, black on ${black}`" @taken="figure => (typed[key(red, black)] = figure)" />
        </div>
      </div>
    </OneCard>
    <OneCard title="What it is like">
      <template v-if="result"
        ><InstrumentFace
          label="Lowest forward voltage"
          :figure="lowest === null ? 'open' : `${lowest.toFixed(3)} V`"
          :judgement="names[result.like]"
          :level="decidingLevel(result.findings)"
          :scale="{ from: 0, value: lowest, bands: scale }" />
        <FindingList :findings="result.findings"
      /></template>
      <EmptyPlace v-else says="Type the readings; what they mean will appear here." />
    </OneCard>
  </div>
</template>
