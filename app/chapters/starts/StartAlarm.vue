<script setup lang="ts">
import type { Finding } from '#core/kernel/finding'

/** Off now: in words, size and sign, with what called for it. */
defineProps<{ called: Finding | null }>()
</script>

<template>
  <div role="alert" class="grid gap-3 border-4 border-stop bg-stop p-4 text-center text-card sm:grid-cols-[auto_1fr] sm:text-left">
    <svg viewBox="0 0 16 16" class="mx-auto h-24 w-24" aria-hidden="true">
      <rect x="1" y="1" width="14" height="14" fill="currentColor" />
      <rect x="3" y="6.7" width="10" height="2.6" fill="var(--stop)" />
    </svg>
    <div>
      <p class="font-display text-6xl font-bold sm:text-7xl">Off now</p>
      <p class="text-xl font-semibold">{{ called?.says }}</p>
      <p v-for="fact in called?.because" :key="fact">{{ fact }}</p>
    </div>
  </div>
</template>
