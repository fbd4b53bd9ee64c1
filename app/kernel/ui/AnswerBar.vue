<script setup lang="ts">
/**
 * Answers that are pressed again and again: on a phone nailed above the bar at the bottom, so that none moves under the thumb when what is asked
 * changes, with what was answered last above them.
 */
defineProps<{ label: string }>()
// What else is told at the bottom stands above it.
onMounted(() => document.documentElement.style.setProperty('--nailed', '8.5rem'))
onBeforeUnmount(() => document.documentElement.style.removeProperty('--nailed'))
</script>

<template>
  <div>
    <!-- As high as the bar is, so that the last of the page can be brought above it. -->
    <div class="h-36 min-[900px]:hidden" aria-hidden="true" />
    <div class="nailed grid gap-2 bg-card max-[899px]:border-t max-[899px]:border-edge max-[899px]:px-4 max-[899px]:py-2">
      <p
        v-if="$slots.last"
        role="status"
        class="text-[0.9375rem] max-[899px]:line-clamp-2 min-[900px]:order-2 min-[900px]:border-t min-[900px]:border-line min-[900px]:pt-2"
      >
        <slot name="last" />
      </p>
      <div class="grid auto-cols-fr grid-flow-col gap-3" role="group" :aria-label="label"><slot /></div>
    </div>
  </div>
</template>

<style scoped>
@media (max-width: 899px) {
  .nailed {
    position: fixed;
    inset: auto 0 calc(3.6rem + env(safe-area-inset-bottom));
    z-index: 20;
  }
}
</style>
