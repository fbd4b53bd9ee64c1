<script setup lang="ts">
import type { SheetOf } from '#shared/chapters/index'

defineProps<{ sheet: SheetOf<'power' | 'proving'> }>()
</script>

<template>
  <div class="grid gap-4">
    <RailsCard :sheet="sheet" />
    <SignOffCard :sheet="sheet" />
  </div>
</template>
