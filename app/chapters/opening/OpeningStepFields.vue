<script setup lang="ts">
import type { SheetOf } from '#shared/chapters/index'
import { PhotographForIt } from '../look/index'

/** What is noted of one step of opening; photograph and fixings first, for they are what is forgotten. */
const props = defineProps<{ sheet: SheetOf<'look' | 'opening'> }>()
/** Cells are lettered, and the next free one offers itself. */
const nextTray = computed(() => {
  const taken = new Set(props.sheet.opening.steps.flatMap(s => s.fixings.map(f => f.tray.toUpperCase())))
  return [...'ABCDEFGHIJKLMNOPQRSTUVWXYZ'].find(cell => !taken.has(cell)) ?? ''
})
</script>

<template>
  <TextField name="what" label="What was undone" hint="Such as: lid, four screws under the feet" />
  <FixingsField name="fixings" :next-tray="nextTray" />
  <div class="grid gap-3 sm:grid-cols-2">
    <LinesField name="connectors" label="Connectors and how they sit, one a line" hint="Such as: ribbon to drive A, red edge to the supply" :rows="2" />
    <div class="grid content-start gap-3">
      <TextField name="hides" label="What hides here" hint="Such as: a fifth screw under the label" />
      <TextField name="hazard" label="What may tear or break" hint="Such as: membrane tail, brittle" />
    </div>
    <div class="grid content-start gap-2">
      <PickField name="photographId" label="Photograph" :options="photographChoices(sheet)" /><PhotographForIt :tag="sheet.tag" />
    </div>
  </div>
</template>
