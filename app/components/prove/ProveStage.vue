<script setup lang="ts">
import type { MachineSheet } from '#shared/contracts/views'

defineProps<{ sheet: MachineSheet }>()
</script>

<template>
  <div class="grid gap-4">
    <RailsCard :sheet="sheet" />
    <SignOffCard :sheet="sheet" />
  </div>
</template>
