<script setup lang="ts">
import { PhCaretRight, PhFunnel } from '~/kernel/signs/icons'
import { lifeNames, lives, stageNames, stages } from '#core/kernel/stages'
import { gateVerdicts, gateWords } from '#core/safety/gate-words'
import type { ListCounts } from '#shared/chapters/lists/index'
import { acquisitionNames, acquisitions } from '#shared/kernel/acquisitions'
import type { MachineNarrowing } from '#shared/kernel/machine'

/** By what the store is narrowed, each with how many it would leave. */
const props = defineProps<{ question: Partial<MachineNarrowing>; counts?: ListCounts; narrowed: number }>()
const emit = defineEmits<{ set: [name: keyof MachineNarrowing, value: string | number | undefined]; clear: [] }>()
const session = useSession()

interface Offered {
  value: string | number
  label: string
  machines?: number
}
const counted = (names: readonly string[], label: (name: string) => string, of?: Record<string, number>): Offered[] =>
  names.map(value => ({ value, label: label(value), machines: of ? (of[value] ?? 0) : undefined }))
const ages = { 30: 'A month and more', 90: 'Three months and more', 180: 'Half a year and more', 365: 'A year and more', 730: 'Two years and more' }
const first = computed((): { name: keyof MachineNarrowing; label: string; any: string; options: Offered[] }[] => [
  { name: 'stage', label: 'Stage', any: 'Any stage', options: counted(stages, s => stageNames[s as 'look'], props.counts?.stage) },
  { name: 'gate', label: 'Gate', any: 'Any verdict', options: counted(gateVerdicts, v => gateWords[v as 'keep-off'].title, props.counts?.gate) },
  { name: 'place', label: 'Place', any: 'Any place', options: props.counts?.place.map(p => ({ ...p, label: p.value })) ?? [] },
  { name: 'model', label: 'Model', any: 'Any model', options: props.counts?.model ?? [] },
  {
    name: 'bench',
    label: 'Where',
    any: 'Anywhere',
    options: counted(['on', 'off'], b => (b === 'on' ? 'On the bench' : 'Off the bench'), props.counts?.bench),
  },
])
const more = computed((): typeof first.value => [
  { name: 'owner', label: 'Owner', any: 'Anybody’s', options: props.counts?.owner.map(o => ({ ...o, label: o.value })) ?? [] },
  { name: 'acquired', label: 'How it came', any: 'Any way', options: counted(acquisitions, a => acquisitionNames[a as 'given'], props.counts?.acquired) },
  { name: 'life', label: 'Its life', any: 'Any, or none yet', options: counted(lives, l => lifeNames[l as 'gallery'].title, props.counts?.life) },
  {
    name: 'waiting',
    label: 'Waiting',
    any: 'Waiting or not',
    options: [
      { value: 'yes', label: 'Waits for something', machines: props.counts?.waiting },
      { value: 'over', label: 'Its wait is over' },
    ],
  },
  { name: 'olderThan', label: 'Here for', any: 'Any time', options: Object.entries(ages).map(([value, label]) => ({ value: Number(value), label })) },
  { name: 'person', label: 'Worked on by', any: 'Anybody', options: session.crew.map(p => ({ value: p.id, label: p.name })) },
])
/** On a phone the list comes first, and what it is narrowed by is a press away. */
const asked = ref(false)
const unfolded = ref(more.value.some(f => props.question[f.name] !== undefined))
/** What is asked for and not among the first of its kind is offered all the same. */
const withChosen = (field: (typeof first.value)[number]): Offered[] => {
  const chosen = props.question[field.name]
  return chosen === undefined || field.options.some(o => o.value === chosen) ? field.options : [...field.options, { value: chosen, label: String(chosen) }]
}
function choose(name: keyof MachineNarrowing, options: Offered[], event: Event) {
  const at = Number((event.target as HTMLSelectElement).value)
  emit('set', name, at < 0 ? undefined : options[at]?.value)
}
</script>

<template>
  <div class="grid gap-2">
    <div class="grid grid-cols-2 items-center gap-x-3 gap-y-2 sm:grid-cols-3 lg:grid-cols-6">
      <button type="button" class="button col-span-2 sm:hidden" :aria-expanded="asked" @click="asked = !asked">
        <PhFunnel aria-hidden="true" />{{ narrowed ? `Narrowed by ${narrowed}` : 'Narrow it' }}
      </button>
      <div v-for="field in unfolded ? [...first, ...more] : first" :key="field.name" class="grid min-w-0 gap-0.5" :class="!asked && 'max-sm:hidden'">
        <label :for="`store-${field.name}`" class="sr-only">{{ field.label }}</label>
        <select
          :id="`store-${field.name}`"
          class="entry"
          :class="question[field.name] !== undefined && 'border-enamel! border-2! font-semibold'"
          :value="withChosen(field).findIndex(o => o.value === question[field.name])"
          @change="choose(field.name, withChosen(field), $event)"
        >
          <option :value="-1">{{ field.any }}</option>
          <option v-for="(option, at) in withChosen(field)" :key="option.value" :value="at">
            {{ option.label }}{{ option.machines === undefined ? '' : ` (${option.machines})` }}
          </option>
        </select>
      </div>
      <div class="flex" :class="!asked && 'max-sm:hidden'">
        <button type="button" class="button button-quiet px-1!" :aria-expanded="unfolded" @click="unfolded = !unfolded">
          <PhCaretRight aria-hidden="true" :class="unfolded && 'rotate-90'" />{{ unfolded ? 'Fewer' : 'More' }}
        </button>
        <button v-if="narrowed" type="button" class="button button-quiet px-1! whitespace-nowrap" @click="emit('clear')">Show all</button>
      </div>
    </div>
  </div>
</template>
