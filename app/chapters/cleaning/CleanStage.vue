<script setup lang="ts">
import type { SheetOf } from '#shared/chapters/index'

defineProps<{ sheet: SheetOf<'cleaning'> }>()
</script>

<template>
  <StageFrame>
    <div class="grid items-start gap-3 lg:grid-cols-2">
      <CleaningCard :sheet="sheet" />
      <WaitsCard :sheet="sheet" />
    </div>
  </StageFrame>
</template>
