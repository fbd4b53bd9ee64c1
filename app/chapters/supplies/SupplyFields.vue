<script setup lang="ts">
import { currentKindNames, polarityNames } from '#core/power/supply-match'

/** What is typed off the label of a supply. */
const unknown = { value: null, label: 'Not known' }
</script>

<template>
  <div class="grid gap-3">
    <div class="grid gap-3 sm:grid-cols-2"><TextField name="name" label="Name on its tag" /><TextField name="place" label="Where it lies" /></div>
    <div class="grid gap-3 sm:grid-cols-3">
      <TextField name="label.voltageV" label="Volts on the label" numeric /><TextField name="label.currentA" label="Amperes on it" numeric /><TextField
        name="label.unloadedV"
        label="Unloaded, volts"
        numeric
        hint="Measured; empty: not"
      /><TextField name="label.outerMm" label="Plug outside, mm" numeric /><TextField name="label.innerMm" label="Bore, mm" numeric />
    </div>
    <div class="flex flex-wrap gap-x-6 gap-y-3">
      <ChoiceField name="label.kind" label="It gives" :options="[...choicesOf(currentKindNames), unknown]" /><ChoiceField
        name="label.polarity"
        label="Polarity of the plug"
        :options="[...choicesOf(polarityNames), unknown]"
      /><ChoiceField name="label.regulated" label="Regulated" :options="[{ value: true, label: 'Yes' }, { value: false, label: 'No' }, unknown]" />
    </div>
  </div>
</template>
