<script setup lang="ts">
import type { SheetOf } from '#shared/chapters/index'
import { WaitsCard } from '../waits/index'
import { SharedThingsCard } from '../workshop/index'

/** Clean, in the order of the work: what got in, the plan, what dries, what is whitened, the waits. */
defineProps<{ sheet: SheetOf<'cleaning' | 'workshop'> }>()
</script>

<template>
  <StageFrame>
    <ContaminationCard :sheet="sheet" />
    <PlanCard :sheet="sheet" />
    <PartsToCleanCard :sheet="sheet" />
    <SharedThingsCard :sheet="sheet" />
    <CountedCard :sheet="sheet" />
    <CopperCard :sheet="sheet" />
    <DryingCard :sheet="sheet" />
    <WhiteningCard :sheet="sheet" />
    <WaitsCard :sheet="sheet" />
    <CleaningCard :sheet="sheet" />
  </StageFrame>
</template>
