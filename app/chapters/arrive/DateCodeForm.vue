<script setup lang="ts">
import type { SheetHead } from '#shared/kernel/machine'

/** One code off one part, read as it is typed; on an assembly, its name goes before the part's. */
const props = defineProps<{ sheet: SheetHead; assembly?: string }>()
const initial = computed(() => ({ code: '', part: props.assembly ? `${props.assembly}, ` : '', reworked: false, socketed: false }))
</script>

<template>
  <CommandForm command="read-date-code" :machine="sheet.tag" :initial="initial" label="Read a date code" submit="Save code">
    <template #default="{ values }"
      ><div class="grid gap-3 sm:grid-cols-2"><TextField name="code" label="Marking" numeric /><TextField name="part" label="On which part" /></div>
      <div class="flex flex-wrap gap-x-6 gap-y-2"><TickField name="reworked" label="Signs of rework" /><TickField name="socketed" label="In a socket" /></div>
      <DateCodeReadings :code="String(values.code ?? '')"
    /></template>
  </CommandForm>
</template>
