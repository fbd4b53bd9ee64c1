<script setup lang="ts">
import { parseQuantity } from '#core/kernel/quantity'
import { type Load, loadWords, loads, shownRail } from '#core/power/rails'
import type { Finding } from '#core/kernel/finding'
import type { SheetOf } from '#shared/chapters/index'
import { MeterButton } from '../meter/index'

/** One reading, judged as it is typed: together with the readings there are, as it will be once kept. */
const props = defineProps<{ sheet: SheetOf<'power'>; brief?: boolean }>()
const rails = computed(() => props.sheet.expectedRails)
/** Rails that were read here just now: the sheet tells of them a moment later, and by then the next figure may be half typed. */
const read = ref<string[]>([])
const wants = (r: { name: string; verdict: string }) => (r.verdict === 'unread' || r.verdict === 'reread') && !read.value.includes(r.name)
// The next rail that wants a reading comes up by itself.
const next = computed(() => props.sheet.rails?.rails.find(wants) ?? rails.value.find(r => !read.value.includes(r.name)) ?? rails.value[0])
const initial = computed(() => ({ rail: next.value?.name ?? '', valueV: '', load: 'loaded' as const }))

// After one rail the next: the cursor goes back to the figure.
const form = useTemplateRef<{ $el: HTMLElement }>('form')
const figure = () => form.value?.$el.querySelector<HTMLElement>('input[inputmode=decimal]')
const saved = ref('')
function onwards(rail: unknown, valueV: unknown) {
  const last = new Set([...read.value, rail]).size >= rails.value.length
  read.value = last ? [] : [...read.value, String(rail)]
  const goesOn = last || !next.value ? '' : ` Next: ${shownRail(next.value.name)}.`
  saved.value = `Saved ${shownRail(String(rail))} ${String(valueV).replace('-', '−')} V.${goesOn}`
}
/** Whoever types goes on typing; with both hands on the probes no keyboard comes up. */
function typed(_: unknown, { rail, valueV }: Record<string, unknown>) {
  onwards(rail, valueV)
  void nextTick(() => figure()?.focus())
}
if (props.brief) useFirstField(form, 'figure')

const isNegative = (name: unknown) => (rails.value.find(r => r.name === name)?.nominalV ?? 0) < 0

function judged(values: Record<string, unknown>): Finding[] {
  const rail = rails.value.find(r => r.name === values.rail)
  if (!rail || !String(values.valueV ?? '').trim()) return []
  try {
    return railJudged(props.sheet, rail.name, parseQuantity(String(values.valueV), 'V'), values.load as Load)?.findings ?? []
  } catch (error) {
    return [{ level: 'care', code: 'reading.unread', says: (error as Error).message, because: [] }]
  }
}
</script>

<template>
  <CommandForm ref="form" command="take-reading" :machine="sheet.tag" :initial="initial" label="Take a reading" submit="Save reading" @done="typed">
    <template #default="{ values }">
      <RailsHandsFree :sheet="sheet" :load="values.load as Load" :wanting="(sheet.rails?.rails ?? []).filter(wants).map(r => r.name)" @saved="onwards" />
      <div class="flex flex-wrap gap-x-6 gap-y-3">
        <ChoiceField name="rail" label="Rail" :options="rails.map(r => ({ value: r.name, label: shownRail(r.name) }))" />
        <TextField name="valueV" label="Reading in volts" numeric :signed="isNegative(values.rail)" class="w-48" />
        <MeterButton what="dc-volts" into="valueV" />
        <ChoiceField name="load" label="Load" :options="loads.map(value => ({ value, label: loadWords[value].replace(/^./, c => c.toUpperCase()) }))" />
      </div>
      <div aria-live="polite" class="min-h-6">
        <FindingList v-if="String(values.valueV ?? '').trim()" :findings="judged(values)" :brief="brief" />
        <p v-else-if="saved" class="font-semibold text-fine">{{ saved }}</p>
      </div>
    </template>
  </CommandForm>
</template>
