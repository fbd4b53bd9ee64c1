<script setup lang="ts">
import { damageKinds, severityNames } from '#core/condition/damage'
import { measureMark, placeOnPicture } from '#core/condition/marks'
import type { SheetOf } from '#shared/chapters/index'
import type { PhotographView } from '#shared/chapters/look/index'
import type { Drawn } from '~/chapters/look/composables/useDrawing'

/** What has been drawn on a photograph: what it is, how bad, and where. */
const props = defineProps<{ sheet: SheetOf<'look'>; photograph: PhotographView; drawn: Drawn }>()
const emit = defineEmits<{ done: []; left: [] }>()
const extent = computed(() => measureMark(props.drawn, props.photograph, props.photograph.scale).extent)
</script>

<template>
  <CommandForm
    :key="JSON.stringify(drawn.points)"
    command="record-damage"
    :machine="sheet.tag"
    :initial="{ kind: undefined, severity: undefined, assemblyId: photograph.assemblyId, where: placeOnPicture(drawn.points), extent: '' }"
    :fixed="{ photographId: photograph.id, mark: drawn }"
    label="Save mark"
    submit="Save mark"
    @done="emit('done')"
  >
    <p v-if="extent" class="figure">{{ extent }}</p>
    <p v-else-if="drawn.form !== 'point'" class="hint">Without a scale there are no millimetres. You can set one later, and this mark will get them.</p>
    <ChoiceField name="kind" label="Kind" :options="choicesOf(damageKinds)" />
    <ChoiceField name="severity" label="Severity" :options="choicesOf(severityNames)" />
    <PickField name="assemblyId" label="On which assembly" :options="assemblyChoices(sheet)" />
    <TextField name="where" label="Where, in words" hint="Such as: lower edge, pins 1 to 12" />
    <template #beside><button type="button" class="button" @click="emit('left')">Leave it</button></template>
  </CommandForm>
</template>
