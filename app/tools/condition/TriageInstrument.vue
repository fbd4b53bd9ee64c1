<script setup lang="ts">
import { PhPlus, PhX } from '~/kernel/signs/icons'
import { type Presence, grades, presenceNames, presences } from '#core/condition/grades'
import { type Criterion, significanceCriteria, triage } from '#core/condition/triage'
import { parseQuantity, unitOfName } from '#core/kernel/quantity'
import { conditionTriage } from '#shared/tools/condition/triage'

/** Parts with grades, what the machine means, what it would take: the paths, each with its reasons. */
const emit = defineEmits<{ input: [input: Record<string, unknown> | undefined] }>()
const { example } = conditionTriage
const id = useId()
const parts = ref(
  example.assemblies.map(a => ({
    name: a.name,
    found: a.presence === 'present' ? String(a.grade ?? 'present') : a.presence,
    irreplaceable: a.irreplaceable ?? false,
  })),
)
const significance = reactive({ ...example.significance })
const typed = reactive({
  'hours.low': String(example.hours.low),
  'hours.high': String(example.hours.high),
  'cost.low': String(example.cost.low),
  'cost.high': String(example.cost.high),
  'sisters.running': String(example.sisters.running),
  'sisters.wanting': String(example.sisters.wanting),
})
const ours = ref(example.ours)
const words = {
  'hours.low': 'Hours, at least',
  'hours.high': 'Hours, at most',
  'cost.low': 'Cost, at least',
  'cost.high': 'Cost, at most',
  'sisters.running': 'Sisters that run',
  'sisters.wanting': 'Sisters that want parts',
} as const
const criteria = Object.keys(significanceCriteria) as Criterion[]
const states = [
  ...grades.map(g => ({ value: String(g.grade), label: `${g.grade} ${g.title}` })),
  { value: 'present', label: 'No grade yet' },
  { value: 'missing', label: presenceNames.missing },
  { value: 'never', label: presenceNames.never },
  { value: 'not-looked', label: presenceNames['not-looked'] },
]
const presenceOf = (found: string): Presence => presences.find(presence => presence === found) ?? 'present'
const read = (field: keyof typeof typed) => parseQuantity(typed[field], unitOfName(field), field)
const { result, at } = useInstrument(
  () => ({
    assemblies: parts.value
      .filter(p => p.name.trim())
      .map(({ name, found, irreplaceable }) => ({
        name: name.trim(),
        presence: presenceOf(found),
        grade: /^\d$/.test(found) ? Number(found) : null,
        irreplaceable,
      })),
    significance: { ...significance },
    hours: { low: read('hours.low'), high: read('hours.high') },
    cost: { low: read('cost.low'), high: read('cost.high') },
    sisters: { running: Math.round(read('sisters.running')), wanting: Math.round(read('sisters.wanting')) },
    ours: ours.value,
  }),
  triage,
  input => emit('input', input),
)
</script>

<template>
  <div class="grid items-start gap-4 lg:grid-cols-2">
    <div class="grid gap-4">
      <OneCard title="Its parts">
        <div v-for="(part, i) in parts" :key="i" class="grid grid-cols-2 items-end gap-2 sm:grid-cols-[1fr_8.5rem_auto_auto]">
          <div class="grid gap-1">
            <label :for="`${id}-part-${i}`" class="hint">Part {{ i + 1 }}</label
            ><input :id="`${id}-part-${i}`" v-model="part.name" class="entry" autocomplete="off" />
          </div>
          <div class="grid gap-1">
            <label :for="`${id}-found-${i}`" class="hint">Condition</label
            ><select :id="`${id}-found-${i}`" v-model="part.found" class="entry">
              <option v-for="state in states" :key="state.value" :value="state.value">{{ state.label }}</option>
            </select>
          </div>
          <label :for="`${id}-only-${i}`" class="flex min-h-9 items-center gap-2 text-sm"
            ><input :id="`${id}-only-${i}`" v-model="part.irreplaceable" type="checkbox" class="h-5 w-5 accent-enamel" />Irreplaceable</label
          >
          <button type="button" class="button button-quiet" @click="parts.splice(i, 1)">
            <PhX aria-hidden="true" /><span class="sr-only">Leave out part {{ i + 1 }}</span>
          </button>
        </div>
        <div>
          <button type="button" class="button" @click="parts.push({ name: '', found: '0', irreplaceable: false })">
            <PhPlus aria-hidden="true" />Add a part
          </button>
        </div>
      </OneCard>
      <OneCard title="What it means" hint="0 not at all, 3 very much">
        <div v-for="criterion in criteria" :key="criterion" class="grid grid-cols-[1fr_5rem] items-center gap-2">
          <label :for="`${id}-${criterion}`"
            ><span class="font-semibold">{{ significanceCriteria[criterion].title }}</span
            >{{ ' ' }} <span class="hint block">{{ significanceCriteria[criterion].guidance }}</span></label
          ><select :id="`${id}-${criterion}`" v-model.number="significance[criterion]" class="entry reading">
            <option v-for="mark in 4" :key="mark" :value="mark - 1">{{ mark - 1 }}</option>
          </select>
        </div>
      </OneCard>
      <OneCard title="What it would take">
        <div class="grid grid-cols-2 gap-3">
          <FieldFrame
            v-for="(label, field) in words"
            :id="`${id}-${field}`"
            :key="field"
            v-slot="{ described }"
            :label="label"
            :message="at(field) ?? (field.endsWith('high') ? at(field.split('.')[0]!) : undefined)"
            ><input :id="`${id}-${field}`" v-model="typed[field]" class="entry reading" inputmode="decimal" autocomplete="off" :aria-describedby="described"
          /></FieldFrame>
        </div>
        <label :for="`${id}-ours`" class="flex items-center gap-2"
          ><input :id="`${id}-ours`" v-model="ours" type="checkbox" class="h-5 w-5 accent-enamel" />It belongs to the collection</label
        >
      </OneCard>
    </div>
    <OneCard title="Paths"
      ><RankedPaths v-if="result" :result="result" /><EmptyPlace v-else says="Fill in what is known; the paths will appear here."
    /></OneCard>
  </div>
</template>
