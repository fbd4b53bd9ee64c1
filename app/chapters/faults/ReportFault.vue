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
    :initial="{ symptom: '', firstSeen: '', symptoms: [], conditions: '' }"
    label="Report a fault"
    submit="Report"
    @done="$emit('done')"
  >
    <div class="grid gap-3 sm:grid-cols-2">
      <TextField name="symptom" label="Symptom" /><DayField v-if="!brief" name="firstSeen" label="First seen" rough hint="A year, month or day" />
    </div>
    <TextField v-if="!brief" name="conditions" label="When it shows" hint="Cold or warm, which program was running, what was connected" />
    <SymptomWords v-if="!brief" />
    <ChoiceField
      name="stopsMachine"
      label="Does it stop the machine?"
      :options="[
        { value: true, label: 'Yes' },
        { value: false, label: 'No' },
      ]"
      hint="If yes, it is not signed off until it is mended."
    />
    <FaultsLikeIt :sheet="sheet" />
  </CommandForm>
</template>
