<script setup lang="ts">
import { type Brick, askBack } from '#core/power/brick'
import { type Inlet, currentKindNames, polarityNames } from '#core/power/supply-match'

/** What is typed of an inlet, in a form whose field `inlet` holds it; beside the supply that came with the machine, where one did. */
const props = defineProps<{ kind?: Inlet['kind']; brick?: Brick | null }>()
const asked = (typed: string | number | null) => askBack(typed, props.brick ?? null)
</script>

<template>
  <div class="grid gap-3">
    <div class="grid gap-3 sm:grid-cols-4">
      <TextField v-slot="{ value }" name="inlet.voltageV" label="Volts of the inlet" numeric
        ><p v-if="asked(value)" role="status" class="text-care">{{ asked(value) }}</p></TextField
      ><TextField name="inlet.currentA" label="Amperes" numeric /><TextField name="inlet.outerMm" label="Outside, mm" numeric /><TextField
        name="inlet.innerMm"
        label="Pin, mm"
        numeric
      />
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
