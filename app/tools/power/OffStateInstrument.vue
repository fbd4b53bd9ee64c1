<script setup lang="ts">
import type { Level } from '#core/kernel/finding'
import { parseQuantity, parseReading } from '#core/kernel/quantity'
import { type OffVerdict, judgeOffState, offVerdictWords } from '#core/power/off-state'
import { powerOffState } from '#shared/tools/power/off-state'

/** A rail to ground before anything is powered, both ways round. */
const emit = defineEmits<{ input: [input: Record<string, unknown> | undefined] }>()
const { railV, ohm, reversedOhm, leadsOhm } = powerOffState.example
const typed = reactive({ railV: String(railV), ohm: String(ohm), reversedOhm: String(reversedOhm), leadsOhm: String(leadsOhm), currentA: '' })
const loadAttached = ref(false)
const rising = ref(false)
const ohms = (field: 'ohm' | 'reversedOhm') => parseReading(typed[field], 'Ω', field)
const { result, at } = useInstrument(
  () => ({
    railV: parseQuantity(typed.railV, 'V', 'railV'),
    loadAttached: loadAttached.value,
    rising: rising.value,
    ohm: ohms('ohm'),
    ...(typed.reversedOhm.trim() ? { reversedOhm: ohms('reversedOhm') } : {}),
    leadsOhm: parseQuantity(typed.leadsOhm || '0', 'Ω', 'leadsOhm'),
    ...(typed.currentA.trim() ? { currentA: parseQuantity(typed.currentA, 'A', 'currentA') } : {}),
  }),
  judgeOffState,
  input => emit('input', input),
)
const levels = { short: 'stop', suspect: 'care', charging: 'note', plausible: 'fine' } as const satisfies Record<OffVerdict, Level>
/** What the meter showed, less its leads; nothing for an open circuit. */
const shown = computed(() => (result.value ? parseReading(typed.ohm, 'Ω') : null))
</script>

<template>
  <div class="grid items-start gap-4 lg:grid-cols-2">
    <div class="grid gap-4">
      <CautionNote about="stored-charge" />
      <OneCard title="The rail" hint="Unplugged, and its capacitors measured empty.">
        <MeasureField v-model="typed.railV" label="Rail, volts when it runs" :message="at('railV')" />
        <MeasureField v-model="typed.currentA" label="Current it draws, A" hint="Leave empty if not known" :message="at('currentA')" />
        <MeasureField v-model="typed.ohm" label="Red on the rail" hint="In ohms, or OL for open" :message="at('ohm')" />
        <MeterTake what="ohms" brief label="red on the rail" @taken="figure => (typed.ohm = figure)" />
        <MeasureField v-model="typed.reversedOhm" label="Black on the rail" hint="Leave empty if not measured yet" :message="at('reversedOhm')" />
        <MeterTake what="ohms" brief label="black on the rail" @taken="figure => (typed.reversedOhm = figure)" />
        <MeasureField v-model="typed.leadsOhm" label="The leads held together" :message="at('leadsOhm')" />
        <SelectField
          v-model="loadAttached"
          label="A load on it"
          :options="[
            { value: false, label: 'None' },
            { value: true, label: 'A drive or another load' },
          ]"
        />
        <SelectField
          v-model="rising"
          label="The figure"
          :options="[
            { value: false, label: 'Stands still' },
            { value: true, label: 'Still climbs' },
          ]"
        />
      </OneCard>
    </div>
    <OneCard title="Before the first start">
      <template v-if="result"
        ><InstrumentFace
          label="Red on the rail, black on ground"
          :figure="shown === null ? 'open' : engineering(shown, 'Ω')"
          :judgement="offVerdictWords[result.verdict]"
          :level="levels[result.verdict]"
          :scale="{
            from: result.shortBelowOhm / 10,
            log: true,
            value: shown ?? 1e6,
            bands: [
              { to: result.shortBelowOhm, level: 'stop', says: 'short' },
              { to: result.suspectBelowOhm, level: 'care', says: `from ${engineering(result.shortBelowOhm, 'Ω')}` },
              { to: result.suspectBelowOhm * 1000, level: 'fine', says: `from ${engineering(result.suspectBelowOhm, 'Ω')}: plausible` },
            ],
          }" />
        <FindingList :findings="result.findings"
      /></template>
      <EmptyPlace v-else says="Type what the meter shows; the judgement will appear here." />
    </OneCard>
  </div>
</template>
