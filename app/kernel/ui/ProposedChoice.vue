<script setup lang="ts" generic="V extends string | boolean">
import { useField } from 'vee-validate'

/** One of a few: proposed by words until somebody chooses, and said so. */
const props = defineProps<{ name: string; label: string; options: { value: V; label: string }[]; proposal: V | undefined; hint?: string }>()
const { value } = useField<V | null | undefined>(() => props.name)
watch(
  () => props.proposal,
  (now, before) => {
    const open = value.value === null || value.value === undefined
    // Nothing is proposed yet: a form that nobody has touched stays as it was.
    if (open && now === undefined) return
    if (open || value.value === before) value.value = now
  },
  { immediate: true },
)
</script>

<template>
  <ChoiceField :name="name" :label="label" :options="options" :hint="hint" />
</template>
