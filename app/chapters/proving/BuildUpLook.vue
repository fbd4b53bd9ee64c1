<script setup lang="ts">
import { useFieldArray } from 'vee-validate'
import { shownRail } from '#core/power/rails'

/** What a step of a build-up showed: a word, and rails where they were read; a rail without a figure was not read. */
defineProps<{ rails: string[]; failing: boolean }>()
const { fields } = useFieldArray<{ rail: string; valueV: string }>('readings')
</script>

<template>
  <div v-if="fields.length" class="grid grid-cols-[repeat(auto-fill,minmax(7rem,1fr))] gap-3">
    <TextField v-for="(field, i) in fields" :key="field.key" :name="`readings[${i}].valueV`" :label="shownRail(rails[i] ?? field.value.rail)" numeric />
  </div>
  <TextField name="seen" :label="failing ? 'What was seen instead' : 'What was seen'" :hint="failing ? undefined : 'A word if you like'" />
</template>
