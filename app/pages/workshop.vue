<script setup lang="ts">
/** What machines share. */
useHead({ title: 'Workshop' })
const { workshop, trouble } = useWorkshop()
</script>

<template>
  <div class="grid max-w-6xl gap-4">
    <header>
      <h1>Workshop</h1>
      <p class="text-ink-2">What the machines share: tanks, ovens and lamps with who has them, and the materials on the shelf.</p>
    </header>
    <p v-if="trouble" role="alert" class="text-stop">{{ trouble }}</p>
    <p v-else-if="!workshop" role="status" class="hint">Fetching…</p>
    <template v-else><ThingsCard :things="workshop.things" /><ShelfCard :materials="workshop.materials" /></template>
  </div>
</template>
