<script setup lang="ts">
import { enteredFactNames, factValue, powerFacts } from '#core/safety/power-facts'
import type { MachineSheet } from '#shared/contracts/views'

/** The facts that decide power, each with how to find out. */
const props = defineProps<{ sheet: MachineSheet }>()
defineEmits<{ typed: [values: Record<string, unknown>] }>()
const session = useSession()
const initial = computed(() => {
  const { rails: _, ...facts } = props.sheet.power.facts
  return { facts, inspectedBy: props.sheet.power.inspectedBy }
})
const words = computed(() => ({ ...Object.fromEntries(enteredFactNames.map(name => [`facts.${name}`, powerFacts[name].title])), inspectedBy: 'Inspected by' }))
const show = (field: string, value: unknown) => (field.startsWith('facts.') ? factValue(field.slice(6) as 'battery', value as string | undefined)?.label ?? 'Not looked at' : undefined)
const options = (name: (typeof enteredFactNames)[number]) => Object.entries(powerFacts[name].values).map(([value, { label }]) => ({ value, label }))
</script>

<template>
  <OneCard title="Facts for power" hint="Unplugged, covers off. Leave out what nobody has looked at.">
    <div class="grid gap-2 sm:grid-cols-2">
      <CautionNote about="mains" />
      <CautionNote about="stored-charge" />
      <CautionNote v-if="sheet.power.facts.pictureTube && sheet.power.facts.pictureTube !== 'none'" about="picture-tube" />
      <CautionNote v-if="sheet.power.facts.battery && sheet.power.facts.battery !== 'none-fitted'" about="battery" />
    </div>
    <CommandForm v-if="session.may('assess-power')" command="assess-power" :machine="sheet.tag" :initial="initial" :fixed="{ version: sheet.power.version }" :words="words" :show="show" label="Facts for power" submit="Keep these facts" keeps>
      <template #default="{ values }">
        <WatchValues :values="values" @changed="$emit('typed', $event)" />
        <div class="grid divide-y divide-line border-y border-line"><ChoiceField v-for="name in enteredFactNames" :key="name" :name="`facts.${name}`" :label="powerFacts[name].title" :options="options(name)" :hint="powerFacts[name].look" class="py-2.5" /></div>
        <TextField name="inspectedBy" label="Inspected by" :hint="`Your name, once you have looked: ${session.person?.name}. People’s names stay off the passport.`" />
      </template>
    </CommandForm>
    <p v-else class="hint">Volunteers and coordinators enter these facts.</p>
  </OneCard>
</template>
