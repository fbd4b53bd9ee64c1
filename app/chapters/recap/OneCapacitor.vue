<script setup lang="ts">
import { capacitorVerdicts } from '#core/parts/recap/measured'
import { fixings } from '#core/parts/recap/read-list'
import { capacitorStates } from '#core/parts/recap/rules'
import { dues, heatNeighbours } from '#core/parts/recap/schools'
import { isPolarised } from '#core/parts/substitute/kinds/capacitor'
import { typedOf } from '#core/parts/substitute/typed'
import { specWords } from '#core/parts/substitute/words'
import type { ViewOf } from '#shared/chapters/index'
import { CapacitorFields } from '../parts/index'

/** One capacitor: what it is like, what is done about it and why; measured, taken out, changed. */
const props = defineProps<{ one: ViewOf<'recap'>['recap']['capacitors'][number]; tag: string; photographs: ViewOf<'recap'>['recap']['photographs'] }>()
const session = useSession()
type Act = 'measure' | 'out' | 'fit' | 'back' | 'change' | 'drop'
const act = ref<Act>()
const turn = (to: Act) => (act.value = act.value === to ? undefined : to)
const row = useTemplateRef<HTMLElement>('row')
/** Whoever works by keys stays on the row, wherever what was done takes it in the list. */
const stay = () => row.value?.focus({ preventScroll: true })
let acted = false
function done() {
  act.value = undefined
  acted = true
  void nextTick(stay)
}
watch(
  () => props.one.version,
  () => {
    if (acted) stay()
    acted = false
  },
  { flush: 'post' },
)
const fixed = computed(() => ({ capacitorId: props.one.id, version: props.one.version }))
const pictures = computed(() => [
  { value: null as number | null, label: 'None' },
  ...props.photographs.map(({ id, says }) => ({ value: id as number | null, label: says })),
])
/** What sits in the same heat is offered once it is out or changed. */
const asked = ref<string[]>([])
const { submitCommand: ask, busy: asking } = useCommand('ask-question', () => props.tag)
async function check(neighbour: string) {
  if (await ask({ question: `Check the ${neighbour} beside ${props.one.assembly} ${props.one.place}: it sat in the same heat.` })) asked.value.push(neighbour)
}
/** Where nobody stated it, it may have one. */
const polarised = computed(() => isPolarised(props.one.spec) !== false)
const acts = computed((): { to: Act; says: string; main?: true }[] =>
  props.one.state === 'out'
    ? [
        { to: 'fit', says: 'New one fitted', main: true },
        { to: 'measure', says: 'Measured' },
        { to: 'back', says: 'The old one is back' },
      ]
    : props.one.state === 'in'
      ? [
          { to: 'measure', says: 'Measured' },
          { to: 'out', says: 'Take it out' },
          { to: 'change', says: 'Change' },
        ]
      : [{ to: 'out', says: 'Take it out again' }],
)
const may = {
  measure: 'measure-capacitor',
  out: 'take-out-capacitor',
  fit: 'fit-capacitor',
  back: 'put-back-capacitor',
  change: 'change-capacitor',
  drop: 'drop-capacitor',
} as const
const inks = { 'bad': 'text-stop', 'suspect': 'text-care', 'tests-good': 'text-fine', 'not-known': 'text-ink-2' }
const words = {
  assembly: 'On which assembly',
  place: 'Place',
  spec: 'What it is like',
  fixing: 'How it is fixed',
  stressed: 'In heat',
  looksBad: 'Looks bad',
  note: 'Note',
}
</script>

<template>
  <li ref="row" tabindex="-1" class="grid gap-1 py-2" :aria-label="`${one.assembly} ${one.place}`">
    <p class="flex flex-wrap items-baseline gap-x-3">
      <span class="figure font-semibold">{{ one.place }}</span><span>{{ specWords('capacitor', one.spec) }}</span
      ><span v-if="one.verdict" class="font-semibold" :class="inks[one.verdict]">{{ capacitorVerdicts[one.verdict] }}</span
      ><span class="ml-auto font-semibold" :class="one.state === 'out' ? 'text-stop' : one.state === 'fitted' ? 'text-fine' : 'text-ink-2'">{{
        one.state === 'in' ? dues[one.due] : capacitorStates[one.state]
      }}</span>
    </p>
    <p class="hint">
      <template v-if="one.state === 'in' && one.due === 'now'">{{ one.why }} </template>
      <template v-if="one.state !== 'in' && one.plus">Its plus was {{ one.plus }}. </template>
      {{
        [
          ...(one.fixing === 'none' ? [] : [fixings[one.fixing]]),
          ...(one.stressed ? ['In heat, or with much ripple'] : []),
          ...(one.bagged ? ['The old one is bagged'] : []),
          ...(one.note ? [one.note] : []),
        ].join('; ')
      }}
      <NuxtLink v-if="one.photographId !== null" :to="`/m/${tag}/photo/${one.photographId}`">As it was</NuxtLink>
    </p>
    <details v-if="one.findings.length">
      <summary>What was measured</summary>
      <FindingList :findings="one.findings" />
    </details>
    <p v-if="acts.some(a => session.may(may[a.to]))" class="flex flex-wrap gap-x-3 gap-y-1">
      <template v-for="a in acts" :key="a.to"
        ><button
          v-if="session.may(may[a.to])"
          type="button"
          class="button wide:min-h-8!"
          :class="!a.main && 'button-quiet'"
          :aria-expanded="act === a.to"
          @click="turn(a.to)"
        >
          {{ a.says }}<span class="sr-only"> {{ one.place }}</span>
        </button></template
      >
    </p>
    <p v-if="one.stressed && one.state !== 'in' && session.may('ask-question')" class="hint flex flex-wrap items-baseline gap-x-3">
      <span>It sat in heat, and so does what is beside it.</span>
      <template v-for="neighbour in heatNeighbours" :key="neighbour"
        ><span v-if="asked.includes(neighbour)" role="status">The {{ neighbour }} is among the open questions.</span
        ><button v-else type="button" class="underline max-wide:min-h-11" :disabled="asking" @click="check(neighbour)">
          Note the {{ neighbour }} to be checked<span class="sr-only"> {{ one.place }}</span>
        </button></template
      >
    </p>
    <CommandForm
      v-if="act === 'measure'"
      command="measure-capacitor"
      :machine="tag"
      :initial="{
        capacitanceF: '' as never,
        esrOhm: '' as never,
        leakageA: '' as never,
        atV: '' as never,
        reformed: one.measured?.reformed ?? false,
        inCircuit: false,
      }"
      :fixed="fixed"
      :label="`What ${one.place} measures`"
      submit="Save what it measures"
      @done="done"
    >
      <p class="hint">Empty, and out of the circuit or with one leg free. What was not measured is left empty.</p>
      <div class="grid grid-cols-2 gap-3 sm:grid-cols-4">
        <TextField name="capacitanceF" label="Capacitance, F" numeric hint="Such as 430u" /><TextField
          name="esrOhm"
          label="Series resistance, Ω"
          numeric
        /><TextField name="leakageA" label="Leakage, A" numeric hint="Such as 20u, after two minutes" /><TextField name="atV" label="Measured at, V" numeric />
      </div>
      <TickField name="reformed" label="Reformed at limited current before" />
      <TickField name="inCircuit" label="Measured with both legs in the board" />
    </CommandForm>
    <CommandForm
      v-if="act === 'out'"
      command="take-out-capacitor"
      :machine="tag"
      :initial="{ plus: '', fixing: one.fixing, photographId: null, bagged: false }"
      :fixed="fixed"
      :label="`${one.place} comes out`"
      submit="It is out"
      @done="done"
    >
      <p class="hint">Note it, and photograph it, before the iron. Fresh solder and flux first; no pin hotter than about ten seconds.</p>
      <TextField v-if="polarised" name="plus" label="Where its plus was" hint="Such as towards C13, or as printed. A print on a board can be wrong" />
      <ChoiceField name="fixing" label="How it is fixed" :options="Object.entries(fixings).map(([value, label]) => ({ value, label }))" />
      <PickField v-if="photographs.length" name="photographId" label="As it was, on a photograph" :options="pictures" empty="None" />
      <TickField name="bagged" label="The old one is bagged with this machine’s number" />
    </CommandForm>
    <CommandForm
      v-if="act === 'back'"
      command="put-back-capacitor"
      :machine="tag"
      :initial="{ reason: '' }"
      :fixed="fixed"
      :label="`The old one is back in ${one.place}`"
      submit="It is back in"
      @done="done"
      ><TextField name="reason" label="Why" hint="Such as tested good at its voltage, or never was out"
    /></CommandForm>
    <CommandForm
      v-if="act === 'fit'"
      command="fit-capacitor"
      :machine="tag"
      :initial="{ polarityAsked: false, joints: '2' as never, heldId: null, note: '' }"
      :fixed="fixed"
      :label="`A new one in ${one.place}`"
      submit="It is in"
      @done="done"
    >
      <p v-if="polarised" class="border-l-4 border-care bg-care-wash px-3 py-1">
        <strong>Plus was {{ one.plus || 'not noted' }}.</strong> Hold the new one against that once more.
      </p>
      <TickField v-if="polarised" name="polarityAsked" label="Its plus lies there" />
      <FromShelf :capacitor-id="one.id" />
      <div class="grid gap-3 sm:grid-cols-2">
        <TextField name="joints" label="Joints made" numeric /><TextField name="note" label="Note" hint="How it stands, what else was seen" />
      </div>
    </CommandForm>
    <CommandForm
      v-if="act === 'change'"
      command="change-capacitor"
      :machine="tag"
      :initial="{
        assembly: one.assembly,
        place: one.place,
        spec: typedOf(one.spec),
        fixing: one.fixing,
        stressed: one.stressed,
        looksBad: one.looksBad,
        note: one.note,
      }"
      :fixed="fixed"
      :words="words"
      :label="`Change ${one.place}`"
      submit="Save"
      keeps
      @done="done"
    >
      <div class="grid gap-3 sm:grid-cols-2"><TextField name="assembly" label="On which assembly" /><TextField name="place" label="Place" /></div>
      <CapacitorFields />
      <ChoiceField name="fixing" label="How it is fixed" :options="Object.entries(fixings).map(([value, label]) => ({ value, label }))" />
      <TickField name="stressed" label="It sits in heat, or carries much ripple" />
      <TickField name="looksBad" label="It bulges, leaks or is cracked" />
      <TextField name="note" label="Note" />
    </CommandForm>
    <p v-if="act === 'change' && session.may('drop-capacitor')">
      <button type="button" class="button button-quiet" @click="turn('drop')">
        Take it off the list<span class="sr-only"> {{ one.place }}</span>
      </button>
    </p>
    <CommandForm
      v-if="act === 'drop'"
      command="drop-capacitor"
      :machine="tag"
      :initial="{ reason: '' }"
      :fixed="fixed"
      :label="`${one.place} leaves the list`"
      submit="Take it off the list"
      @done="done"
      ><TextField name="reason" label="Why" hint="Such as no such place on this issue"
    /></CommandForm>
  </li>
</template>
