<script setup lang="ts">
import { fixed } from '#core/kernel/figure'
import { matchColour, matchWords, visibleFrom } from '#core/cleaning/colour'
import { decidingLevel } from '#core/kernel/finding'
import { parseQuantity } from '#core/kernel/quantity'
import { cleaningColourMatch } from '#shared/tools/cleaning/colour-match'

/** Two measured colours side by side. */
const emit = defineEmits<{ input: [input: Record<string, unknown> | undefined] }>()
const fields = { l: 'L*', a: 'a*', b: 'b*', error: '± one standard error (σ)' } as const
type Side = 'part' | 'reference'
const sides: Record<Side, string> = { part: 'The part', reference: 'The reference' }
const textOf = (side: Side) =>
  Object.fromEntries(Object.entries(cleaningColourMatch.example[side]).map(([k, v]) => [k, String(v)])) as Record<keyof typeof fields, string>
const typed = reactive({ part: textOf('part'), reference: textOf('reference') })
const read = (side: Side) =>
  Object.fromEntries(Object.entries(typed[side]).map(([k, text]) => [k, parseQuantity(text, '', `${side}.${k}`)])) as Record<keyof typeof fields, number>
const { result, at } = useInstrument(
  () => ({ part: read('part'), reference: read('reference') }),
  matchColour,
  input => emit('input', input),
)
const swatch = (side: Side) => `lab(${typed[side].l} ${typed[side].a} ${typed[side].b})`
</script>

<template>
  <div class="grid items-start gap-4 lg:grid-cols-[22rem_minmax(0,1fr)]">
    <div class="grid gap-4">
      <OneCard v-for="(title, side) in sides" :key="side" :title="title" hint="CIE L*a*b*, for D65 and 2°">
        <div class="grid grid-cols-4 gap-2">
          <MeasureField
            v-for="(label, field) in fields"
            :key="field"
            v-model="typed[side][field]"
            :label="label"
            :signed="field === 'a' || field === 'b'"
            :message="at(`${side}.${field}`)"
          />
        </div>
      </OneCard>
    </div>
    <OneCard title="Side by side">
      <template v-if="result">
        <div class="flex h-16" aria-hidden="true">
          <span v-for="(_, side) in sides" :key="side" class="flex-1" :style="{ background: swatch(side) }" />
        </div>
        <InstrumentFace
          label="ΔE₀₀"
          :figure="`${result.deltaE.toFixed(1)} ± ${result.deltaEError.toFixed(1)}`"
          :judgement="matchWords[result.match]"
          :level="decidingLevel(result.findings)"
          :scale="{
            from: 0,
            value: result.deltaE,
            bands: [
              { to: visibleFrom.slight, level: 'fine', says: 'not seen' },
              { to: visibleFrom.visible, level: 'note', says: 'slight' },
              { to: 10, level: 'care', says: `visible from ${visibleFrom.visible}` },
            ],
          }"
        />
        <dl class="grid grid-cols-3 gap-3">
          <div>
            <dt class="hint">Lightness, yellowing (ΔL*, Δb*)</dt>
            <dd class="reading">{{ fixed(result.deltaL, 1) }}, {{ fixed(result.deltaB, 1) }}</dd>
          </div>
          <div>
            <dt class="hint">Yellowness of the part</dt>
            <dd class="reading">{{ fixed(result.partYellowness, 1) }}</dd>
          </div>
          <div>
            <dt class="hint">of the reference</dt>
            <dd class="reading">{{ fixed(result.referenceYellowness, 1) }}</dd>
          </div>
        </dl>
        <FindingList :findings="result.findings" />
      </template>
      <EmptyPlace v-else says="Type both colours, and you will see how well they match." />
    </OneCard>
  </div>
</template>
