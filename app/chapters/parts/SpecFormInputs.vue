<script setup lang="ts">
import type { SpecField } from '#core/parts/substitute/compare'
import { askedAs } from '#core/parts/substitute/typed'

/** The fields of a part, in a form. @prop of whose fields they are; those of another kind begin anew */
defineProps<{ fields: [name: string, field: SpecField][]; of: string }>()
const unknown = { value: '', label: 'Not known' }
const yesOrNo = [unknown, { value: 'yes', label: 'Yes' }, { value: 'no', label: 'No' }]
const optionsOf = (field: SpecField) =>
  field.is === 'choice' ? [unknown, ...Object.entries(field.options).map(([value, label]) => ({ value, label }))] : yesOrNo
</script>

<template>
  <div class="grid grid-cols-2 gap-3 sm:grid-cols-3">
    <template v-for="[name, field] in fields" :key="`${of}.${name}`">
      <PickField
        v-if="field.is === 'choice' || field.is === 'flag'"
        :name="`spec.${name}`"
        :label="field.label"
        :options="optionsOf(field)"
        empty="Not known"
      />
      <TextField v-else :name="`spec.${name}`" :label="askedAs(name, field)" :numeric="field.is === 'figure'" />
    </template>
  </div>
</template>
