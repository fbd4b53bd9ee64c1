<script setup lang="ts">
import { batteryStateNames, chemistries, replacements } from '#core/power/battery'
import type { CommandRequest, SheetOf } from '#shared/chapters/index'
import type { MachineSheet } from '#shared/chapters/index'

/** Its batteries: what they are, whether they are out, and what is fitted in their place. */
const props = defineProps<{ sheet: SheetOf<'power'> }>()
const session = useSession()
const open = ref<number>()
type Battery = MachineSheet['power']['batteries'][number]
const words = {
  where: 'Where it sits',
  chemistry: 'Chemistry',
  cells: 'Cells',
  year: 'Year on it',
  state: 'What was found',
  fitted: 'Still in',
  charging: 'The circuit',
}
const blank = computed(() => ({ where: '', chemistry: undefined, cells: '', year: '', state: undefined, fitted: true, charging: 'unknown' as const }))
const initialOf = ({ where, chemistry, cells, year, state, fitted, charging, replacement }: Battery) =>
  ({
    where,
    chemistry,
    cells,
    year: year ?? '',
    state,
    fitted,
    charging,
    replacement: {
      ...(replacement ?? { how: null, chemistry: 'lithium-coin', diode: false }),
      cells: String(replacement?.cells ?? 1),
      voltageV: replacement?.voltageV ? String(replacement.voltageV) : '',
    },
  }) as unknown as Partial<CommandRequest<'change-battery'>>
/** Places that were looked at as checks already. */
const done = computed(() => props.sheet.power.placesToLook.filter(p => p.done).map(p => p.says))
const known = computed(() => props.sheet.hazards.find(h => h.kind === 'battery')?.evidence ?? [])
const pressing = (b: Battery) => Boolean(b.next) || b.fitted || b.findings.some(f => f.level === 'stop' || f.level === 'care')
const state = computed(() => {
  const { batteries, facts } = props.sheet.power
  if (batteries.length) return batteries.some(pressing) ? 'open' : 'done'
  return facts.battery === 'none-fitted' ? 'none' : 'open'
})
const result = computed(
  () =>
    props.sheet.power.batteries.map(b => `${b.where}: ${batteryStateNames[b.state].toLowerCase()}, ${b.fitted ? 'still in' : 'out'}`).join('; ') ||
    (state.value === 'none' ? 'None fitted' : 'None on record; they come out first'),
)
const says = (b: Battery) =>
  [
    chemistries[b.chemistry].title,
    b.cells > 1 && `${b.cells} cells`,
    chemistries[b.chemistry].cellV && `${(chemistries[b.chemistry].cellV! * b.cells).toFixed(1)} V`,
    b.year && `of ${b.year}`,
  ]
    .filter(Boolean)
    .join(', ')
</script>

<template>
  <OneCard
    title="Batteries"
    hint="Batteries come out first. Removed in time, the board is saved."
    :state="state"
    :later="!sheet.power.batteries.length"
    :result="result"
  >
    <CautionNote about="battery" />
    <p v-if="!sheet.power.batteries.length" class="hint">
      {{ known.length ? `None is on record. ${known.join(' ')}` : 'None is on record. Look under the clock chip, at the edge of the board, and on cards.' }}
    </p>
    <ul v-else class="grid divide-y divide-line border-y border-line">
      <li v-for="battery in sheet.power.batteries" :key="battery.id" class="grid gap-1.5 py-2">
        <div class="flex flex-wrap items-baseline gap-x-3">
          <h3>{{ battery.where }}</h3>
          <span>{{ says(battery) }}</span><span class="hint"
            >{{ batteryStateNames[battery.state] }}, {{ battery.fitted ? 'still in' : 'out'
            }}{{ battery.replacement ? `; ${replacements[battery.replacement.how].title.toLowerCase()}` : '' }}</span
          ><button
            v-if="session.may('change-battery')"
            type="button"
            class="ml-auto text-sm underline"
            :aria-expanded="open === battery.id"
            @click="open = open === battery.id ? undefined : battery.id"
          >
            {{ open === battery.id ? 'Close' : 'Go on with it' }}<span class="sr-only"> {{ battery.where }}</span>
          </button>
        </div>
        <CommandForm
          v-if="battery.next && session.may('step-battery')"
          command="step-battery"
          :machine="sheet.tag"
          :initial="{ lookedAt: done }"
          :fixed="{ batteryId: battery.id, version: battery.version, step: battery.next.step }"
          label="Next step of the clean-up"
          :submit="batteryStateNames[battery.next.step]"
          class="border-l-4 border-care bg-care-wash p-3"
        >
          <p><strong>Next in the clean-up:</strong> {{ battery.next.do }}</p>
          <p v-if="battery.neutralisedInPlan" class="hint">
            Done under Clean already: {{ battery.neutralisedInPlan }}. If that was this place, say so here; it is not done twice.
          </p>
          <TicksField
            v-if="battery.next.step === 'clean'"
            name="lookedAt"
            label="Looked at"
            :options="sheet.power.placesToLook.map(p => ({ value: p.says, label: p.says }))"
          />
        </CommandForm>
        <FindingList v-if="open !== battery.id" :findings="battery.findings" />
        <CommandForm
          v-if="open === battery.id"
          command="change-battery"
          :machine="sheet.tag"
          :initial="initialOf(battery)"
          :fixed="{ batteryId: battery.id, version: battery.version }"
          :words="words"
          label="Go on with this battery"
          submit="Save"
          keeps
          class="bg-mat p-3"
          @done="open = undefined"
          ><template #default="{ values }"><BatteryFields :sheet="sheet" :values="values" settled /></template
        ></CommandForm>
      </li>
    </ul>
    <AddPanel v-if="session.may('record-battery')" v-slot="{ close }" label="Record a battery">
      <CommandForm
        command="record-battery"
        :machine="sheet.tag"
        :initial="blank as Partial<CommandRequest<'record-battery'>>"
        label="Record a battery"
        submit="Save"
        @done="close()"
        ><template #default="{ values }"><BatteryFields :sheet="sheet" :values="values" /></template
      ></CommandForm>
    </AddPanel>
  </OneCard>
</template>
