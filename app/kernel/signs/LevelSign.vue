<script setup lang="ts">
import type { Level } from '#core/kernel/finding'

/** Sign, word and colour of a finding's level; the shapes are those of the gate. */
defineProps<{ level: Level }>()
const words: Record<Level, string> = { stop: 'Stop', care: 'Care', fine: 'Fine', note: 'Note' }
const inks: Record<Level, string> = { stop: 'text-stop', care: 'text-care', fine: 'text-fine', note: 'text-note' }
</script>

<template>
  <span class="inline-flex h-6 items-center gap-1.5 font-semibold" :class="inks[level]">
    <svg viewBox="0 0 16 16" class="h-3.5 w-3.5 shrink-0" aria-hidden="true">
      <g v-if="level === 'stop'">
        <rect x="1" y="1" width="14" height="14" fill="currentColor" />
        <rect x="3.5" y="6.5" width="9" height="3" fill="var(--card)" />
      </g>
      <g v-else-if="level === 'care'">
        <path d="M8 1.5 15 14.5H1Z" fill="none" stroke="currentColor" stroke-width="1.6" />
        <path d="M8 1.5 8 14.5H1Z" fill="currentColor" />
      </g>
      <circle v-else-if="level === 'fine'" cx="8" cy="8" r="5.8" fill="none" stroke="currentColor" stroke-width="2.4" />
      <path v-else d="M2 4h12M2 8h12M2 12h7" stroke="currentColor" stroke-width="1.8" /></svg
    >{{ words[level] }}
  </span>
</template>
