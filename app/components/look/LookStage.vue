<script setup lang="ts">
import type { MachineSheet } from '#shared/contracts/views'

defineProps<{ sheet: MachineSheet }>()
</script>

<template>
  <div class="grid gap-4">
    <AssembliesCard :sheet="sheet" />
    <DamageCard :sheet="sheet" />
  </div>
</template>
