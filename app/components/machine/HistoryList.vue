<script setup lang="ts">
import type { HistoryLine, MachineSheet } from '#shared/contracts/views'

/** The history, newest first; an observation can be struck with a reason, and stays in sight. */
const props = defineProps<{ sheet: MachineSheet }>()
const session = useSession()
const times = useTimes()
const shownAtFirst = 6
const all = ref(false)
const striking = ref<HistoryLine>()
const lines = computed(() => (all.value ? props.sheet.history : props.sheet.history.slice(0, shownAtFirst)))
</script>

<template>
  <OneCard title="History">
    <ol class="grid divide-y divide-line">
      <li v-for="line in lines" :key="line.id" class="grid gap-0.5 py-2 first:pt-0">
        <p :class="line.struck && 'line-through decoration-stop'">{{ line.says }}</p>
        <p v-if="line.struck" class="text-sm">Struck by {{ line.struck.by }}: {{ line.struck.reason }}</p>
        <p class="hint flex flex-wrap gap-x-2"><span class="figure">{{ line.seq }}</span><span>{{ times.exact(line.at) }}</span><span>{{ line.by }}</span><button v-if="line.strikeable && session.may('strike-entry')" type="button" class="ml-auto underline" :aria-label="`Strike: ${line.says}`" @click="striking = striking?.id === line.id ? undefined : line">Strike</button></p>
        <CommandForm v-if="striking?.id === line.id" command="strike-entry" :machine="sheet.tag" :initial="{ reason: '' }" :fixed="{ entryId: line.id }" label="Strike the entry" submit="Strike" @done="striking = undefined"><TextField name="reason" label="Why it is struck" /></CommandForm>
      </li>
    </ol>
    <div v-if="sheet.history.length > shownAtFirst"><button type="button" class="button button-quiet" @click="all = !all">{{ all ? 'Show the newest' : `Show all ${sheet.history.length}` }}</button></div>
  </OneCard>
</template>
