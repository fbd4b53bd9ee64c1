<script setup lang="ts">
/** A temperature with one thumb. */
defineProps<{ tag: string }>()
// It stays open for the next part, and hands nothing of the sheet on to the form.
defineOptions({ inheritAttrs: false })
</script>

<template><TemperatureForm :tag="tag" brief /></template>
