<script setup lang="ts">
import type { PowerFacts } from '#core/safety/power-facts'
import type { SheetOf } from '#shared/chapters/index'

/** The gate as it stands, or as it would stand with what is being entered; then what it rests on, in the order of the work. */
const props = defineProps<{ sheet: SheetOf<'look' | 'power' | 'starts'> }>()
const typed = ref<Record<string, unknown>>({})
const inspectedBy = computed(() => {
  const id = 'inspectedById' in typed.value ? typed.value.inspectedById : props.sheet.power.inspectedById
  return id === null ? '' : String(id)
})
const facts = computed<PowerFacts>(() => ({ ...((typed.value.facts as PowerFacts | undefined) ?? props.sheet.power.entered), ...props.sheet.power.measured }))
</script>

<template>
  <div class="grid gap-4">
    <GateCard :sheet="sheet" :facts="facts" :inspected-by="inspectedBy" />
    <StageSteps :steps="['Hazards', 'Facts for power', 'Batteries', 'Supply', 'Rails with the power off', 'First start', 'Heat']" />
    <AlarmsCard v-if="sheet.power.alarms.length" :sheet="sheet" />
    <HazardsCard :sheet="sheet" />
    <FactsCard :sheet="sheet" @typed="typed = $event" />
    <BatteriesCard :sheet="sheet" />
    <SupplyCard :sheet="sheet" />
    <OffStateCard :sheet="sheet" />
    <FirstStartCard :sheet="sheet" />
    <HeatCard :sheet="sheet" />
  </div>
</template>
