<script setup lang="ts">
import type { SheetOf } from '#shared/chapters/index'

/** Faults, what was observed about each, and what was done. */
defineProps<{ sheet: SheetOf<'faults'> }>()
const session = useSession()
</script>

<template>
  <OneCard
    title="Faults"
    :state="sheet.faults.some(f => f.open && f.leftAs !== 'known') ? 'open' : sheet.faults.length ? 'done' : 'none'"
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
