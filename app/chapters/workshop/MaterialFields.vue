<script setup lang="ts">
import { shelfUnits } from '#core/cleaning/shelf'
</script>

<template>
  <div class="grid gap-3">
    <div class="grid gap-3 sm:grid-cols-2"><TextField name="name" label="Material" /><TextField name="place" label="Location" /></div>
    <div class="grid gap-3 sm:grid-cols-4">
      <TextField name="amount" label="How much" numeric /><ChoiceField name="unit" label="Counted in" :options="choicesOf(shelfUnits)" /><TextField
        name="strengthPct"
        label="Strength, %"
        numeric
      /><TextField name="lowAt" label="Wanted from" numeric hint="This much down" />
    </div>
    <div class="grid gap-3 sm:grid-cols-2"><DayField name="openedOn" label="Opened on" /><DayField name="useBy" label="Use by" /></div>
  </div>
</template>
