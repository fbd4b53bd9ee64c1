<script setup lang="ts">
import { type Criterion, significanceCriteria } from '#core/condition/triage'
import type { SheetOf } from '#shared/chapters/index'

/** What a machine means, and what it would take: the ground for its path. */
const props = defineProps<{ sheet: SheetOf<'stewardship' | 'look'> }>()
defineEmits<{ done: [] }>()
const criteria = Object.keys(significanceCriteria) as Criterion[]
const marks = [0, 1, 2, 3].map(value => ({ value, label: String(value) }))
const words = {
  hoursLow: 'Hours, at least',
  hoursHigh: 'Hours, at most',
  costLow: 'Cost, at least',
  costHigh: 'Cost, at most',
  irreplaceable: 'Cannot be replaced',
  ...Object.fromEntries(criteria.map(c => [`significance.${c}`, significanceCriteria[c].title])),
}
const initial = computed(() => {
  const {
    version: _,
    path: __,
    pathReason: ___,
    ...found
  } = props.sheet.appraisal ?? {
    version: 0,
    path: null,
    pathReason: '',
    significance: undefined,
    hoursLow: '',
    hoursHigh: '',
    costLow: '',
    costHigh: '',
    irreplaceable: [],
  }
  return { ...found, significance: found.significance ?? (Object.fromEntries(criteria.map(c => [c, undefined])) as unknown as Record<Criterion, number>) }
})
</script>

<template>
  <CommandForm
    command="appraise"
    :machine="sheet.tag"
    :initial="initial"
    :fixed="{ version: sheet.appraisal?.version ?? 0 }"
    :words="words"
    label="Appraise it"
    submit="Save appraisal"
    keeps
    @done="$emit('done')"
  >
    <div class="grid gap-3 lg:grid-cols-2">
      <ChoiceField
        v-for="c in criteria"
        :key="c"
        :name="`significance.${c}`"
        :label="significanceCriteria[c].title"
        :options="marks"
        :hint="significanceCriteria[c].guidance"
      />
    </div>
    <div class="grid grid-cols-2 gap-3 lg:grid-cols-4">
      <TextField name="hoursLow" label="Hours, at least" numeric /><TextField name="hoursHigh" label="Hours, at most" numeric />
      <TextField name="costLow" :label="`Cost in ${sheet.stewardship.currency}, at least`" numeric /><TextField
        name="costHigh"
        :label="`Cost in ${sheet.stewardship.currency}, at most`"
        numeric
      />
    </div>
    <TicksField name="irreplaceable" label="What cannot be had again if it is lost" :options="sheet.assemblies.map(a => ({ value: a.name, label: a.name }))" />
  </CommandForm>
</template>
