<script setup lang="ts">
import { shortFact } from '#core/power/off-state'
import type { PowerFacts } from '#core/safety/power-facts'
import type { MachineSheet } from '#shared/contracts/views'

/** The gate as it stands, or as it would stand with what is being entered; and the facts it rests on. */
const props = defineProps<{ sheet: MachineSheet }>()
const typed = ref<Record<string, unknown>>({})
const facts = computed(() => {
  const entered = typed.value.facts as PowerFacts | undefined
  return { ...entered, shortedRail: shortFact(entered?.shortedRail, props.sheet.power.offState.map(r => r.last?.verdict ?? null)), rails: props.sheet.power.facts.rails }
})
</script>

<template>
  <div class="grid gap-4">
    <GateCard :sheet="sheet" :facts="facts" :inspected-by="String(typed.inspectedBy ?? sheet.power.inspectedBy)" />
    <HazardsCard :sheet="sheet" />
    <OffStateCard :sheet="sheet" />
    <FactsCard :sheet="sheet" @typed="typed = $event" />
  </div>
</template>
