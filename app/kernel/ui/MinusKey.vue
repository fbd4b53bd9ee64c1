<script setup lang="ts">
/** Turns the sign of a figure, on phones whose pad of figures has none. */
defineProps<{ label: string }>()
defineEmits<{ turned: [] }>()
</script>

<template>
  <button type="button" class="button min-h-11 justify-self-start wide:hidden" @click="$emit('turned')">
    <span aria-hidden="true">+ / −</span><span class="sr-only">Turn the sign of {{ label }}</span>
  </button>
</template>
