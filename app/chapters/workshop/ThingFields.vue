<script setup lang="ts">
import { thingKinds } from '#core/cleaning/bookings'
</script>

<template>
  <div class="grid gap-3">
    <div class="grid gap-3 sm:grid-cols-2"><TextField name="name" label="Name" /><TextField name="place" label="Location" /></div>
    <ChoiceField name="kind" label="What it is" :options="choicesOf(thingKinds)" />
    <div class="grid gap-3 sm:grid-cols-3">
      <TextField name="roomL" label="Room inside, l" hint="Litres, or its lengths in cm: 60 × 40 × 30" /><TextField
        name="minC"
        label="Held at least at, °C"
        numeric
        hint="Leave empty if it is not heated"
      /><TextField name="maxC" label="At most, °C" numeric hint="Leave empty if it is not heated" />
    </div>
    <TextField name="limits" label="What to mind" hint="Such as only distilled water, never solvents" />
  </div>
</template>
