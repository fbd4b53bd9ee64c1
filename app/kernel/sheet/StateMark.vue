<script setup lang="ts">
import type { CardState } from './stageParts'

/** How a card stands: an empty box, a tick, a dash. */
defineProps<{ state: CardState }>()
</script>

<template>
  <span class="inline-flex shrink-0 items-center" :class="state === 'open' ? 'text-care' : state === 'done' ? 'text-fine' : 'text-ink-2'">
    <svg viewBox="0 0 12 12" class="h-3 w-3" aria-hidden="true">
      <rect v-if="state === 'open'" x="1.500" y="1.500" width="9" height="9" fill="none" stroke="currentColor" stroke-width="1.600" />
      <path v-else-if="state === 'done'" d="M1.500 6.500 4.800 9.800 10.500 2.500" fill="none" stroke="currentColor" stroke-width="2" />
      <path v-else d="M2 6h8" stroke="currentColor" stroke-width="1.600" /></svg
    ><span class="sr-only">{{ cardStateWords[state] }}</span>
  </span>
</template>
