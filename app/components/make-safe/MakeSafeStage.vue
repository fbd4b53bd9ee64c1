<script setup lang="ts">
import type { MachineSheet } from '#shared/contracts/views'

/** The gate as it stands, or as it would stand with what is being entered; and the facts it rests on. */
const props = defineProps<{ sheet: MachineSheet }>()
const typed = ref<Record<string, unknown>>({})
const facts = computed(() => ({ ...typed.value.facts as object | undefined, rails: props.sheet.power.facts.rails }))
</script>

<template>
  <div class="grid gap-4">
    <GateCard :sheet="sheet" :facts="facts" :inspected-by="String(typed.inspectedBy ?? sheet.power.inspectedBy)" />
    <FactsCard :sheet="sheet" @typed="typed = $event" />
  </div>
</template>
