<script setup lang="ts">
import { enteredFactNames, factValue, powerFacts } from '#core/safety/power-facts'
import type { SheetOf } from '#shared/chapters/index'

/** The facts that decide power, each with how to find out. */
const props = defineProps<{ sheet: SheetOf<'power'> }>()
defineEmits<{ typed: [values: Record<string, unknown>] }>()
const session = useSession()
const initial = computed(() => ({ facts: { ...props.sheet.power.entered }, inspectedById: props.sheet.power.inspectedById }))
const words = computed(() => ({
  ...Object.fromEntries(enteredFactNames.map(name => [`facts.${name}`, powerFacts[name].title])),
  inspectedById: 'Inspected by',
}))
const inspectors = computed(() => [
  { value: null, label: 'Nobody yet' },
  ...session.crew.filter(p => p.skills.includes('inspection')).map(p => ({ value: p.id, label: p.name })),
])
const show = (field: string, value: unknown) =>
  field === 'inspectedById'
    ? (inspectors.value.find(p => p.value === (value ?? null))?.label ?? 'Nobody yet')
    : field.startsWith('facts.')
      ? (factValue(field.slice(6) as 'battery', value as string | undefined)?.label ?? 'Not looked at')
      : undefined
/** Where to look; and where something was measured or recorded, that it counts, whatever is entered here. */
function hintOf(name: (typeof enteredFactNames)[number]) {
  const counts = factValue(name, props.sheet.power.measured[name])
  return counts ? `${powerFacts[name].look} On record, and counting before what is entered here: ${counts.label.toLowerCase()}.` : powerFacts[name].look
}
/** How many facts nobody has answered, by looking or by measuring. */
const open = computed(() => enteredFactNames.filter(name => props.sheet.power.facts[name] === undefined).length)
const complete = computed(() => open.value === 0 && props.sheet.power.inspectedBy !== '')
/** What was in order when the card was opened is one line; it does not fold under somebody's hands. */
const inOrder = enteredFactNames.filter(name => factValue(name, props.sheet.power.entered[name])?.level === 'fine')
const all = ref(inOrder.length < 2 || complete.value)
const asked = computed(() => (all.value ? enteredFactNames : enteredFactNames.filter(name => !inOrder.includes(name))))
const options = (name: (typeof enteredFactNames)[number]) => Object.entries(powerFacts[name].values).map(([value, { label }]) => ({ value, label }))
</script>

<template>
  <OneCard
    title="Facts for power"
    short="Facts"
    :hint="`Unplugged, covers off. ${open ? `${open} of ${enteredFactNames.length} not looked at yet; leave those out.` : ''}`"
    :state="complete ? 'done' : 'open'"
    :result="`All ${enteredFactNames.length} answered, inspected by ${sheet.power.inspectedBy}`"
  >
    <div class="grid gap-2 sm:grid-cols-2">
      <CautionNote about="mains" />
      <CautionNote about="stored-charge" />
      <CautionNote v-if="sheet.power.facts.pictureTube && sheet.power.facts.pictureTube !== 'none'" about="picture-tube" />
      <CautionNote v-if="sheet.power.facts.battery && sheet.power.facts.battery !== 'none-fitted'" about="battery" />
    </div>
    <CommandForm
      v-if="session.may('assess-power')"
      command="assess-power"
      :machine="sheet.tag"
      :initial="initial"
      :fixed="{ version: sheet.power.version }"
      :words="words"
      :show="show"
      label="Facts for power"
      submit="Keep these facts"
      keeps
    >
      <template #default="{ values }">
        <WatchValues :values="values" @changed="$emit('typed', $event)" />
        <div class="grid divide-y divide-line border-y border-line">
          <ChoiceField
            v-for="name in asked"
            :key="name"
            :name="`facts.${name}`"
            :label="powerFacts[name].title"
            :options="options(name)"
            :hint="hintOf(name)"
            row
          />
        </div>
        <p v-if="!all" class="flex flex-wrap items-baseline gap-x-3">
          <span
            ><span class="font-semibold text-fine">In order:</span>
            {{
              inOrder.map(name => `${powerFacts[name].title.toLowerCase()}, ${factValue(name, sheet.power.entered[name])!.label.toLowerCase()}`).join('; ')
            }}</span
          ><button type="button" class="text-sm underline" @click="all = true">Change these too</button>
        </p>
        <div class="grid items-end gap-x-4 gap-y-1 sm:grid-cols-[16rem_minmax(0,1fr)]">
          <PickField name="inspectedById" label="Inspected by" :options="inspectors" />
          <p class="hint">Whoever has looked at all of this, and has leave to inspect. People’s names stay off the passport.</p>
        </div>
        <p v-if="inspectors.length === 1" class="hint"><WhoCould skill="inspection" /></p>
      </template>
    </CommandForm>
    <p v-else class="hint">Volunteers and coordinators enter these facts.</p>
  </OneCard>
</template>
