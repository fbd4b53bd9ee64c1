<script setup lang="ts">
import type { SpecField } from '#core/parts/substitute/compare'
import { type PartKindName, partKinds } from '#core/parts/substitute/substitute'
import { type TypedSpec, askedAs } from '#core/parts/substitute/typed'

/** What is known of a part, field by field; what is left empty is not known. */
const props = defineProps<{ kind: PartKindName; at?: (field: string) => string | undefined }>()
const typed = defineModel<TypedSpec>({ required: true })
const fields = computed(() => Object.entries<SpecField>(partKinds[props.kind].fields))
const optionsOf = (field: SpecField) => [
  { value: '', label: 'Not known' },
  ...(field.is === 'choice'
    ? Object.entries(field.options).map(([value, label]) => ({ value, label }))
    : [
        { value: 'yes', label: 'Yes' },
        { value: 'no', label: 'No' },
      ]),
]
const put = (name: string, text: string) => (typed.value = { ...typed.value, [name]: text })
</script>

<template>
  <div class="grid grid-cols-2 gap-3">
    <template v-for="[name, field] in fields" :key="name">
      <SelectField
        v-if="field.is === 'choice' || field.is === 'flag'"
        :model-value="typed[name] ?? ''"
        :label="field.label"
        :options="optionsOf(field)"
        @update:model-value="put(name, $event)"
      />
      <MeasureField
        v-else
        :model-value="typed[name] ?? ''"
        :label="askedAs(name, field)"
        :words="field.is === 'words'"
        :message="at?.(name)"
        @update:model-value="put(name, $event)"
      />
    </template>
  </div>
</template>
