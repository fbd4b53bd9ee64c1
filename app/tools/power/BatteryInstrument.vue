<script setup lang="ts">
import { parseQuantity } from '#core/kernel/quantity'
import { factValue } from '#core/safety/power-facts'
import {
  type BatteryState,
  type Charging,
  type Chemistry,
  type Replacement,
  batteryStateNames,
  chargingNames,
  chemistries,
  chemistryNames,
  judgeBattery,
  replacementNames,
  replacements,
} from '#core/power/battery'
import { powerBattery } from '#shared/tools/power/battery'

/** One battery and what is to go in its place. */
const emit = defineEmits<{ input: [input: Record<string, unknown> | undefined] }>()
const clock = useClock()
const { battery, school: first } = powerBattery.example
const typed = reactive({ cells: String(battery.cells), year: String(battery.year), freshCells: '1', freshVoltage: '' })
const old = reactive({
  chemistry: battery.chemistry as Chemistry,
  state: battery.state as BatteryState,
  fitted: battery.fitted,
  charging: battery.charging as Charging,
})
const fresh = reactive({
  how: battery.replacement!.how as Replacement,
  chemistry: battery.replacement!.chemistry as Chemistry,
  diode: battery.replacement!.diode,
})
const school = ref<Replacement>(first)
const chemistryChoices = chemistryNames.map(value => ({ value, label: chemistries[value].title }))
const wayChoices = replacementNames.map(value => ({ value, label: replacements[value].title }))
const yesNo = [
  { value: false, label: 'No' },
  { value: true, label: 'Yes' },
]
const { result, at } = useInstrument(
  () => ({
    battery: {
      where: 'on the board',
      ...old,
      cells: parseQuantity(typed.cells, '', 'cells'),
      year: typed.year.trim() ? parseQuantity(typed.year, '', 'year') : null,
      replacement: old.fitted
        ? null
        : {
            ...fresh,
            cells: parseQuantity(typed.freshCells, '', 'replacement.cells'),
            voltageV: typed.freshVoltage.trim() ? parseQuantity(typed.freshVoltage, 'V', 'replacement.voltageV') : null,
          },
    },
    school: school.value,
    yearNow: clock.now.getFullYear(),
  }),
  judgeBattery,
  input => emit('input', input),
)
const verdicts = {
  in: 'Still in',
  leaking: 'It leaks',
  residue: 'Residue is left',
  out: 'Out',
  replaced: 'Replaced',
  unlooked: 'Out, and nobody has looked under it',
  mischarged: 'It would be charged, and must not be',
}
</script>

<template>
  <div class="grid items-start gap-4 lg:grid-cols-3">
    <OneCard title="The old one">
      <SelectField v-model="old.chemistry" label="Chemistry" :options="chemistryChoices" />
      <div class="grid grid-cols-2 gap-3">
        <MeasureField v-model="typed.cells" label="Cells" :message="at('cells')" /><MeasureField
          v-model="typed.year"
          label="Year on it"
          hint="Leave empty if not known"
          :message="at('year')"
        />
      </div>
      <SelectField v-model="old.state" label="What was found" :options="choicesOf(batteryStateNames)" />
      <SelectField v-model="old.fitted" label="Still in" :options="yesNo" />
      <SelectField v-model="old.charging" label="The circuit" :options="choicesOf(chargingNames)" />
      <CautionNote about="battery" />
    </OneCard>
    <OneCard title="In its place" :hint="old.fitted ? 'First it comes out.' : replacements[fresh.how].means">
      <SelectField v-model="school" label="The practice" :options="wayChoices" />
      <template v-if="!old.fitted"
        ><SelectField v-model="fresh.how" label="What is fitted" :options="wayChoices" /><template v-if="fresh.how !== 'none'"
          ><SelectField v-model="fresh.chemistry" label="Of which chemistry" :options="chemistryChoices" />
          <div class="grid grid-cols-2 gap-3">
            <MeasureField v-model="typed.freshCells" label="How many cells" :message="at('replacement.cells')" /><MeasureField
              v-model="typed.freshVoltage"
              label="Volts of the new one"
              hint="Leave empty to work it out from the cells"
              :message="at('replacement.voltageV')"
            />
          </div>
          <SelectField v-model="fresh.diode" label="A diode blocks charging" :options="yesNo" /></template
      ></template>
    </OneCard>
    <OneCard title="Together">
      <template v-if="result"
        ><InstrumentFace
          label="Nominal, the old one"
          :figure="result.nominalV === null ? 'not known' : `${result.nominalV} V`"
          :judgement="verdicts[result.fact]"
          :level="factValue('battery', result.fact)?.level ?? 'note'" />
        <FindingList :findings="result.findings"
      /></template>
      <EmptyPlace v-else says="Say what it is and what replaces it, and you will see whether they go together." />
    </OneCard>
  </div>
</template>
