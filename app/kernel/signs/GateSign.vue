<script setup lang="ts">
import { type GateVerdict, gateWords } from '#core/safety/gate-words'

/** The gate's sign with its word; `small` for lists, `bare` where the word is heard and not seen. */
defineProps<{ verdict: GateVerdict; small?: boolean; overruled?: boolean; bare?: boolean }>()
const inks: Record<GateVerdict, string> = {
  'keep-off': 'text-stop',
  'guarded-start': 'text-care',
  'clear-to-run': 'text-fine',
  'not-yet-assessed': 'text-ink-2',
}
</script>

<template>
  <span class="inline-flex items-center gap-1.5 font-semibold" :class="[inks[verdict], small ? 'text-sm' : 'font-display text-lg']">
    <svg viewBox="0 0 16 16" class="shrink-0" :class="small ? 'h-4 w-4' : 'h-7 w-7'" aria-hidden="true">
      <g v-if="verdict === 'keep-off'">
        <rect x="1" y="1" width="14" height="14" fill="currentColor" />
        <rect x="3" y="6.7" width="10" height="2.6" fill="var(--card)" />
      </g>
      <g v-else-if="verdict === 'guarded-start'">
        <path d="M8 1.5 15 14.5H1Z" fill="none" stroke="currentColor" stroke-width="1.4" stroke-linejoin="round" />
        <path d="M4.5 8 11.5 8 15 14.5H1Z" fill="currentColor" />
      </g>
      <circle v-else-if="verdict === 'clear-to-run'" cx="8" cy="8" r="6" fill="none" stroke="currentColor" stroke-width="2.2" />
      <rect v-else x="1.7" y="1.7" width="12.6" height="12.6" fill="none" stroke="currentColor" stroke-width="1.5" stroke-dasharray="2.6 2.2" />
    </svg>
    <span :class="bare && 'sr-only'">{{ gateWords[verdict].title }}<span v-if="overruled" class="font-normal">, overruled</span></span>
  </span>
</template>
