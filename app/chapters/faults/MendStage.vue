<script setup lang="ts">
import type { SheetOf } from '#shared/chapters/index'
import { ProbeCard } from '../continuity/index'
import { PartsCard } from '../parts/index'
import { RecapCard } from '../recap/index'
import { WantsShownCard } from '../sought/index'
import { SisterBulletins } from '../sharing/index'

defineProps<{ sheet: SheetOf<'faults' | 'parts' | 'continuity' | 'sharing' | 'recap' | 'sought'> }>()
</script>

<template>
  <StageFrame>
    <SisterBulletins :sheet="sheet" />
    <FaultsCard :sheet="sheet" />
    <ProbeCard :sheet="sheet" />
    <RecapCard :sheet="sheet" />
    <PartsCard :sheet="sheet" />
    <WantsShownCard :sheet="sheet" />
  </StageFrame>
</template>
