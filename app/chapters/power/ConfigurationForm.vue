<script setup lang="ts">
import { type ConfigurationKind, configurationKinds, configurationKindNames, mayBeOut } from '#core/safety/configuration'
import type { SheetOf } from '#shared/chapters/index'

/** What of the machine is connected when it is energised. */
const props = defineProps<{ sheet: SheetOf<'look' | 'power'> }>()
defineEmits<{ done: [] }>()
const initial = computed(() => ({ ...props.sheet.power.configuration }))
const kinds = configurationKindNames.map(value => ({ value, label: configurationKinds[value].title }))
const parts = computed(() => props.sheet.assemblies.filter(a => a.presence !== 'missing').map(a => ({ value: a.name, label: a.name })))
const words = { kind: 'What is connected', out: 'What is out' }
</script>

<template>
  <CommandForm
    command="set-configuration"
    :machine="sheet.tag"
    :initial="initial"
    :fixed="{ version: sheet.power.version }"
    :words="words"
    label="Change what is connected"
    submit="It stands like this"
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
    </template>
  </CommandForm>
</template>
