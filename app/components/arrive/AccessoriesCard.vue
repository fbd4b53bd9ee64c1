<script setup lang="ts">
import type { MachineSheet } from '#shared/contracts/views'

/** What came with it: supply, leads, manuals, media, box. */
defineProps<{ sheet: MachineSheet }>()
const session = useSession()
</script>

<template>
  <OneCard title="Came with it">
    <EmptyPlace v-if="!sheet.accessories.length" says="Nothing noted. Count the supply, leads, manuals, media and packing." />
    <ul v-else class="ml-5 list-disc"><li v-for="thing in sheet.accessories" :key="thing.id">{{ thing.name }}</li></ul>
    <AddPanel v-if="session.may('note-accessory')" label="Note something"><CommandForm command="note-accessory" :machine="sheet.tag" :initial="{ name: '' }" label="Note something" submit="Note it"><TextField name="name" label="What came with it" /></CommandForm></AddPanel>
  </OneCard>
</template>
