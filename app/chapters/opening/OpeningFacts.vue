<script setup lang="ts">
import { fixingWords } from '#core/opening/reassembly'
import type { MachineSheet } from '#shared/chapters/index'

/** What was noted of one step. */
defineProps<{ step: MachineSheet['opening']['steps'][number]; tag: string }>()
</script>

<template>
  <ul class="ml-6 grid gap-0.5 text-[0.9375rem]">
    <li v-for="(fixing, i) in step.fixings" :key="i">
      <span class="figure">{{ fixingWords(fixing) }}</span><template v-if="fixing.tray">
        in tray <span class="figure border border-edge px-1">{{ fixing.tray }}</span></template
      >
    </li>
    <li v-for="connector in step.connectors" :key="connector">{{ connector }}</li>
    <li v-if="step.hides" class="hint">Hides: {{ step.hides }}</li>
    <li v-if="step.hazard" class="text-care">Careful: {{ step.hazard }}</li>
    <li v-if="step.photographId"><NuxtLink :to="`/m/${tag}/photo/${step.photographId}`" class="text-sm">Photograph</NuxtLink></li>
  </ul>
</template>
