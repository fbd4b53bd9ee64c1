<script setup lang="ts">
import type { SpecField } from '#core/parts/substitute/compare'
import { type PartKindName, partKindNames, partKinds } from '#core/parts/substitute/substitute'
import { askedAs } from '#core/parts/substitute/typed'

/** What a part is like, by the fields of its kind, in a form; what is left empty is not known. */
const props = defineProps<{ kind: PartKindName | null | undefined }>()
const kinds = [{ value: null, label: 'Not said' }, ...partKindNames.map(value => ({ value, label: partKinds[value].title }))]
const fields = computed(() => (props.kind ? Object.entries<SpecField>(partKinds[props.kind].fields) : []))
const unknown = { value: '', label: 'Not known' }
const yesOrNo = [unknown, { value: 'yes', label: 'Yes' }, { value: 'no', label: 'No' }]
const optionsOf = (field: SpecField) =>
  field.is === 'choice' ? [unknown, ...Object.entries(field.options).map(([value, label]) => ({ value, label }))] : yesOrNo
</script>

<template>
  <PickField name="kind" label="Kind of part" :options="kinds" empty="Not said" hint="With its fields, Jolly Bench says what will do instead" />
  <div v-if="fields.length" class="grid grid-cols-2 gap-3 sm:grid-cols-3">
    <template v-for="[name, field] in fields" :key="`${kind}.${name}`">
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
