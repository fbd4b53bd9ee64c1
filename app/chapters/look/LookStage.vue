<script setup lang="ts">
import type { SheetOf } from '#shared/chapters/index'
import { AwayCard } from '../custody/index'
import { InventoryCard } from '../inventory/index'
import { SettingsFoundCard } from '../setup/index'
import { OpeningCard } from '../opening/index'
import { LettersCard, PathsCard } from '../stewardship/index'

defineProps<{ sheet: SheetOf<'arrive' | 'stewardship' | 'look' | 'inventory' | 'setup' | 'custody' | 'opening'> }>()
</script>

<template>
  <StageFrame>
    <AssembliesCard :sheet="sheet" />
    <PhotographsCard :sheet="sheet" />
    <div class="grid items-start gap-4 lg:grid-cols-2 xl:grid-cols-1 2xl:grid-cols-2">
      <DamageCard :sheet="sheet" />
      <InterventionsCard :sheet="sheet" />
    </div>
    <InventoryCard :sheet="sheet" />
    <SettingsFoundCard :sheet="sheet" />
    <AwayCard :sheet="sheet" />
    <ChecksCard :sheet="sheet" />
    <OpeningCard :sheet="sheet" />
    <PathsCard :sheet="sheet" />
    <LettersCard v-if="!sheet.stewardship.ours" :sheet="sheet" />
  </StageFrame>
</template>
