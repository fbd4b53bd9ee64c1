<script setup lang="ts">
/** Tells the page around a form what is being typed in it. */
const props = defineProps<{ values: Record<string, unknown> }>()
const emit = defineEmits<{ changed: [values: Record<string, unknown>] }>()
watch(
  () => props.values,
  values => emit('changed', values),
  { deep: true, immediate: true },
)
</script>

<template><span hidden /></template>
