<script setup lang="ts">
import type { SpecField } from '#core/parts/substitute/compare'
import { type PartKindName, partKindNames, partKinds } from '#core/parts/substitute/substitute'

/** What a part is like, by the fields of its kind, in a form; what is left empty is not known. */
const props = defineProps<{ kind: PartKindName | null | undefined }>()
const kinds = [{ value: null, label: 'Not said' }, ...partKindNames.map(value => ({ value, label: partKinds[value].title }))]
const fields = computed(() => (props.kind ? Object.entries<SpecField>(partKinds[props.kind].fields) : []))
</script>

<template>
  <PickField name="kind" label="Kind of part" :options="kinds" empty="Not said" hint="With its fields, Jolly Bench says what will do instead" />
  <SpecFormInputs v-if="kind && fields.length" :fields="fields" :of="kind" />
</template>
