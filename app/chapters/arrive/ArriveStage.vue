<script setup lang="ts">
import type { SheetOf } from '#shared/chapters/index'
import { PhotographsCard } from '../look/index'
import { ConsentCard, SpendingCard } from '../stewardship/index'

defineProps<{ sheet: SheetOf<'arrive' | 'stewardship' | 'look'> }>()
</script>

<template>
  <StageFrame>
    <div class="grid items-start gap-3 lg:grid-cols-2">
      <IdentityCard :sheet="sheet" class="lg:col-span-2" />
      <ClaimsCard :sheet="sheet" />
      <AccessoriesCard :sheet="sheet" />
      <ConsentCard v-if="!sheet.stewardship.ours" :sheet="sheet" />
      <SpendingCard :sheet="sheet" :class="sheet.stewardship.ours && 'lg:col-span-2'" />
      <PhotographsCard :sheet="sheet" class="lg:col-span-2" />
      <LiftCard v-if="sheet.identity.weightKg !== null" :mass-kg="sheet.identity.weightKg" class="lg:col-span-2" />
      <DateCodesCard :sheet="sheet" class="lg:col-span-2" />
    </div>
  </StageFrame>
</template>
