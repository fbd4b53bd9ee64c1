<script setup lang="ts">
import { parseQuantity } from '#core/kernel/quantity'
import {
  batteryStateNames,
  foundStates,
  chargingNames,
  chemistries,
  judgeBattery,
  replacements,
  type Battery,
  type BatteryState,
  type Chemistry,
  type Replacement,
} from '#core/power/battery'
import type { Finding } from '#core/kernel/finding'
import type { SheetOf } from '#shared/chapters/index'

/** What is typed of one battery, judged while it is typed. */
const props = defineProps<{ sheet: SheetOf<'power'>; values: Record<string, unknown>; settled?: boolean }>()
const clock = useClock()
const chemistryChoices = (Object.keys(chemistries) as Chemistry[]).map(value => ({ value, label: chemistries[value].title }))
const replacementChoices = [
  { value: null, label: 'Not settled yet' },
  ...(Object.keys(replacements) as Replacement[]).map(value => ({ value, label: replacements[value].title })),
]
/** What was found; a step of its way home is shown, and made below. */
const states = computed(() => {
  const now = props.values.state as BatteryState | undefined
  const found: readonly BatteryState[] = now && !(foundStates as readonly string[]).includes(now) ? [...foundStates, now] : foundStates
  return found.map(value => ({ value, label: batteryStateNames[value] }))
})
const number = (field: 'cells' | 'year') => (String(props.values[field] ?? '').trim() ? parseQuantity(String(props.values[field]), '', field) : undefined)
const how = computed(() => (props.values.replacement as { how: Replacement | null } | null)?.how ?? null)
const judged = computed<Finding[]>(() => {
  const { where, chemistry, state, fitted, charging, replacement } = props.values as unknown as Battery & {
    replacement: { how: Replacement | null; chemistry: Chemistry; cells: string; voltageV: string; diode: boolean } | null
  }
  if (!state || !chemistry || !charging || typeof fitted !== 'boolean') return []
  try {
    return judgeBattery({
      battery: {
        where: where || 'its place',
        chemistry,
        state,
        fitted,
        charging,
        cells: number('cells') ?? 1,
        year: number('year') ?? null,
        replacement:
          !fitted && replacement?.how
            ? {
                how: replacement.how,
                chemistry: replacement.chemistry,
                diode: replacement.diode,
                cells: String(replacement.cells ?? '').trim() ? parseQuantity(String(replacement.cells), '', 'replacement.cells') : 1,
                voltageV: String(replacement.voltageV ?? '').trim() ? parseQuantity(String(replacement.voltageV), 'V', 'replacement.voltageV') : null,
              }
            : null,
      },
      school: props.sheet.power.batterySchool,
      yearNow: clock.now.getFullYear(),
    }).findings
  } catch (error) {
    return [{ level: 'care', code: 'battery.unread', says: (error as Error).message, because: [] }]
  }
})
</script>

<template>
  <div class="grid gap-3">
    <div class="grid gap-3 sm:grid-cols-[1fr_6rem_6rem]">
      <TextField name="where" label="Where it sits" hint="Such as beside the clock chip" /><TextField name="cells" label="Cells" numeric /><TextField
        name="year"
        label="Year on it"
        numeric
      />
    </div>
    <PickField name="chemistry" label="Chemistry" :options="chemistryChoices" />
    <ChoiceField name="state" label="What was found" :options="states" />
    <div class="flex flex-wrap gap-x-6 gap-y-3">
      <ChoiceField
        name="fitted"
        label="It is"
        :options="[
          { value: true, label: 'Still in' },
          { value: false, label: 'Out' },
        ]"
      /><ChoiceField name="charging" label="The circuit" :options="choicesOf(chargingNames)" />
    </div>
    <template v-if="settled && values.fitted === false">
      <ChoiceField
        name="replacement.how"
        label="In its place"
        :options="replacementChoices"
        :hint="how ? replacements[how].means : `By the practice here: ${replacements[sheet.power.batterySchool].title.toLowerCase()}.`"
      />
      <template v-if="how && how !== 'none'"
        ><div class="grid gap-3 sm:grid-cols-[1fr_8rem_10rem]">
          <PickField name="replacement.chemistry" label="Of which chemistry" :options="chemistryChoices" /><TextField
            name="replacement.cells"
            label="How many cells"
            numeric
          /><TextField name="replacement.voltageV" label="Volts of the new one" hint="As marked or measured" numeric />
        </div>
        <TickField name="replacement.diode" label="A diode blocks charging"
      /></template>
    </template>
    <div aria-live="polite" class="min-h-6"><FindingList :findings="judged" /></div>
  </div>
</template>
