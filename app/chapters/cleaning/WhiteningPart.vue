<script setup lang="ts">
import { fixed } from '#core/kernel/figure'
import { matchColour, matchWords } from '#core/cleaning/colour'
import { type WhiteningResult, whiteningWords } from '#core/cleaning/whitening-forecast'
import { decidingLevel } from '#core/kernel/finding'
import { exposureKinds } from '#shared/chapters/cleaning/index'
import type { SheetOf } from '#shared/chapters/index'

/** One part: how far it has come, how long it may go on, what was done to it. */
const props = defineProps<{ tag: string; part: SheetOf<'cleaning'>['cleaning']['whitenings'][number]; forecast: WhiteningResult }>()
const session = useSession()
const times = useTimes()
const stopped = computed(() => props.forecast.state === 'stop-done' || props.forecast.state === 'overdone')
const match = computed(() => matchColour({ part: props.part.colours.at(-1)!, reference: props.part.reference }))
/** What came back since its end: the last colour of the treatment against the newest. */
const rebound = computed(() => {
  const { endedAt, colours } = props.part
  const end = endedAt ? colours.findLast(c => c.at <= endedAt) : undefined
  const since = endedAt ? colours.findLast(c => c.at > endedAt) : undefined
  return end && since ? { by: since.b - end.b, at: since.at } : null
})
</script>

<template>
  <section class="grid gap-2 border-t border-line pt-2 first:border-0 first:pt-0" :aria-label="part.name">
    <h3>
      {{ part.name }}<span v-if="part.plastic" class="hint font-normal">, {{ part.plastic }}</span>
    </h3>
    <InstrumentFace
      v-if="!part.endedAt"
      :label="`Allowed before it is measured again; ${three(part.hours)} h so far`"
      :figure="forecast.nextHours > 0 ? `${three(forecast.nextHours)} h` : 'none'"
      :judgement="whiteningWords[forecast.state]"
      :level="decidingLevel(forecast.findings)"
    />
    <InstrumentFace
      v-else
      :label="`Ended ${times.day(part.endedAt)} after ${three(part.hours)} h: ${part.outcome}`"
      :figure="`ΔE ${match.deltaE.toFixed(1)}`"
      :judgement="matchWords[match.match]"
      :level="decidingLevel(match.findings)"
    />
    <p class="flex flex-wrap gap-x-5 text-[0.9375rem]">
      <span
        >Yellowing (Δb*) <span class="figure">{{ fixed(forecast.nowB, 1) }} ± {{ forecast.nowBError.toFixed(1) }}</span></span
      >
      <span v-if="forecast.endB"
        >ends at <span class="figure">{{ fixed(forecast.endB.low, 1) }} to {{ fixed(forecast.endB.high, 1) }}</span></span
      >
      <span v-if="forecast.overshootRisk !== null"
        >whiter by then <span class="figure">{{ Math.round(forecast.overshootRisk * 100) }} %</span></span
      >
      <span v-if="rebound" :class="rebound.by > 1 ? 'text-care' : ''"
        >since its end <span class="figure">{{ rebound.by > 0 ? '+' : '−' }}{{ Math.abs(rebound.by).toFixed(1) }}</span> in yellowing,
        {{ times.day(rebound.at) }}</span
      >
      <span v-if="part.relookOn">look again {{ times.day(`${part.relookOn}T12:00:00Z`) }}</span>
    </p>
    <WhiteningChart v-if="part.colours.length > 1" :result="forecast" :measured="part.colours" :reference-b="part.reference.b" :goal-b="part.goalB" />
    <FindingList v-if="!part.endedAt" :findings="forecast.findings" />
    <details v-if="part.exposures.length">
      <summary class="font-semibold">Exposures ({{ part.exposures.length }})</summary>
      <ul>
        <li v-for="one in part.exposures" :key="one.id">
          {{ times.day(one.at) }}: {{ exposureKinds[one.how].toLowerCase() }}, {{ three(one.hours) }} h{{
            one.strengthPct === null ? '' : `, ${one.strengthPct} %`
          }}{{ one.temperatureC === null ? '' : `, ${one.temperatureC} °C` }}{{ one.turned ? ', turned' : '' }}{{ one.note && `; ${one.note}` }}
        </li>
      </ul>
    </details>
    <div v-if="session.may('measure-colour')" class="grid gap-1">
      <AddPanel v-slot="{ close }" label="Measure its colour">
        <CommandForm
          command="measure-colour"
          :machine="tag"
          :initial="{ l: '', a: '', b: '', error: '1' } as never"
          :fixed="{ whiteningId: part.id }"
          label="Measure its colour"
          submit="Save colour"
          @done="close()"
          ><LabFields label="Colour now" /><ColourFromPhotograph :into="['']"
        /></CommandForm>
      </AddPanel>
      <AddPanel v-if="!part.endedAt && !stopped" v-slot="{ close }" label="Expose it">
        <CommandForm
          command="expose"
          :machine="tag"
          :initial="
            {
              how: 'cream',
              hours: forecast.nextHours > 0 ? String(Math.floor(forecast.nextHours * 4) / 4 || 0.25) : '',
              strengthPct: '',
              temperatureC: '',
              turned: false,
              note: '',
            } as never
          "
          :fixed="{ whiteningId: part.id }"
          label="Expose it"
          submit="Save exposure"
          @done="close()"
        >
          <div class="grid gap-2 sm:grid-cols-2"><CautionNote about="peroxide" /><CautionNote about="ultraviolet" /></div>
          <ChoiceField name="how" label="How" :options="choicesOf(exposureKinds)" />
          <div class="grid gap-3 sm:grid-cols-4">
            <TextField name="hours" label="Hours" numeric /><TextField name="strengthPct" label="Strength, %" numeric /><TextField
              name="temperatureC"
              label="°C"
              numeric
            /><TextField name="note" label="What changed" />
          </div>
          <ChoiceField
            name="turned"
            label="Shadows"
            :options="[
              { value: false, label: 'Not turned' },
              { value: true, label: 'Turned on the way' },
            ]"
          />
        </CommandForm>
      </AddPanel>
      <SunHoursPanel v-if="!part.endedAt && session.may('import-exposures')" :tag="tag" :whitening-id="part.id" />
      <AddPanel v-if="!part.endedAt" :key="String(stopped)" v-slot="{ close }" label="End treatment" :open="stopped">
        <CommandForm
          command="end-whitening"
          :machine="tag"
          :initial="{ outcome: '', relookOn: '' }"
          :fixed="{ whiteningId: part.id }"
          label="End treatment"
          submit="End treatment"
          @done="close()"
          ><div class="grid gap-3 sm:grid-cols-2">
            <TextField name="outcome" label="How it ended" /><DayField
              name="relookOn"
              label="Look again on"
              hint="Yellowing may return; half a year is usual."
            /></div
        ></CommandForm>
      </AddPanel>
    </div>
  </section>
</template>
