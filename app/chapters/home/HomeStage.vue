<script setup lang="ts">
import type { SheetOf } from '#shared/chapters/index'

defineProps<{ sheet: SheetOf<'home'> }>()
</script>

<template>
  <StageFrame>
    <LineOfTime :tag="sheet.tag" />
    <div class="grid items-start gap-4 lg:grid-cols-2">
      <div class="grid gap-4"><LifeCard :sheet="sheet" /><DemonstrationsCard :sheet="sheet" /><BagsCard :sheet="sheet" /></div>
      <div class="grid gap-4"><OutcomeCard :sheet="sheet" /><PassportCard :sheet="sheet" /></div>
    </div>
  </StageFrame>
</template>
