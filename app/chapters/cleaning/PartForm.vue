<script setup lang="ts">
import { materials, soils, workings } from '#core/cleaning/words'
import type { CommandRequest } from '#shared/chapters/index'

/** What one part is made of, and what is on it. */
defineProps<{ tag: string; partId: number | null; version: number; initial: Partial<CommandRequest<'say-cleaning-part'>> }>()
defineEmits<{ done: [] }>()
const words = { name: 'Part', materials: 'Made of', soils: 'On it', works: 'Does it work', socketed: 'Chips in sockets' }
const yesNo = [
  { value: false, label: 'None' },
  { value: true, label: 'Chips in sockets' },
]
</script>

<template>
  <CommandForm
    command="say-cleaning-part"
    :machine="tag"
    :initial="initial"
    :fixed="{ partId, version }"
    :words="words"
    label="What it is made of"
    submit="Save"
    class="bg-mat p-3"
    @done="$emit('done')"
  >
    <TextField name="name" label="Part" />
    <TicksField name="materials" label="Made of" :options="choicesOf(materials)" />
    <TicksField name="soils" label="On it" :options="choicesOf(soils)" />
    <div class="flex flex-wrap gap-x-6 gap-y-2">
      <ChoiceField name="works" label="Does it work today" :options="choicesOf(workings)" /><ChoiceField name="socketed" label="Sockets" :options="yesNo" />
    </div>
  </CommandForm>
</template>
