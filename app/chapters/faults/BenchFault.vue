<script setup lang="ts">
/** A fault with one thumb: its words, and what others like it had. */
const props = defineProps<{ tag: string }>()
defineEmits<{ done: [] }>()
const { sheet, trouble } = useSheet(() => props.tag, ['faults'])
</script>

<template>
  <p v-if="!sheet" role="status" class="hint">{{ trouble || 'Fetching what is known…' }}</p>
  <ReportFault v-else :sheet="sheet" brief @done="$emit('done')" />
</template>
