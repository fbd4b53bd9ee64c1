<script setup lang="ts">
import type { MachineSheet } from '#shared/contracts/views'

defineProps<{ sheet: MachineSheet }>()
</script>

<template>
  <div class="grid items-start gap-4 lg:grid-cols-2">
    <CleaningCard :sheet="sheet" />
    <WaitsCard :sheet="sheet" />
  </div>
</template>
