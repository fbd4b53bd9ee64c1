<script setup lang="ts">
import { readMoment } from '#core/kernel/read-day'

/** A day and a time on the collection's clock, as `2026-11-28T21:30`; beside a form's own fields, since the form sends the instant it means. */
defineProps<{ label: string; hint?: string }>()
const local = defineModel<string>({ required: true })
const id = useId()
const left = ref(false)
const message = computed(() =>
  left.value && local.value && !readMoment(local.value, '2000-01-01') ? 'A day and a time, such as 28 Nov 2026 21:30, or “tomorrow 9:00”.' : undefined,
)
</script>

<template>
  <FieldFrame :id="id" v-slot="{ described }" :label="label" :hint="hint" :message="message">
    <DayInput :id="id" v-model="local" timed :label="label" :described="described" :invalid="!!message" @left="left = true" />
  </FieldFrame>
</template>
