<script setup lang="ts">
import type { SheetOf } from '#shared/chapters/index'

/** A symptom in plain words; what the model is known for, and what its sisters had, stands beside it. */
const props = defineProps<{ sheet: SheetOf<'faults'>; brief?: boolean }>()
defineEmits<{ done: [] }>()
const form = useTemplateRef<{ $el: HTMLElement }>('form')
if (props.brief) useFirstField(form)
</script>

<template>
  <CommandForm
    ref="form"
    command="report-fault"
    :machine="sheet.tag"
    :initial="{ symptom: '', firstSeen: '', stopsMachine: true, symptoms: [], conditions: '' }"
    label="Report a fault"
    submit="Report it"
    @done="$emit('done')"
  >
    <div class="grid gap-3 sm:grid-cols-2">
      <TextField name="symptom" label="Symptom" /><TextField v-if="!brief" name="firstSeen" label="First seen" hint="A year, month or day" />
    </div>
    <TextField v-if="!brief" name="conditions" label="When it shows" hint="Cold or warm, which program, what was connected" />
    <SymptomWords v-if="!brief" />
    <TickField name="stopsMachine" label="It stops the machine" />
    <FaultsLikeIt :sheet="sheet" />
  </CommandForm>
</template>
