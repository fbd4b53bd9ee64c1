<script setup lang="ts">
import type { SheetOf } from '#shared/chapters/index'

/** Faults, what was observed about each, and what was done. */
const props = defineProps<{ sheet: SheetOf<'faults'> }>()
const session = useSession()
const standing = computed(() => props.sheet.faults.filter(f => f.open && f.leftAs !== 'known').length)
</script>

<template>
  <OneCard
    title="Faults"
    :state="standing ? 'open' : sheet.faults.length ? 'done' : 'none'"
    :result="standing ? `${standing} open` : sheet.faults.length ? 'None open' : 'None reported'"
    stays
    hint="Rails first, then clock and reset, then is the processor executing, then memory, video, ports. After battery damage, suspect the damaged zone first."
  >
    <CautionNote about="solder" />
    <EmptyPlace v-if="!sheet.faults.length" says="No faults reported. A symptom in plain words is enough to start with." />
    <ul v-else class="grid gap-3">
      <li v-for="fault in sheet.faults" :key="fault.id"><OneFault :sheet="sheet" :fault="fault" /></li>
    </ul>
    <AddPanel v-if="session.may('report-fault')" v-slot="{ close }" label="Report a fault" :open="!sheet.faults.length">
      <ReportFault :sheet="sheet" @done="close()" />
    </AddPanel>
  </OneCard>
</template>
