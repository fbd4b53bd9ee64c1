<script setup lang="ts">
/** A job card with its heading and, at the right of it, what can be done with it as a whole. */
defineProps<{ title: string; hint?: string }>()
const id = useId()
</script>

<template>
  <section class="card grid grid-cols-[minmax(0,1fr)] content-start gap-3" :aria-labelledby="id">
    <header class="flex flex-wrap items-start justify-between gap-2">
      <div>
        <h2 :id="id">{{ title }}</h2>
        <p v-if="hint" class="hint">{{ hint }}</p>
      </div>
      <slot name="aside" />
    </header>
    <slot />
  </section>
</template>
