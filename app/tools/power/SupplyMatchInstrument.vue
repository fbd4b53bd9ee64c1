<script setup lang="ts">
import { parseQuantity } from '#core/kernel/quantity'
import { type CurrentKind, type Polarity, currentKindNames, matchSupply, polarityNames } from '#core/power/supply-match'
import { powerSupplyMatch } from '#shared/tools/power/supply-match'

/** The inlet of a machine against the label of a supply. */
const emit = defineEmits<{ input: [input: Record<string, unknown> | undefined] }>()
const { needs, supply, neighbours = [] } = powerSupplyMatch.example
const [neighbour] = neighbours
const typed = reactive({
  'needs.voltageV': String(needs.voltageV),
  'needs.currentA': String(needs.currentA),
  'needs.tolerancePct': '5',
  'needs.outerMm': String(needs.outerMm),
  'needs.innerMm': String(needs.innerMm),
  'supply.voltageV': String(supply.voltageV),
  'supply.currentA': String(supply.currentA),
  'supply.unloadedV': '',
  'supply.outerMm': String(supply.outerMm),
  'supply.innerMm': String(supply.innerMm),
  'neighbour.name': neighbour!.name,
  'neighbour.voltageV': String(neighbour!.voltageV),
})
type Field = keyof typeof typed
const inlet = reactive({ kind: needs.kind as CurrentKind, polarity: needs.polarity as Polarity | undefined, regulatedInside: needs.regulatedInside })
const label = reactive({
  kind: supply.kind as CurrentKind | undefined,
  polarity: supply.polarity as Polarity | undefined,
  regulated: supply.regulated as boolean | undefined,
})
const unknown = { value: undefined, label: 'Not known' }
const kinds = choicesOf(currentKindNames)
const plugs: (Polarity | undefined)[] = ['centre-positive', 'centre-negative', undefined]
const polarityChoices = plugs.map(value => ({ value, label: value ? polarityNames[value] : 'Not known' }))
const read = (field: Field) =>
  typed[field].trim() ? parseQuantity(typed[field], field.endsWith('V') ? 'V' : field.endsWith('A') ? 'A' : '', field) : undefined
const must = (field: Field) => parseQuantity(typed[field], field.endsWith('V') ? 'V' : 'A', field)
const { result, at } = useInstrument(
  () => ({
    needs: {
      voltageV: must('needs.voltageV'),
      currentA: must('needs.currentA'),
      tolerancePct: read('needs.tolerancePct'),
      outerMm: read('needs.outerMm'),
      innerMm: read('needs.innerMm'),
      ...inlet,
    },
    supply: {
      voltageV: must('supply.voltageV'),
      currentA: read('supply.currentA'),
      unloadedV: read('supply.unloadedV'),
      outerMm: read('supply.outerMm'),
      innerMm: read('supply.innerMm'),
      ...label,
    },
    // Inlets side by side on one machine have one kind of socket.
    neighbours: typed['neighbour.voltageV'].trim()
      ? [
          {
            name: typed['neighbour.name'].trim() || 'the inlet beside it',
            voltageV: must('neighbour.voltageV'),
            kind: inlet.kind,
            outerMm: read('needs.outerMm'),
            innerMm: read('needs.innerMm'),
          },
        ]
      : [],
  }),
  matchSupply,
  input => emit('input', input),
)
const verdicts = {
  'yes': { says: 'Suits', level: 'fine' },
  'not-yet-known': { says: 'Not yet known', level: 'care' },
  'no': { says: 'Does not suit', level: 'stop' },
} as const
</script>

<template>
  <div class="grid items-start gap-4 lg:grid-cols-3">
    <OneCard title="What the inlet needs">
      <div class="grid grid-cols-2 gap-3">
        <MeasureField v-model="typed['needs.voltageV']" label="Volts" :message="at('needs.voltageV')" /><MeasureField
          v-model="typed['needs.currentA']"
          label="Amperes"
          :message="at('needs.currentA')"
        /><MeasureField v-model="typed['needs.tolerancePct']" label="Tolerance, %" :message="at('needs.tolerancePct')" /><SelectField
          v-model="inlet.kind"
          label="AC or DC"
          :options="kinds"
        />
      </div>
      <SelectField v-if="inlet.kind === 'dc'" v-model="inlet.polarity" label="Polarity of the inlet" :options="polarityChoices" />
      <div class="grid grid-cols-2 gap-3">
        <MeasureField v-model="typed['needs.outerMm']" label="Outside, mm" /><MeasureField v-model="typed['needs.innerMm']" label="Pin, mm" />
      </div>
      <SelectField
        v-model="inlet.regulatedInside"
        label="A regulator inside"
        :options="[
          { value: true, label: 'Yes' },
          { value: false, label: 'No, or not known' },
        ]"
      />
      <h3>The inlet beside it</h3>
      <div class="grid grid-cols-2 gap-3">
        <MeasureField v-model="typed['neighbour.name']" label="Name" words /><MeasureField
          v-model="typed['neighbour.voltageV']"
          label="Its volts"
          hint="Leave empty if none"
          :message="at('neighbour.voltageV')"
        />
      </div>
    </OneCard>
    <OneCard title="What the supply says">
      <div class="grid grid-cols-2 gap-3">
        <MeasureField v-model="typed['supply.voltageV']" label="Volts on the label" :message="at('supply.voltageV')" /><MeasureField
          v-model="typed['supply.currentA']"
          label="Amperes on it"
          hint="Leave empty if not known"
          :message="at('supply.currentA')"
        />
      </div>
      <SelectField v-model="label.kind" label="It gives" :options="[...kinds, unknown]" />
      <SelectField v-if="label.kind !== 'ac'" v-model="label.polarity" label="Polarity of the plug" :options="polarityChoices" />
      <div class="grid grid-cols-2 gap-3">
        <MeasureField v-model="typed['supply.outerMm']" label="Plug outside, mm" /><MeasureField v-model="typed['supply.innerMm']" label="Bore, mm" />
      </div>
      <SelectField
        v-model="label.regulated"
        label="Regulated"
        :options="[{ value: true, label: 'Yes' }, { value: false, label: 'No' }, unknown]"
      /><MeasureField
        v-model="typed['supply.unloadedV']"
        label="Measured with nothing attached, V"
        hint="Leave empty if not measured"
        :message="at('supply.unloadedV')"
      />
    </OneCard>
    <OneCard title="Together">
      <template v-if="result">
        <InstrumentFace
          label="On its label"
          :figure="`${typed['supply.voltageV']} V`"
          :judgement="verdicts[result.suits].says"
          :level="verdicts[result.suits].level"
        />
        <dl v-if="result.bench" class="grid gap-2 border-y border-line py-2">
          <dt class="font-semibold">A bench supply instead</dt>
          <dd class="reading">{{ result.bench.voltageV }} V</dd>
          <dd>
            <span class="figure">{{ result.bench.firstLimitA }} A</span> limit at the first start, then
            <span class="figure">{{ result.bench.runLimitA }} A</span>
          </dd>
        </dl>
        <FindingList :findings="result.findings" />
      </template>
      <EmptyPlace v-else says="Fill in both sides, and you will see whether they suit each other." />
    </OneCard>
  </div>
</template>
