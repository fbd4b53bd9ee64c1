<script setup lang="ts">
import { type StrengthKind, mixBath, strengthKinds } from '#core/cleaning/bath'
import { parseQuantity } from '#core/kernel/quantity'
import { decidingLevel } from '#core/kernel/finding'
import { cleaningBath } from '#shared/tools/cleaning/bath'

/** A tank, a strength, and what is in it already: what to add. */
const emit = defineEmits<{ input: [input: Record<string, unknown> | undefined] }>()
const { strength, lengthCm, widthCm, fillCm, tankL } = cleaningBath.example
const kind = ref<StrengthKind>(strength.kind)
const value = ref(String(strength.value))
const typed = reactive({
  volumeL: '',
  lengthCm: String(lengthCm),
  widthCm: String(widthCm),
  fillCm: String(fillCm),
  tankL: String(tankL),
  inItL: '',
  inItPct: '',
  recipeConcentratePct: '',
  concentratePct: '',
  concentrateKgPerL: '',
})
const { result, at } = useInstrument(
  () => ({ strength: { kind: kind.value, value: parseQuantity(value.value, '', 'strength.value') }, ...figuresOf(typed) }),
  mixBath,
  input => emit('input', input),
)
const amount = (l: number) => (l < 1 ? `${three(l * 1000)} ml` : `${three(l)} l`)
</script>

<template>
  <div class="grid items-start gap-4 lg:grid-cols-[22rem_minmax(0,1fr)]">
    <OneCard title="The bath">
      <div class="grid grid-cols-2 gap-3">
        <SelectField v-model="kind" label="Strength said as" :options="titlesOf(strengthKinds)" /><MeasureField
          v-model="value"
          :label="strengthKinds[kind].unit"
          :message="at('strength.value')"
        />
      </div>
      <div class="grid grid-cols-3 gap-3">
        <MeasureField v-model="typed.lengthCm" label="Length, cm" :message="at('lengthCm')" /><MeasureField
          v-model="typed.widthCm"
          label="Width, cm"
          :message="at('widthCm')"
        /><MeasureField v-model="typed.fillCm" label="Filled, cm" :message="at('fillCm')" />
      </div>
      <div class="grid grid-cols-2 gap-3">
        <MeasureField v-model="typed.volumeL" label="Or the volume, l" hint="Leave empty to use the inside dimensions" :message="at('volumeL')" /><MeasureField
          v-model="typed.tankL"
          label="The tank holds, l"
          :message="at('tankL')"
        /><MeasureField v-model="typed.inItL" label="In it already, l" :message="at('inItL')" /><MeasureField
          v-model="typed.inItPct"
          label="As strong as, %"
          hint="Of concentrate, by volume"
          :message="at('inItPct')"
        /><MeasureField
          v-model="typed.recipeConcentratePct"
          label="Recipe is for, %"
          hint="Leave empty if the same"
          :message="at('recipeConcentratePct')"
        /><MeasureField v-model="typed.concentratePct" label="Yours has, %" :message="at('concentratePct')" /><MeasureField
          v-model="typed.concentrateKgPerL"
          label="Density, kg/l"
          hint="Leave empty for 1"
          :message="at('concentrateKgPerL')"
        />
      </div>
    </OneCard>
    <OneCard title="What goes in">
      <template v-if="result">
        <InstrumentFace
          label="Concentrate to add"
          :figure="amount(result.addConcentrateL)"
          :judgement="`${three(result.volumePct)} % by volume`"
          :level="decidingLevel(result.findings)"
          :scale="
            typed.tankL.trim() && !at('tankL')
              ? {
                  from: 0,
                  value: result.totalL,
                  bands: [
                    { to: Number(typed.tankL.replace(',', '.')), level: 'fine', says: `up to ${typed.tankL} l` },
                    { to: Number(typed.tankL.replace(',', '.')) * 1.4, level: 'stop', says: 'over' },
                  ],
                }
              : undefined
          "
        />
        <dl class="grid grid-cols-3 gap-3">
          <div>
            <dt class="hint">Water</dt>
            <dd class="reading">{{ amount(result.addWaterL) }}</dd>
          </div>
          <div>
            <dt class="hint">Concentrate, weighed</dt>
            <dd class="reading">{{ three(result.addConcentrateG) }} g</dd>
          </div>
          <div>
            <dt class="hint">In the tank then</dt>
            <dd class="reading">{{ amount(result.totalL) }}</dd>
          </div>
        </dl>
        <FindingList :findings="result.findings" />
      </template>
      <EmptyPlace v-else says="Fill in the bath; what goes in will appear here." />
      <CautionNote about="wet" />
    </OneCard>
  </div>
</template>
