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
const result = computed(
  () =>
    `${open.value ? `${open.value} of ${enteredFactNames.length} not answered` : `All ${enteredFactNames.length} answered`}${props.sheet.power.inspectedBy ? `, inspected by ${props.sheet.power.inspectedBy}` : open.value ? '' : ', nobody has signed for them'}`,
)
const complete = computed(() => open.value === 0 && props.sheet.power.inspectedBy !== '')
/** What was answered when the card was opened is one line, the worst first, until somebody presses it; nothing folds under somebody's hands. */
const answered = enteredFactNames.flatMap(name => {
  const value = factValue(name, props.sheet.power.entered[name])
  return value ? [{ name, says: `${powerFacts[name].title}: ${value.label.toLowerCase()}`, level: value.level }] : []
})
const pressed = ref<string[]>([])
const folded = computed(() =>
  (['stop', 'care', 'note', 'fine'] as const).flatMap(level => {
    const facts = answered.filter(fact => fact.level === level && !pressed.value.includes(fact.name))
    return facts.length ? [{ level, facts }] : []
  }),
)
const asked = computed(() => enteredFactNames.filter(name => !folded.value.some(group => group.facts.some(fact => fact.name === name))))
const options = (name: (typeof enteredFactNames)[number]) => Object.entries(powerFacts[name].values).map(([value, { label }]) => ({ value, label }))
</script>

<template>
  <OneCard
    title="Facts for power"
    short="Facts"
    :hint="`Unplugged, covers off. ${open ? `${open} of ${enteredFactNames.length} not looked at yet; leave those out.` : ''}`"
    :state="complete ? 'done' : 'open'"
    :result="result"
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
      submit="Save answers"
      keeps
    >
      <template #default="{ values }">
        <WatchValues :values="values" @changed="$emit('typed', $event)" />
        <ul v-if="folded.length" aria-label="Answered" class="grid gap-1">
          <li v-for="{ level, facts } in folded" :key="level" class="grid grid-cols-[4.25rem_minmax(0,1fr)] items-baseline gap-2">
            <LevelSign :level="level" />
            <p class="flex flex-wrap gap-x-4">
              <button
                v-for="fact in facts"
                :key="fact.name"
                type="button"
                class="text-left underline decoration-dotted underline-offset-4 max-wide:min-h-11"
                @click="pressed.push(fact.name)"
              >
                {{ fact.says }}<span class="sr-only">, change it</span>
              </button>
            </p>
          </li>
        </ul>
        <div v-if="asked.length" class="grid divide-y divide-line border-y border-line">
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
        <p v-if="inspectors.length === 1" class="hint"><WhoCould skill="inspection" /></p>
      </template>
      <template #before>
        <PickField name="inspectedById" label="Inspected by" :options="inspectors" class="w-64 max-w-full" />
      </template>
    </CommandForm>
    <p v-else class="hint">Volunteers and coordinators enter these facts.</p>
  </OneCard>
</template>
