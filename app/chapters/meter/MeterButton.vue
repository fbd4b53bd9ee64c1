<script setup lang="ts">
import { useSetFieldValue } from 'vee-validate'
import type { MeterFunction } from '#core/power/scpi'

/** Takes a figure from the meter into a field of the form around it. */
const props = defineProps<{ what: MeterFunction; into: string }>()
const setValue = useSetFieldValue<string>(() => props.into)
</script>

<template><MeterTake :what="what" @taken="setValue" /></template>
