<script setup lang="ts">
import { shownRail } from '#core/power/rails'
import { parseReading } from '#core/kernel/quantity'
import { type OffVerdict, judgeOffState, offVerdictWords } from '#core/power/off-state'
import type { Finding } from '#core/kernel/finding'
import type { SheetOf } from '#shared/chapters/index'
import { MeterButton } from '../meter/index'

/** Every rail to ground before anything is powered; judged while it is typed, and what reads short closes the gate. */
const props = defineProps<{ sheet: SheetOf<'power'> }>()
const session = useSession()
const times = useTimes()
const rails = computed(() => props.sheet.power.offState)
const inks: Record<OffVerdict, string> = { short: 'text-stop', suspect: 'text-care', charging: 'text-note', plausible: 'text-fine' }
const ohms = (ohm: number | null) => (ohm === null ? 'open' : engineering(ohm, 'Ω'))
const initial = computed(() => ({
  rail: rails.value.find(r => !r.last)?.rail ?? rails.value[0]?.rail ?? '',
  ohm: '',
  reversedOhm: '',
  leadsOhm: '',
  loadAttached: false,
  rising: false,
}))
const state = computed(() => (rails.value.length && rails.value.every(r => r.last?.verdict === 'plausible') ? 'done' : 'open'))
const result = computed(
  () => rails.value.map(r => `${shownRail(r.rail)} ${r.last ? ohms(r.last.ohm) : 'not measured'}`).join(', ') || 'No rails are known for it',
)
const yesNo = (no: string, yes: string) => [
  { value: false, label: no },
  { value: true, label: yes },
]

function judged(values: Record<string, unknown>): Finding[] {
  const rail = rails.value.find(r => r.rail === values.rail)
  const typed = (field: string) => String(values[field] ?? '').trim()
  if (!rail || !typed('ohm')) return []
  try {
    return judgeOffState({
      railV: rail.nominalV,
      ohm: parseReading(typed('ohm'), 'Ω'),
      ...(typed('reversedOhm') ? { reversedOhm: parseReading(typed('reversedOhm'), 'Ω') } : {}),
      leadsOhm: typed('leadsOhm') ? (parseReading(typed('leadsOhm'), 'Ω') ?? 0) : 0,
      loadAttached: values.loadAttached === true,
      rising: values.rising === true,
    }).findings
  } catch (error) {
    return [{ level: 'care', code: 'off-state.unread', says: (error as Error).message, because: [] }]
  }
}
</script>

<template>
  <OneCard
    title="Rails with the power off"
    short="Rails off"
    hint="To ground, unplugged and discharged, before the first start."
    :state="state"
    :later="rails.length > 0 && rails.every(r => !r.last) && sheet.power.gate.verdict === 'not-yet-assessed'"
    :result="result"
  >
    <EmptyPlace v-if="!rails.length" says="No rails are known for it. Say under Prove which to expect." />
    <ul v-else class="grid divide-y divide-line border-y border-line">
      <li v-for="rail in rails" :key="rail.rail" class="grid items-baseline gap-x-4 py-1.5 sm:grid-cols-[5rem_10rem_1fr]">
        <span class="figure font-semibold">{{ shownRail(rail.rail) }}</span><template v-if="rail.last"
          ><span class="font-semibold" :class="inks[rail.last.verdict]">{{ offVerdictWords[rail.last.verdict] }}</span
          ><span class="hint"
            >{{ ohms(rail.last.ohm) }}<template v-if="rail.last.reversedOhm !== undefined">, the other way {{ ohms(rail.last.reversedOhm) }}</template
            >{{ rail.last.loadAttached ? ', with a load' : '' }}, {{ times.day(rail.last.at) }}</span
          ></template
        ><span v-else class="hint sm:col-span-2">Not measured yet</span>
      </li>
    </ul>
    <AddPanel v-if="rails.length && session.may('measure-off-state')" label="Measure a rail">
      <CommandForm command="measure-off-state" :machine="sheet.tag" :initial="initial" label="Measure a rail" submit="Save measurement">
        <template #default="{ values }">
          <CautionNote about="stored-charge" />
          <ChoiceField name="rail" label="Rail" :options="rails.map(r => ({ value: r.rail, label: shownRail(r.rail) }))" />
          <div class="grid gap-3 sm:grid-cols-3">
            <div class="grid content-start gap-2">
              <TextField name="ohm" label="Red on the rail" numeric hint="In ohms, or OL for open" /><MeterButton what="ohms" into="ohm" />
            </div>
            <div class="grid content-start gap-2">
              <TextField name="reversedOhm" label="Black on the rail" numeric hint="Leave empty if not measured" /><MeterButton
                what="ohms"
                into="reversedOhm"
              />
            </div>
            <TextField name="leadsOhm" label="The leads held together" numeric />
          </div>
          <div class="flex flex-wrap gap-x-6 gap-y-3">
            <ChoiceField name="loadAttached" label="A load on it" :options="yesNo('None', 'A drive or another load')" /><ChoiceField
              name="rising"
              label="The figure"
              :options="yesNo('Stands still', 'Still climbs')"
            />
          </div>
          <div aria-live="polite" class="min-h-6"><FindingList :findings="judged(values)" /></div>
        </template>
      </CommandForm>
    </AddPanel>
  </OneCard>
</template>
