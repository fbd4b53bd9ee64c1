<script setup lang="ts">
import type { Drawing } from '~/chapters/look/composables/useDrawing'

/** What is being drawn, and the ways to end it. */
const props = defineProps<{ drawing: Drawing; says: string }>()
const { points, enough, form } = props.drawing
</script>

<template>
  <div role="status" class="grid gap-2 border-l-4 border-enamel bg-mat px-3 py-2 text-[0.9375rem]">
    <p>{{ says }}</p>
    <p class="hint">
      {{ points.length === 1 ? '1 point' : `${points.length} points` }} set. Press on the photograph, or focus it and use the arrow keys and Enter.
    </p>
    <div class="flex flex-wrap gap-2">
      <button v-if="form !== 'point'" type="button" class="button button-main" :disabled="!enough" @click="drawing.finish()">Finish</button>
      <button type="button" class="button" :disabled="!points.length" @click="drawing.undo()">Undo last point</button>
      <button type="button" class="button" @click="drawing.leave()">Leave it</button>
    </div>
  </div>
</template>
