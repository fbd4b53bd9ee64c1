<script setup lang="ts">
import type { PowerFacts } from '#core/safety/power-facts'
import type { SheetOf } from '#shared/chapters/index'
import { FirstStartCard } from '../starts/index'
import { SupplyCard } from '../supplies/index'

/** The gate as it stands, or as it would stand with what is being entered; then what it rests on, in the order of the work. */
const props = defineProps<{ sheet: SheetOf<'look' | 'power' | 'starts'> }>()
const typed = ref<Record<string, unknown>>({})
const inspectedBy = computed(() => {
  const id = 'inspectedById' in typed.value ? typed.value.inspectedById : props.sheet.power.inspectedById
  return id === null ? '' : String(id)
})
const facts = computed<PowerFacts>(() => ({ ...((typed.value.facts as PowerFacts | undefined) ?? props.sheet.power.entered), ...props.sheet.power.measured }))
const { gate, changed } = useGateAsEntered(() => props.sheet, facts, inspectedBy)
</script>

<template>
  <StageFrame>
    <template #decides="{ scrolled }">
      <span class="flex max-w-3/5 shrink-0 flex-wrap items-center gap-x-2" role="status">
        <GateSign v-if="scrolled || changed" :verdict="gate.verdict" small />
        <span v-if="changed" class="text-sm font-semibold text-care">as entered, not kept yet: {{ changed }}</span>
      </span>
    </template>
    <GateCard :sheet="sheet" :gate="gate" :entered="changed !== ''" />
    <AlarmsCard v-if="sheet.power.alarms.length" :sheet="sheet" />
    <HazardsCard :sheet="sheet" />
    <FactsCard :sheet="sheet" @typed="typed = $event" />
    <BatteriesCard :sheet="sheet" />
    <SupplyCard :sheet="sheet" />
    <OffStateCard :sheet="sheet" />
    <FirstStartCard :sheet="sheet" />
    <HeatCard :sheet="sheet" />
  </StageFrame>
</template>
