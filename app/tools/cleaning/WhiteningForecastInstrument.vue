<script setup lang="ts">
import { fixed } from '#core/kernel/figure'
import { forecastWhitening, usualGoalB, whiteningWords } from '#core/cleaning/whitening-forecast'
import { InputError } from '#core/kernel/input-error'
import { decidingLevel } from '#core/kernel/finding'
import { parseQuantity } from '#core/kernel/quantity'
import { cleaningWhiteningForecast } from '#shared/tools/cleaning/whitening-forecast'

/** Colours of a part over its hours of treatment, and of the part that was never yellowed. */
const emit = defineEmits<{ input: [input: Record<string, unknown> | undefined] }>()
const { reference, measured } = cleaningWhiteningForecast.example
const series = ref(measured.map(m => `${m.hours} ${m.l} ${m.a} ${m.b}`).join('\n'))
const typed = reactive({ reference: `${reference.l} ${reference.a} ${reference.b}`, error: String(reference.error), goalB: String(usualGoalB), hoursNow: '' })
const similar = ref('')
const numbers = (text: string, wanted: number, field: string, says: string) => {
  const words = text.trim().split(/[\s;]+/)
  if (words.length !== wanted) throw new InputError(field, text, says)
  return words.map(word => parseQuantity(word, '', field))
}
const { result, at } = useInstrument(
  () => {
    const error = parseQuantity(typed.error, '', 'error')
    const [l = 0, a = 0, b = 0] = numbers(typed.reference, 3, 'reference', 'L*, a* and b*, with spaces between.')
    const lines = series.value.split('\n').filter(line => line.trim())
    return {
      reference: { l, a, b, error },
      measured: lines.map((line, i) => {
        const [hours = 0, pl = 0, pa = 0, pb = 0] = numbers(line, 4, 'measured', `Line ${i + 1}: hours, L*, a* and b*, with spaces between.`)
        return { hours, l: pl, a: pa, b: pb, error }
      }),
      ...(typed.hoursNow.trim() ? { hoursNow: parseQuantity(typed.hoursNow, '', 'hoursNow') } : {}),
      goalB: parseQuantity(typed.goalB, '', 'goalB'),
      ...(similar.value.trim()
        ? {
            similarTauHours: similar.value
              .trim()
              .split(/[\s;]+/)
              .map(t => parseQuantity(t, '', 'similarTauHours')),
          }
        : {}),
    }
  },
  input => ({ input, ...forecastWhitening(input) }),
  input => emit('input', input),
)
</script>

<template>
  <div class="grid items-start gap-4 lg:grid-cols-[22rem_minmax(0,1fr)]">
    <OneCard title="Colours">
      <FieldFrame id="series" v-slot="{ described }" label="Hours, L*, a*, b*, one measurement a line" :message="at('measured')">
        <textarea id="series" v-model="series" class="entry figure" rows="6" :aria-describedby="described" :aria-invalid="!!at('measured')" />
      </FieldFrame>
      <MeasureField v-model="typed.reference" label="Reference, L* a* b*" hint="A part that never yellowed" :message="at('reference')" />
      <div class="grid grid-cols-2 gap-3">
        <MeasureField v-model="typed.error" label="One colour, ± one standard error (σ)" :message="at('error')" /><MeasureField
          v-model="typed.goalB"
          label="Done at a yellowing of (Δb*)"
          :message="at('goalB')"
        /><MeasureField v-model="typed.hoursNow" label="Hours by now" hint="Leave empty to use the last measurement" :message="at('hoursNow')" /><MeasureField
          v-model="similar"
          label="Similar parts, τ in h"
          hint="Leave empty if none"
          :message="at('similarTauHours')"
        />
      </div>
    </OneCard>
    <OneCard title="Had it enough">
      <template v-if="result">
        <InstrumentFace
          label="Allowed before it is measured again"
          :figure="result.nextHours > 0 ? `${three(result.nextHours)} h` : 'none'"
          :judgement="whiteningWords[result.state]"
          :level="decidingLevel(result.findings)"
        />
        <dl class="grid grid-cols-3 gap-3">
          <div>
            <dt class="hint">Yellowing now (Δb*)</dt>
            <dd class="reading">{{ fixed(result.nowB, 1) }} ± {{ result.nowBError.toFixed(1) }}</dd>
          </div>
          <div>
            <dt class="hint">It ends at</dt>
            <dd class="reading">{{ result.endB ? `${fixed(result.endB.low, 1)} to ${fixed(result.endB.high, 1)}` : 'not known' }}</dd>
          </div>
          <div>
            <dt class="hint">Whiter by then</dt>
            <dd class="reading">{{ result.overshootRisk === null ? '–' : `${Math.round(result.overshootRisk * 100)} %` }}</dd>
          </div>
        </dl>
        <WhiteningChart :result="result" :measured="result.input.measured" :reference-b="result.input.reference.b" :goal-b="result.input.goalB" />
        <FindingList :findings="result.findings" />
      </template>
      <EmptyPlace v-else says="Type the colours, and you will see whether it has had enough." />
      <div class="grid gap-2 sm:grid-cols-2"><CautionNote about="peroxide" /><CautionNote about="ultraviolet" /></div>
    </OneCard>
  </div>
</template>
