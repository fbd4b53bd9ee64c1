<script setup lang="ts">
/** A small sand-glass and the time left. */
const props = defineProps<{ until: string }>()
const clock = useClock()
const left = computed(() => timeLeft(props.until, clock.now))
</script>

<template>
  <span class="inline-flex items-center gap-1 whitespace-nowrap" :class="left === 'over' ? 'font-semibold text-care' : ''">
    <svg viewBox="0 0 12 16" class="h-3.5 w-2.5 shrink-0" aria-hidden="true">
      <path d="M1 1h10M1 15h10M2 1c0 5 3 5 4 7-1 2-4 2-4 7M10 1c0 5-3 5-4 7 1 2 4 2 4 7" fill="none" stroke="currentColor" stroke-width="1.3" />
      <path d="M3 14.5c.5-2 2-3 3-3s2.500 1 3 3z" fill="currentColor" />
    </svg>
    <span class="figure text-[0.875em]">{{ left === 'over' ? 'wait over' : left }}</span>
  </span>
</template>
