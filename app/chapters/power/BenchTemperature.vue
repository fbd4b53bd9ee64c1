<script setup lang="ts">
/** A temperature with one thumb. */
defineProps<{ tag: string }>()
</script>

<template><TemperatureForm :tag="tag" brief /></template>
