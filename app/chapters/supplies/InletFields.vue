<script setup lang="ts">
import { type Inlet, currentKindNames, polarityNames } from '#core/power/supply-match'

/** What is typed of an inlet, in a form whose field `inlet` holds it. */
defineProps<{ kind?: Inlet['kind'] }>()
</script>

<template>
  <div class="grid gap-3">
    <div class="grid gap-3 sm:grid-cols-4">
      <TextField name="inlet.voltageV" label="Volts of the inlet" numeric /><TextField name="inlet.currentA" label="Amperes" numeric /><TextField
        name="inlet.outerMm"
        label="Outside, mm"
        numeric
      /><TextField name="inlet.innerMm" label="Pin, mm" numeric />
    </div>
    <div class="flex flex-wrap gap-x-6 gap-y-3">
      <ChoiceField name="inlet.kind" label="AC or DC" :options="choicesOf(currentKindNames)" /><ChoiceField
        v-if="kind !== 'ac'"
        name="inlet.polarity"
        label="Polarity"
        :options="[...choicesOf(polarityNames), { value: null, label: 'Not known' }]"
      />
    </div>
    <TickField name="inlet.regulatedInside" label="It has a regulator inside" />
  </div>
</template>
