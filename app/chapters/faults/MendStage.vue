<script setup lang="ts">
import type { SheetOf } from '#shared/chapters/index'

defineProps<{ sheet: SheetOf<'faults' | 'parts'> }>()
</script>

<template>
  <div class="grid gap-4">
    <FaultsCard :sheet="sheet" />
    <PartsCard :sheet="sheet" />
  </div>
</template>
