<script setup lang="ts">
import { PhPlus, PhX } from '~/kernel/signs/icons'
import { threeRailMemory } from '#core/power/test-points'
import type { ModelView } from '#shared/chapters/models/index'
import { InletFields, typedInlet } from '../supplies/index'

/** What is known of a model; one form for a new one and for one that is there. */
const props = defineProps<{ model?: ModelView; known: ModelView[] }>()
defineEmits<{ done: [result: unknown] }>()
/** Whether it runs from an external supply, with an inlet of its own. */
const external = ref(Boolean(props.model?.inlet))
const words = {
  maker: 'Maker',
  name: 'Model',
  about: 'About it',
  variants: 'Variants',
  usualKit: 'Usual kit',
  assemblies: 'Assemblies',
  knownFaults: 'Known faults',
  wearParts: 'What wears out',
  memorySizes: 'Memory it was sold with',
  sockets: 'Sockets',
  rails: 'Rails',
  weightKg: 'Weight in kg',
  madeFrom: 'Made from',
  madeTo: 'Made to',
}
const initial = computed(() => {
  const {
    maker = '',
    name = '',
    about = '',
    variants = [],
    usualKit = [],
    assemblies = [],
    knownFaults = [],
    wearParts = [],
    memorySizes = [],
    sockets = [],
    weightKg = null,
    madeFrom = null,
    madeTo = null,
  } = props.model ?? {}
  return {
    maker,
    name,
    about,
    variants,
    usualKit,
    assemblies,
    knownFaults,
    wearParts,
    memorySizes,
    sockets,
    weightKg,
    madeFrom,
    madeTo,
    ...(external.value ? { inlet: typedInlet(props.model?.inlet ?? {}) } : {}),
  }
})
interface RailTyped {
  name: string
  nominalV: string
  tolerancePct: string
  point: string
}
const rails = ref<RailTyped[]>(
  (props.model?.rails ?? []).map(r => ({
    name: r.name,
    nominalV: String(r.nominalV),
    tolerancePct: r.tolerancePct === undefined ? '' : String(r.tolerancePct),
    point: r.point ?? '',
  })),
)
const id = useId()
/** The pins of the three-rail memory, on the rails that are there or on new ones. */
function addMemory() {
  for (const { name, nominalV, point } of threeRailMemory) {
    const there = rails.value.find(r => number(r.nominalV) === nominalV)
    if (there) there.point = point
    else rails.value.push({ name, nominalV: String(nominalV), tolerancePct: '10', point })
  }
}
const number = (typed: string) => (typed.trim() ? Number(typed.replace(',', '.').replace('−', '-')) : undefined)
const wrong = (rail: RailTyped) =>
  !rail.name.trim()
    ? 'Name the rail, such as +5 V.'
    : !Number.isFinite(number(rail.nominalV) ?? NaN)
      ? 'Type the nominal voltage, such as 5 or -12.'
      : Number.isNaN(number(rail.tolerancePct) ?? 5)
        ? 'The tolerance is a number in per cent, or nothing.'
        : undefined
const fixed = computed(() => ({
  rails: rails.value
    .filter(r => r.name.trim() || r.nominalV.trim())
    .map(r => ({
      name: r.name.trim(),
      nominalV: number(r.nominalV) ?? Number.NaN,
      ...(number(r.tolerancePct) === undefined ? {} : { tolerancePct: number(r.tolerancePct)! }),
      ...(r.point.trim() ? { point: r.point.trim() } : {}),
    })),
  ...(props.model ? { modelId: props.model.id, version: props.model.version } : {}),
}))
const shown = (field: string, value: unknown) => (field === 'rails' ? (value as ModelView['rails']).map(r => r.name).join(', ') : undefined)
</script>

<template>
  <CommandForm
    :command="model ? 'change-model' : 'add-model'"
    :initial="initial"
    :fixed="fixed"
    :words="words"
    :show="shown"
    :label="model ? 'Change the model' : 'Add a model'"
    :submit="model ? 'Save' : 'Add the model'"
    keeps
    @done="$emit('done', $event)"
  >
    <div class="grid gap-3 sm:grid-cols-2">
      <TextField name="maker" label="Maker" :suggestions="[...new Set(known.map(m => m.maker))]" /><TextField name="name" label="Model" />
      <AnotherSpelling :known="known.filter(m => m.id !== model?.id)" class="sm:col-span-2" />
      <TextField name="about" label="About it" :lines="2" class="sm:col-span-2" />
      <TextField name="madeFrom" label="Made from, year" numeric /><TextField name="madeTo" label="Made to, year" numeric />
      <TextField name="weightKg" label="Weight in kg" numeric /><LinesField
        name="variants"
        label="Board issues and variants, one a line"
        hint="And how to tell them apart"
      />
      <LinesField name="usualKit" label="Usual kit, one a line" /><LinesField
        name="assemblies"
        label="Assemblies, one a line"
        hint="The next one booked in gets this list"
      />
      <LinesField name="knownFaults" label="Known faults, one a line" class="sm:col-span-2" />
      <LinesField name="wearParts" label="What wears out, one a line" hint="Asked about on each machine of it" /><LinesField
        name="memorySizes"
        label="Memory it was sold with, one a line"
        hint="Such as 16 KB"
      />
      <LinesField name="sockets" label="Sockets that matter, one a line" hint="Such as U12 needed: character ROM, or U13 optional" class="sm:col-span-2" />
    </div>
    <fieldset class="grid gap-2">
      <legend class="font-semibold">Rails</legend>
      <div v-for="(rail, i) in rails" :key="i" class="grid items-end gap-2 sm:grid-cols-[7rem_7rem_8rem_1fr_auto]">
        <div class="grid gap-1">
          <label :for="`${id}-name-${i}`">Rail {{ i + 1 }}</label
          ><input :id="`${id}-name-${i}`" v-model="rail.name" class="entry figure" autocomplete="off" />
        </div>
        <div class="grid gap-1">
          <label :for="`${id}-volts-${i}`">Volts</label
          ><input :id="`${id}-volts-${i}`" v-model="rail.nominalV" class="entry reading" inputmode="decimal" autocomplete="off" />
        </div>
        <div class="grid gap-1">
          <label :for="`${id}-tolerance-${i}`">Tolerance, %</label
          ><input :id="`${id}-tolerance-${i}`" v-model="rail.tolerancePct" class="entry reading" inputmode="decimal" autocomplete="off" placeholder="usual" />
        </div>
        <div class="grid gap-1">
          <label :for="`${id}-point-${i}`">Test point or pin</label
          ><input :id="`${id}-point-${i}`" v-model="rail.point" class="entry" autocomplete="off" maxlength="80" />
        </div>
        <button type="button" class="button button-quiet" @click="rails.splice(i, 1)"><PhX aria-hidden="true" />Leave out</button>
        <p v-if="wrong(rail)" class="col-span-full text-[0.9375rem] text-stop" role="alert">{{ wrong(rail) }}</p>
      </div>
      <div>
        <button type="button" class="button" @click="rails.push({ name: '', nominalV: '', tolerancePct: '', point: '' })">
          <PhPlus aria-hidden="true" />Add a rail</button
        >{{ ' ' }}
        <button type="button" class="button" @click="addMemory"><PhPlus aria-hidden="true" />Pins of the three-rail memory</button>
      </div>
    </fieldset>
    <fieldset class="grid gap-2">
      <legend class="font-semibold">Inlet</legend>
      <div>
        <button type="button" class="button" :aria-pressed="external" @click="external = !external">
          {{ external ? 'It takes mains itself after all' : 'It runs from an external supply' }}
        </button>
      </div>
      <InletFields v-if="external" />
    </fieldset>
  </CommandForm>
</template>
