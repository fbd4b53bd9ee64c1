<script setup lang="ts">
import { whiteningWords } from '#core/cleaning/whitening-forecast'
import { matchColour, matchWords } from '#core/cleaning/colour'
import type { SheetOf } from '#shared/chapters/index'

/** Yellowed parts, each followed by its measured colour until it has had enough. */
const props = defineProps<{ sheet: SheetOf<'cleaning'> }>()
const session = useSession()
const parts = computed(() => props.sheet.cleaning.whitenings)
const { forecasts, trouble } = useForecasts(() => parts.value)
const running = computed(() => parts.value.filter(p => !p.endedAt))
const state = computed(() => (running.value.length ? 'open' : parts.value.length ? 'done' : 'none'))
const result = computed(
  () =>
    parts.value
      .map(part => {
        const forecast = forecasts.value[part.id]
        const word = part.endedAt
          ? matchWords[matchColour({ part: part.colours.at(-1)!, reference: part.reference }).match]
          : forecast
            ? whiteningWords[forecast.state]
            : trouble.value
              ? 'not reckoned'
              : 'reckoning…'
        return `${part.name}: ${word.toLowerCase()}`
      })
      .join('; ') || 'No part is followed',
)
const lab = { l: '', a: '', b: '', error: '1' } as never
</script>

<template>
  <OneCard
    title="Whitening"
    hint="Two plastics on one machine count as two parts. Measure before the first exposure and after each one."
    :state="state"
    :result="result"
  >
    <template v-for="part in parts" :key="part.id">
      <WhiteningPart v-if="forecasts[part.id]" :tag="sheet.tag" :part="part" :forecast="forecasts[part.id]!" />
      <p v-else-if="trouble" role="alert" class="text-stop">{{ part.name }} cannot be reckoned: {{ trouble }}</p>
      <p v-else role="status" class="hint">Reckoning how {{ part.name }} goes on…</p>
    </template>
    <AddPanel v-if="session.may('follow-whitening')" v-slot="{ close }" label="Follow a part" :open="!parts.length">
      <CommandForm
        command="follow-whitening"
        :machine="sheet.tag"
        :initial="{ name: '', plastic: '', goalB: '1' as never, reference: lab, first: lab }"
        label="Follow a part"
        submit="Follow"
        @done="close()"
      >
        <p v-if="sheet.cleaning.schools.plastic === 'leave'" class="hint">The practice here is to leave yellowed plastic as patina; this part would differ.</p>
        <div class="grid gap-3 sm:grid-cols-3">
          <TextField name="name" label="Part" /><TextField
            name="plastic"
            label="Plastic"
            hint="Parts of the same plastic are used to estimate each other"
          /><TextField name="goalB" label="Done at a yellowing of (Δb*)" numeric />
        </div>
        <LabFields prefix="first" label="Colour now" />
        <LabFields prefix="reference" label="A part that never yellowed" />
        <ColourFromPhotograph :into="['first', 'reference']" />
      </CommandForm>
    </AddPanel>
  </OneCard>
</template>
