<script setup lang="ts">
import { parseQuantity } from '#core/kernel/quantity'
import { type WarmPart, judgeTemperature, warmPartNames, warmParts } from '#core/power/temperature'
import { MeterButton } from '../meter/index'

/** One temperature, judged as it is typed. */
const props = defineProps<{ tag: string; brief?: boolean }>()
const form = useTemplateRef<{ $el: HTMLElement }>('form')
// The figure, not which part it was: that stands on what is taken most often.
if (props.brief) useFirstField(form, 'figure')
const parts = warmPartNames.map(value => ({ value, label: warmParts[value].title }))
function judged(values: Record<string, unknown>) {
  const typed = String(values.celsius ?? '').trim()
  if (!typed || !values.part) return []
  try {
    return judgeTemperature({ part: values.part as WarmPart, samples: [{ atSeconds: 0, celsius: parseQuantity(typed, '°C', 'celsius') }] }).findings
  } catch (error) {
    return [{ level: 'care' as const, code: 'temperature.unread', says: (error as Error).message, because: [] }]
  }
}
</script>

<template>
  <CommandForm
    ref="form"
    command="take-temperature"
    :machine="tag"
    :initial="{ part: 'heat-sink', where: '', celsius: '' }"
    label="Take a temperature"
    submit="Save temperature"
  >
    <template #default="{ values }">
      <div class="grid items-end gap-3" :class="brief ? 'grid-cols-2' : 'sm:grid-cols-[1fr_1fr_8rem_auto]'">
        <PickField name="part" label="What" :options="parts" /><TextField
          name="where"
          label="Which"
          :hint="brief ? undefined : 'Such as the 5 V regulator'"
        /><TextField name="celsius" label="In °C" numeric /><MeterButton what="celsius" into="celsius" />
      </div>
      <div aria-live="polite" class="min-h-6"><FindingList :findings="judged(values)" :brief="brief" /></div>
    </template>
  </CommandForm>
</template>
