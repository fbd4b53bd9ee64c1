<script setup lang="ts">
import { useElementVisibility } from '@vueuse/core'

/**
 * Answers that are pressed again and again: on a phone nailed above the bar at the bottom, so that none moves under the thumb when what is asked
 * changes, with what was answered last above them.
 */
const props = defineProps<{ label: string; oneOfMany?: boolean }>()
// One of many on a page is nailed while its own card stands in the middle of the screen, and not over the others.
const place = useTemplateRef<HTMLElement>('place')
const amid = useElementVisibility(() => place.value?.closest<HTMLElement>('section, li'), { rootMargin: '-50% 0px -49% 0px' })
const nailed = computed(() => !props.oneOfMany || amid.value)
// What else is told at the bottom stands above it.
const above = (height: string) => document.documentElement.style.setProperty('--nailed', height)
watch(nailed, now => above(now ? '8.5rem' : '0px'))
onMounted(() => above(nailed.value ? '8.5rem' : '0px'))
onBeforeUnmount(() => above('0px'))
</script>

<template>
  <div ref="place">
    <!-- As high as the bar is, so that the last of the page can be brought above it. -->
    <div v-if="nailed" class="h-36 wide:hidden" aria-hidden="true" />
    <div class="grid gap-2 bg-card" :class="nailed && 'nailed'">
      <p v-if="$slots.last" role="status" class="text-[0.9375rem] max-wide:line-clamp-2 wide:order-2 wide:border-t wide:border-line wide:pt-2">
        <slot name="last" />
      </p>
      <div class="grid auto-cols-fr grid-flow-col gap-3" role="group" :aria-label="label"><slot /></div>
    </div>
  </div>
</template>

<style scoped>
@media (width < 56.25rem) {
  .nailed {
    position: fixed;
    inset: auto 0 calc(3.6rem + env(safe-area-inset-bottom));
    z-index: 20;
    padding: 0.5rem 1rem;
    border-top: 1px solid var(--edge);
  }
}
</style>
