<script setup lang="ts">
/** What will appear here, and the first step towards it. */
defineProps<{ says: string }>()
</script>

<template>
  <div class="border border-dashed border-edge px-4 py-5 text-ink-2">
    <p>{{ says }}</p>
    <div class="mt-2 empty:hidden"><slot /></div>
  </div>
</template>
