<script setup lang="ts">
import type { SheetOf } from '#shared/chapters/index'

/** Faults, what was observed about each, and what was done. */
defineProps<{ sheet: SheetOf<'faults'> }>()
const session = useSession()
</script>

<template>
  <OneCard
    title="Faults"
    hint="Rails first, then clock and reset, then is the processor executing, then memory, video, ports. After battery damage, suspect the damaged zone first."
  >
    <CautionNote about="solder" />
    <EmptyPlace v-if="!sheet.faults.length" says="No fault reported. A symptom in plain words is enough to start with." />
    <ul v-else class="grid gap-3">
      <li v-for="fault in sheet.faults" :key="fault.id"><OneFault :sheet="sheet" :fault="fault" /></li>
    </ul>
    <AddPanel v-if="session.may('report-fault')" v-slot="{ close }" label="Report a fault" :open="!sheet.faults.length">
      <CommandForm
        command="report-fault"
        :machine="sheet.tag"
        :initial="{ symptom: '', firstSeen: '', stopsMachine: true }"
        label="Report a fault"
        submit="Report it"
        @done="close()"
      >
        <div class="grid gap-3 sm:grid-cols-2">
          <TextField name="symptom" label="Symptom" /><TextField name="firstSeen" label="First seen" hint="A year, month or day" />
        </div>
        <TickField name="stopsMachine" label="It stops the machine" />
      </CommandForm>
    </AddPanel>
  </OneCard>
</template>
