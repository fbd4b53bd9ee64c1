<script setup lang="ts">
import { acquisitionNames } from '#shared/kernel/acquisitions'

/** Labels for machines as they come in: the tag, a code that opens the sheet, where it stands. */
const props = defineProps<{ tags: string[] }>()
const session = useSession()
const times = useTimes()
const { addressOf } = useMachineAddress()
const { list, trouble } = useMachineList(() => ({ tags: props.tags.join(','), sort: 'oldest', size: 100 }))
const missing = computed(() => (list.value ? props.tags.filter(tag => !list.value!.rows.some(m => m.tag === tag)) : []))
</script>

<template>
  <p v-if="trouble" role="alert" class="text-stop">{{ trouble }}</p>
  <p v-else-if="!list" role="status" class="hint">Fetching…</p>
  <template v-else>
    <p v-if="missing.length" class="no-print text-care">There is no machine with the tag {{ missing.join(', ') }}.</p>
    <ul class="grid gap-3 sm:grid-cols-2 print:grid-cols-2">
      <li
        v-for="machine in list.rows"
        :key="machine.tag"
        class="grid break-inside-avoid grid-cols-[1fr_auto] gap-3 border-2 border-black bg-white p-3 text-black"
      >
        <div class="grid min-w-0 content-start gap-1">
          <TagTape :tag="machine.tag" class="justify-self-start" />
          <p class="font-display text-xl font-semibold wrap-anywhere">{{ machine.nickname || machine.name }}</p>
          <p class="text-sm">{{ machine.name }}{{ machine.maker && `, ${machine.maker}` }}</p>
          <p class="text-sm">{{ acquisitionNames[machine.acquired] }}, {{ times.day(machine.bookedInAt) }}{{ machine.place && `; ${machine.place}` }}</p>
          <p class="text-sm">{{ session.collection?.name }}</p>
          <p class="text-sm font-semibold">Do not plug in. Ask first.</p>
        </div>
        <QrCode :text="addressOf(machine.tag)" class="h-32 w-32" />
      </li>
    </ul>
  </template>
</template>
