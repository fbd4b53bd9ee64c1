<script setup lang="ts">
import { type ResidueSource, neutralise, residueSources } from '#core/cleaning/neutralise'
import { decidingLevel } from '#core/kernel/finding'
import { cleaningNeutralise } from '#shared/tools/cleaning/neutralise'

/** What leaked and how much of it: what neutralises it, and how much is made ready. */
const emit = defineEmits<{ input: [input: Record<string, unknown> | undefined] }>()
const { cells, capacityMah } = cleaningNeutralise.example
const source = ref<ResidueSource>(cleaningNeutralise.example.source)
const typed = reactive({
  amountG: '',
  cells: String(cells),
  capacityMah: String(capacityMah),
  leakedPct: '100',
  vinegarGPer100ml: '5',
  citricGPer100ml: '10',
  bicarbonateGPer100ml: '8',
})
const { result, at } = useInstrument(
  () => ({ source: source.value, ...figuresOf(typed) }),
  neutralise,
  input => emit('input', input),
)
const words = {
  'alkali': 'With a mild acid',
  'acid': 'With bicarbonate',
  'mild-acid': 'Rinse',
  'solvent': 'No water, no acid',
  'thionyl': 'No water, no alcohol',
  'oil': 'Leave it alone',
  'organic': 'Wash it off',
  'unknown': 'Try its pH first',
}
</script>

<template>
  <div class="grid items-start gap-4 lg:grid-cols-[22rem_minmax(0,1fr)]">
    <div class="grid gap-4">
      <OneCard title="What leaked">
        <SelectField v-model="source" label="From" :options="titlesOf(residueSources)" />
        <MeasureField v-model="typed.amountG" label="Amount, g" hint="Leave empty to work it out from the cells" :message="at('amountG')" />
        <div class="grid grid-cols-3 gap-3">
          <MeasureField v-model="typed.cells" label="Cells" :message="at('cells')" /><MeasureField
            v-model="typed.capacityMah"
            label="mAh each"
            :message="at('capacityMah')"
          /><MeasureField v-model="typed.leakedPct" label="Leaked, %" :message="at('leakedPct')" />
        </div>
      </OneCard>
      <OneCard title="On the shelf" hint="In grams to 100 ml">
        <div class="grid grid-cols-3 gap-3">
          <MeasureField v-model="typed.vinegarGPer100ml" label="Vinegar" :message="at('vinegarGPer100ml')" /><MeasureField
            v-model="typed.citricGPer100ml"
            label="Citric acid"
            :message="at('citricGPer100ml')"
          /><MeasureField v-model="typed.bicarbonateGPer100ml" label="Bicarbonate" :message="at('bicarbonateGPer100ml')" />
        </div>
      </OneCard>
      <CautionNote about="battery" />
    </div>
    <OneCard title="What neutralises it">
      <template v-if="result">
        <InstrumentFace
          :label="result.doses[0] ? `${result.doses[0].title}, made ready` : residueSources[source].title"
          :figure="result.doses[0] ? `${three(result.doses[0].practicalMl)} ml` : 'none'"
          :judgement="words[result.kind]"
          :level="decidingLevel(result.findings)"
        />
        <table v-if="result.doses.length" class="w-full text-left">
          <thead>
            <tr class="hint">
              <th class="font-normal">With</th>
              <th class="font-normal">The reaction takes</th>
              <th class="font-normal">Make ready</th>
            </tr>
          </thead>
          <tbody class="divide-y divide-line">
            <tr v-for="dose in result.doses" :key="dose.agent">
              <td class="py-1">{{ dose.title }}</td>
              <td class="figure">{{ three(dose.exactMl) }} ml, {{ three(dose.exactG) }} g in it</td>
              <td class="figure font-semibold">{{ three(dose.practicalMl) }} ml</td>
            </tr>
          </tbody>
        </table>
        <p v-else-if="['alkali', 'acid'].includes(result.kind)" class="hint">
          Say how much, or how many cells of what capacity; then the amounts will appear here.
        </p>
        <p><strong class="text-stop">Never:</strong> {{ result.never.join('; ').toLowerCase() }}.</p>
        <p><strong>Rinse:</strong> {{ result.rinse }}</p>
        <FindingList :findings="result.findings" />
      </template>
      <EmptyPlace v-else says="Say what leaked; what neutralises it will appear here." />
    </OneCard>
  </div>
</template>
