<script setup lang="ts">
import { significant } from '#core/kernel/figure'
import { type Level, decidingLevel } from '#core/kernel/finding'
import { parseQuantity } from '#core/kernel/quantity'
import { type TraceSide, judgeTrace } from '#core/power/trace'
import { powerTrace } from '#shared/tools/power/trace'

/** A burnt or thin trace: what it bears, loses and melts at, and the wire in its place. */
const emit = defineEmits<{ input: [input: Record<string, unknown> | undefined] }>()
const { widthMm, currentA, lengthMm, riseK } = powerTrace.example
const typed = reactive({
  widthMm: String(widthMm),
  copperOz: '1',
  riseK: String(riseK),
  currentA: String(currentA),
  lengthMm: String(lengthMm),
  ambientC: '25',
  shortSeconds: '1',
})
const side = ref<TraceSide>('outer')
const words = {
  widthMm: 'Width, mm',
  copperOz: 'Copper, oz',
  riseK: 'Rise allowed, K',
  currentA: 'Current, A',
  lengthMm: 'Length, mm',
  ambientC: 'Air, °C',
  shortSeconds: 'A short lasts, s',
} as const
const hints: Partial<Record<keyof typeof words, string>> = {
  currentA: 'Leave empty to get what it can carry',
  lengthMm: 'Leave empty to skip the voltage drop',
  copperOz: '1 is usual: 35 µm',
}
const read = (field: keyof typeof words) => (typed[field].trim() ? parseQuantity(typed[field], field === 'currentA' ? 'A' : '', field) : undefined)
const { result, at } = useInstrument(
  () => ({
    widthMm: parseQuantity(typed.widthMm, '', 'widthMm'),
    side: side.value,
    copperOz: read('copperOz'),
    riseK: read('riseK'),
    currentA: read('currentA'),
    lengthMm: read('lengthMm'),
    ambientC: read('ambientC'),
    shortSeconds: read('shortSeconds'),
  }),
  judgeTrace,
  input => emit('input', input),
)
const figures = computed(() =>
  result.value
    ? [
        ['Rise', result.value.riseK === null ? '–' : `${significant(result.value.riseK)} K`],
        ['Width wanted', result.value.widthForCurrentMm === null ? '–' : `${significant(result.value.widthForCurrentMm)} mm`],
        ['Resistance', result.value.resistanceOhm === null ? '–' : engineering(result.value.resistanceOhm, 'Ω')],
        ['Loses', result.value.dropV === null ? '–' : engineering(result.value.dropV, 'V')],
        ['Wire instead', result.value.wire ? `AWG ${result.value.wire.awg}` : '–'],
      ]
    : [],
)
const judgements: Record<Level, string> = { stop: 'Too much', care: 'Take care', fine: 'Bears it', note: 'By itself' }
</script>

<template>
  <div class="grid items-start gap-4 lg:grid-cols-2">
    <OneCard title="The trace">
      <div class="grid grid-cols-2 gap-3">
        <MeasureField
          v-for="(label, field) in words"
          :key="field"
          v-model="typed[field]"
          :label="label"
          :hint="hints[field]"
          :message="at(field)"
        /><SelectField
          v-model="side"
          label="Where it lies"
          :options="[
            { value: 'outer', label: 'Outside' },
            { value: 'inner', label: 'Inside the board' },
          ]"
        />
      </div>
    </OneCard>
    <OneCard title="What it bears">
      <template v-if="result"
        ><InstrumentFace
          :label="`Bears, at ${typed.riseK || 10} K above the air`"
          :figure="engineering(result.currentAtRiseA, 'A')"
          :judgement="judgements[decidingLevel(result.findings)]"
          :level="decidingLevel(result.findings)"
          :scale="{
            from: 0,
            value: read('currentA') ?? null,
            bands: [
              { to: result.currentAtRiseA, level: 'fine', says: 'within the rise' },
              { to: result.fusing.preeceA, level: 'care', says: 'warmer' },
              { to: result.fusing.preeceA * 1.3, level: 'stop', says: 'melts' },
            ],
          }" />
        <dl class="grid grid-cols-2 gap-3 sm:grid-cols-3">
          <div v-for="[name, figure] in figures" :key="name">
            <dt class="hint">{{ name }}</dt>
            <dd class="reading">{{ figure }}</dd>
          </div>
        </dl>
        <FindingList :findings="result.findings"
      /></template>
      <EmptyPlace v-else says="Fill in the trace, and you will see what it can carry." />
    </OneCard>
  </div>
</template>
