<script setup lang="ts">
import { dryingWords, judgeDrying } from '#core/cleaning/drying'
import { InputError } from '#core/kernel/input-error'
import { decidingLevel } from '#core/kernel/finding'
import { parseQuantity } from '#core/kernel/quantity'
import { cleaningDrying } from '#shared/tools/cleaning/drying'

/** A series of weighings, one a line: hours, grams. */
const emit = defineEmits<{ input: [input: Record<string, unknown> | undefined] }>()
const { weighings, errorG, leftG } = cleaningDrying.example
const series = ref(weighings.map(w => `${w.atHours} ${w.massG}`).join('\n'))
const typed = reactive({ errorG: String(errorG), leftG: String(leftG) })
const rows = () =>
  series.value
    .split('\n')
    .map(line => line.trim().split(/[\s;]+/))
    .filter(([first]) => first)
    .map(([hours = '', grams], i) => {
      if (grams === undefined) throw new InputError('weighings', series.value, `Line ${i + 1}: hours and grams, with a space between, such as 4 321.3.`)
      return { atHours: parseQuantity(hours, '', 'weighings'), massG: parseQuantity(grams, '', 'weighings') }
    })
const { result, at } = useInstrument(
  () => ({ weighings: rows(), ...figuresOf(typed) }),
  judgeDrying,
  input => emit('input', input),
)
const shown = computed(() => (result.value ? rows().map((w): [number, number] => [w.atHours, w.massG]) : []))
</script>

<template>
  <div class="grid items-start gap-4 lg:grid-cols-[20rem_minmax(0,1fr)]">
    <OneCard title="Weighings">
      <FieldFrame id="weighings" v-slot="{ described }" label="Hours and grams, one weighing a line" :message="at('weighings')">
        <textarea id="weighings" v-model="series" class="entry figure" rows="9" :aria-describedby="described" :aria-invalid="!!at('weighings')" />
      </FieldFrame>
      <div class="grid grid-cols-2 gap-3">
        <MeasureField v-model="typed.errorG" label="One weighing, ± g" :message="at('errorG')" /><MeasureField
          v-model="typed.leftG"
          label="May be left, g"
          :message="at('leftG')"
        />
      </div>
    </OneCard>
    <OneCard title="How dry">
      <template v-if="result">
        <InstrumentFace
          label="Water left now"
          :figure="result.leftNowG ? `${three(Math.max(0, result.leftNowG.mid))} g` : '–'"
          :judgement="dryingWords[result.state]"
          :level="decidingLevel(result.findings)"
        />
        <dl v-if="result.dryMassG && result.dryAtHours" class="grid grid-cols-3 gap-3">
          <div>
            <dt class="hint">Dry weight</dt>
            <dd class="reading">{{ result.dryMassG.low.toFixed(1) }} to {{ result.dryMassG.high.toFixed(1) }} g</dd>
          </div>
          <div>
            <dt class="hint">Dry after</dt>
            <dd class="reading">{{ three(result.dryAtHours.low) }} to {{ three(result.dryAtHours.high) }} h</dd>
          </div>
          <div>
            <dt class="hint">Weigh again at</dt>
            <dd class="reading">{{ three(result.weighAgainAtHours) }} h</dd>
          </div>
        </dl>
        <LineChart v-if="shown.length > 1" :series="[{ name: 'mass', points: shown, dots: true }]" unit="g" x-unit="h" :told="`${shown.length} weighings`" />
        <FindingList :findings="result.findings" />
      </template>
      <EmptyPlace v-else says="Type the weighings, and you will see how dry it is." />
      <CautionNote about="wet" />
    </OneCard>
  </div>
</template>
