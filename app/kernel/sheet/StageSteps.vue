<script setup lang="ts">
/** The cards of a long stage by name, to get to one without scrolling past the others. */
defineProps<{ steps: string[] }>()

function show(title: string) {
  const heading = [...document.querySelectorAll<HTMLElement>('main h2')].find(h => h.textContent?.trim() === title)
  heading?.closest('.card')?.scrollIntoView({ block: 'start' })
  window.scrollBy(0, -60)
  heading?.setAttribute('tabindex', '-1')
  heading?.focus({ preventScroll: true })
}
</script>

<template>
  <nav aria-label="In this stage" class="flex flex-wrap gap-x-1 gap-y-1 text-[0.9375rem]">
    <button v-for="step in steps" :key="step" type="button" class="button button-quiet min-h-8!" @click="show(step)">{{ step }}</button>
  </nav>
</template>
