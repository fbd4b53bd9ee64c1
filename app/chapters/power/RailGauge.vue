<script setup lang="ts">
/** A reading against its limits: the band is what is allowed, the needle what was read, both on a scale of twice the tolerance. */
const props = defineProps<{ nominalV: number; lowV: number; highV: number; valueV?: number }>()
const spread = computed(() => (props.highV - props.lowV) / 2)
const place = (v: number) => Math.min(98, Math.max(2, 50 + ((v - props.nominalV) / spread.value) * 25))
</script>

<template>
  <svg viewBox="0 0 100 14" class="h-6 w-full min-w-24" preserveAspectRatio="none" aria-hidden="true">
    <rect x="0" y="6" width="100" height="2" fill="var(--line)" />
    <rect x="25" y="4" width="50" height="6" fill="var(--verdigris)" opacity="0.45" />
    <rect x="49.700" y="3" width="0.600" height="8" fill="var(--ink-2)" />
    <rect
      v-if="valueV !== undefined"
      :x="place(valueV) - 0.8"
      y="0"
      width="1.600"
      height="14"
      :fill="valueV >= lowV && valueV <= highV ? 'var(--ink)' : 'var(--stop)'"
    />
  </svg>
</template>
