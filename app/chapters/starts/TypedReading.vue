<script setup lang="ts">
import { parseReading } from '#core/kernel/quantity'
import { shownRail } from '#core/power/rails'
import type { SampleKind } from '#core/power/start-watch'
import type { StartFrame } from '#shared/chapters/starts/index'

/** What somebody reads off a meter or a display and types: the rail where no meter is asked, current and heat where they are watched. */
const props = defineProps<{ frame: StartFrame; tell: (what: Record<string, unknown>) => Promise<boolean> }>()
const kinds = computed(() => {
  const { byMeter, currentLimitA, warm } = props.frame.plan
  const choices: { value: SampleKind; label: string; of: string; unit: 'V' | 'A' | '' }[] = []
  if (!byMeter) choices.push({ value: 'dc-volts', label: 'Volts', of: shownRail(props.frame.rail), unit: 'V' })
  if (currentLimitA !== null) choices.push({ value: 'dc-amps', label: 'Amperes', of: 'the current', unit: 'A' })
  if (warm) choices.push({ value: 'celsius', label: '°C', of: 'the warm part', unit: '' })
  return choices
})
const wanted = ref<SampleKind>()
const chosen = computed(() => kinds.value.find(k => k.value === wanted.value) ?? kinds.value[0])
const isNegative = computed(() => chosen.value?.value === 'dc-volts' && (props.frame.plan.points.find(p => p.rail === props.frame.rail)?.nominalV ?? 0) < 0)
const typed = ref('')
const wrong = ref('')

async function take() {
  const { value: kind, unit } = chosen.value!
  wrong.value = ''
  try {
    const value = parseReading(typed.value, unit)
    if (value === null) wrong.value = 'Type a figure. Where the meter shows OL, press Off now.'
    else if (await props.tell({ do: 'sample', kind, value })) typed.value = ''
  } catch (error) {
    wrong.value = (error as Error).message
  }
}
</script>

<template>
  <form v-if="chosen" class="card grid gap-2" aria-label="Type a reading" @submit.prevent="take">
    <MeasureField v-model="typed" :label="`What the meter shows on ${chosen.of}`" :message="wrong" :signed="isNegative" />
    <SelectField v-if="kinds.length > 1" :model-value="chosen.value" label="It is in" :options="kinds" @update:model-value="kind => (wanted = kind)" />
    <button type="submit" class="button button-main justify-center">Take it</button>
  </form>
</template>
