<script setup lang="ts">
import type { SheetOf } from '#shared/chapters/index'
import { RailsCard } from '../power/index'

defineProps<{ sheet: SheetOf<'power' | 'proving'> }>()
</script>

<template>
  <StageFrame>
    <BuildUpCard :sheet="sheet" />
    <RailsCard :sheet="sheet" />
    <TestSheetCard :sheet="sheet" />
    <SoakCard :sheet="sheet" />
    <SignOffCard :sheet="sheet" />
  </StageFrame>
</template>
