<script setup lang="ts">
/** A measured colour, typed from a colour meter or filled in from a photograph. */
const props = defineProps<{ prefix?: string; label: string }>()
const name = (field: string) => (props.prefix ? `${props.prefix}.${field}` : field)
</script>

<template>
  <fieldset class="grid gap-1">
    <legend class="font-semibold">{{ label }}</legend>
    <div class="grid grid-cols-4 gap-2">
      <TextField :name="name('l')" label="L*" numeric /><TextField :name="name('a')" label="a*" numeric /><TextField
        :name="name('b')"
        label="b*"
        numeric
      /><TextField :name="name('error')" label="± one standard error (σ)" numeric />
    </div>
  </fieldset>
</template>
