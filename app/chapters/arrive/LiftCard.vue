<script setup lang="ts">
import { judgeLift } from '#core/safety/lift'

/** What it takes to lift this machine from the floor to a bench. */
const props = defineProps<{ massKg: number }>()
const benchCm = 90
const floorCm = 20
const result = computed(() => judgeLift({ massKg: props.massKg, fromHeightCm: floorCm, toHeightCm: benchCm, reachCm: 30 }))
</script>

<template>
  <OneCard
    title="Lifting"
    :state="result.people > 1 ? 'open' : 'done'"
    :result="result.findings[0]?.says"
    :hint="`${massKg} kg, from the floor to a bench, held close.`"
  >
    <template #aside><NuxtLink to="/tools/safety/lift">Another way of lifting</NuxtLink></template>
    <FindingList :findings="result.findings" brief />
    <template v-if="result.people > 1"
      ><p class="hint">Somebody leads the lift. <WhoCould skill="lifting" /></p>
      <CautionNote about="lifting"
    /></template>
  </OneCard>
</template>
