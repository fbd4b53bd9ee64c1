<script setup lang="ts">
import { isAway } from '#core/condition/grades'
import { inletName } from '#core/power/bench'
import { shownRail } from '#core/power/rails'
import { type ConfigurationKind, configurationKinds, configurationKindNames, mayBeOut } from '#core/safety/configuration'
import type { SheetOf } from '#shared/chapters/index'

/** What of the machine is connected when it is energised. */
const props = defineProps<{ sheet: SheetOf<'look' | 'power'> }>()
defineEmits<{ done: [] }>()
/** A line for the inlet and for every rail that is expected; what is left empty is not fed. */
const lines = computed(() =>
  [...(props.sheet.power.inlet ? [inletName] : []), ...props.sheet.expectedRails.map(r => r.name)].map(feeds => {
    const set = props.sheet.power.bench.find(o => o.feeds === feeds)
    return { feeds, voltageV: set ? String(set.voltageV) : '', limitA: set ? String(set.limitA) : '', polarityChecked: set?.polarityChecked ?? false }
  }),
)
const initial = computed(() => ({ ...props.sheet.power.configuration, bench: lines.value }))
const kinds = configurationKindNames.map(value => ({ value, label: configurationKinds[value].title }))
const parts = computed(() => props.sheet.assemblies.filter(a => !isAway(a.presence)).map(a => ({ value: a.name, label: a.name })))
const words = { kind: 'What is connected', out: 'What is out', bench: 'The bench supply' }
</script>

<template>
  <CommandForm
    command="set-configuration"
    :machine="sheet.tag"
    :initial="initial"
    :fixed="{ version: sheet.power.version }"
    :words="words"
    label="Change what is connected"
    submit="Save what is connected"
    keeps
    @done="$emit('done')"
  >
    <template #default="{ values }">
      <ChoiceField name="kind" label="What is connected" :options="kinds" :hint="configurationKinds[values.kind as ConfigurationKind]?.means" />
      <TicksField
        v-if="mayBeOut(values.kind as ConfigurationKind) || (values.out as string[] | undefined)?.length"
        name="out"
        label="What is out"
        :options="parts"
        hint="It goes back one at a time; the rails are read after each."
      />
      <fieldset v-if="values.kind === 'bench-supply'" class="grid gap-2">
        <legend class="font-semibold">What the bench supply is set to</legend>
        <p class="hint">Before it is attached: voltage with its sign, the limit, plus and minus checked with the meter at the board. Empty: not fed.</p>
        <p v-if="!lines.length" class="hint">No rail is expected of it yet. Say under Prove which it has.</p>
        <div v-for="(line, i) in lines" :key="line.feeds" class="grid items-end gap-3 sm:grid-cols-[4rem_8rem_10rem_1fr]">
          <span class="figure pb-2 font-semibold">{{ shownRail(line.feeds) }}</span>
          <TextField :name="`bench[${i}].voltageV`" :label="`Volts on ${shownRail(line.feeds)}`" numeric signed />
          <TextField :name="`bench[${i}].limitA`" :label="`Limit on ${shownRail(line.feeds)}, A`" numeric />
          <TickField :name="`bench[${i}].polarityChecked`" :label="`Polarity of ${shownRail(line.feeds)} checked`" />
        </div>
      </fieldset>
    </template>
  </CommandForm>
</template>
