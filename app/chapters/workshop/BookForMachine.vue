<script setup lang="ts">
import type { ThingView } from '#shared/chapters/workshop/index'

/** The form for a booking of one machine, once it is known which parts it has to clean. */
const props = defineProps<{ tag: string; things: ThingView[] }>()
defineEmits<{ done: [] }>()
const { sheet, trouble } = useSheet(
  () => props.tag,
  () => ['cleaning'] as const,
)
</script>

<template>
  <p v-if="trouble" role="alert" class="text-stop">{{ trouble }}</p>
  <p v-else-if="!sheet" role="status" class="hint">Fetching…</p>
  <BookingForm v-else :tag="tag" :things="things" :parts="sheet.cleaning.parts" @done="$emit('done')" />
</template>
