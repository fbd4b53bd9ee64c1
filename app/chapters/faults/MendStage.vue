<script setup lang="ts">
import type { SheetOf } from '#shared/chapters/index'

defineProps<{ sheet: SheetOf<'faults' | 'parts'> }>()
</script>

<template>
  <StageFrame>
    <FaultsCard :sheet="sheet" />
    <PartsCard :sheet="sheet" />
  </StageFrame>
</template>
