<script setup lang="ts">
import type { MachineSheet } from '#shared/contracts/views'

/** What was said of it. Claims are evidence, not facts. */
defineProps<{ sheet: MachineSheet }>()
const session = useSession()
</script>

<template>
  <OneCard title="Claimed" hint="Evidence, not facts.">
    <EmptyPlace v-if="!sheet.claims.length" says="Nobody said anything. Claims of the giver stand here, in their words." />
    <ul v-else class="grid gap-2"><li v-for="claim in sheet.claims" :key="claim.id"><p>“{{ claim.says }}”</p><p v-if="claim.byWhom" class="hint">{{ claim.byWhom }}</p></li></ul>
    <AddPanel v-if="session.may('add-claim')" v-slot="{ close }" label="Add a claim"><CommandForm command="add-claim" :machine="sheet.tag" :initial="{ says: '', byWhom: '' }" label="Add a claim" submit="Keep the claim" @done="close()"><TextField name="says" label="Claim" :lines="2" /><TextField name="byWhom" label="By whom" /></CommandForm></AddPanel>
  </OneCard>
</template>
