<script setup lang="ts">
import type { SheetOf } from '#shared/chapters/index'
import { ProbeCard } from '../continuity/index'
import { PartsCard } from '../parts/index'
import { SisterBulletins } from '../sharing/index'

defineProps<{ sheet: SheetOf<'faults' | 'parts' | 'continuity' | 'sharing'> }>()
</script>

<template>
  <StageFrame>
    <SisterBulletins :sheet="sheet" />
    <FaultsCard :sheet="sheet" />
    <ProbeCard :sheet="sheet" />
    <PartsCard :sheet="sheet" />
  </StageFrame>
</template>
