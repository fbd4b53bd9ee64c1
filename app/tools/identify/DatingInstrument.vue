<script setup lang="ts">
import { type DatedPart, dateMachine } from '#core/identify/dating'
import { parseQuantity } from '#core/kernel/quantity'
import { identifyDating } from '#shared/tools/identify/dating'

/** Codes one a line, as they are read off the board; bounds beside them. */
const emit = defineEmits<{ input: [input: Record<string, unknown> | undefined] }>()
const { example } = identifyDating
const lineOf = (p: DatedPart) => [p.code, p.place, p.socketed && 'socketed', p.reworked && 'reworked'].filter(Boolean).join(', ')
const typed = ref(example.codes.map(lineOf).join('\n'))
const bound = reactive({ notBefore: '', notAfter: example.bounds?.[0]?.notAfter ?? '', why: example.bounds?.[0]?.why ?? '' })
const lag = ref('8')
const made = reactive({ from: '', to: '' })
const year = (typed: string, field: string) => (typed.trim() ? parseQuantity(typed, '', field) : undefined)

const partOf = (line: string): DatedPart => {
  const [code = '', ...rest] = line.split(',').map(word => word.trim())
  const flags = ['socketed', 'reworked']
  return {
    code,
    place: rest.filter(word => !flags.includes(word.toLowerCase())).join(', '),
    socketed: rest.some(w => w.toLowerCase() === 'socketed'),
    reworked: rest.some(w => w.toLowerCase() === 'reworked'),
  }
}
const { result, at } = useInstrument(
  () => ({
    codes: typed.value
      .split('\n')
      .filter(line => line.trim())
      .map(partOf),
    bounds:
      bound.notBefore || bound.notAfter
        ? [{ ...(bound.notBefore && { notBefore: bound.notBefore }), ...(bound.notAfter && { notAfter: bound.notAfter }), why: bound.why || 'the bound given' }]
        : [],
    assemblyLagWeeks: parseQuantity(lag.value, '', 'assemblyLagWeeks'),
    madeFrom: year(made.from, 'madeFrom'),
    madeTo: year(made.to, 'madeTo'),
  }),
  dateMachine,
  input => emit('input', input),
)
</script>

<template>
  <div class="grid items-start gap-4 lg:grid-cols-[22rem_1fr]">
    <OneCard title="Codes">
      <FieldFrame
        id="codes"
        v-slot="{ described }"
        label="One a line"
        hint="Code, place, and the words socketed or reworked, with commas between"
        :message="at('codes')"
      >
        <textarea id="codes" v-model="typed" class="entry figure" rows="8" :aria-describedby="described" :aria-invalid="!!at('codes')" />
      </FieldFrame>
      <div class="grid gap-3">
        <FieldFrame id="notBefore" label="Not before"><DayInput id="notBefore" v-model="bound.notBefore" label="Not before" /></FieldFrame>
        <FieldFrame id="notAfter" label="Not after" :message="at('bounds.0')"
          ><DayInput id="notAfter" v-model="bound.notAfter" label="Not after" :invalid="!!at('bounds.0')"
        /></FieldFrame>
      </div>
      <FieldFrame id="why" label="Because of" hint="A stamped date, a board issue, a change of name"
        ><input id="why" v-model="bound.why" class="entry" aria-describedby="why-hint"
      /></FieldFrame>
      <div class="grid grid-cols-2 gap-3">
        <MeasureField v-model="made.from" label="Model made from" hint="Year, or empty" :message="at('madeFrom')" />
        <MeasureField v-model="made.to" label="Model made to" hint="Year, or empty" :message="at('madeTo')" />
      </div>
      <FieldFrame id="lag" label="Weeks from part to machine" :message="at('assemblyLagWeeks')"
        ><input id="lag" v-model="lag" class="entry figure" inputmode="numeric" :aria-invalid="!!at('assemblyLagWeeks')"
      /></FieldFrame>
    </OneCard>
    <OneCard title="Made"><DatingVerdict v-if="result" :dating="result" /><EmptyPlace v-else says="Type the codes; the date will appear here." /></OneCard>
  </div>
</template>
