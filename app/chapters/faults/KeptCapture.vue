<script setup lang="ts">
/** A capture that stays with a fault, read again when somebody asks for it. */
const props = defineProps<{ tag: string; attemptId: number; name: string }>()
const CaptureFace = defineAsyncComponent(() => import('~/tools/signals/CaptureInstrument.vue'))
const { found, trouble } = useCollection<{ text: string }>(
  () => ['capture', props.attemptId],
  () => `/api/machines/${encodeURIComponent(props.tag)}/captures/${props.attemptId}`,
)
</script>

<template>
  <p v-if="trouble" role="alert" class="text-stop">{{ trouble }}</p>
  <p v-else-if="!found" role="status" class="hint">Fetching {{ name }}…</p>
  <CaptureFace v-else :kept="found.text" />
</template>
