<script setup lang="ts">
import { codePath } from '#core/parts/codes'
import { heldPlaces, isOnItsWay, maySpare, partConditions, waysOf } from '#core/parts/ledger'
import { specWords } from '#core/parts/substitute/words'
import { typedOf } from '#core/parts/substitute/typed'
import type { HeldView } from '#shared/chapters/parts/index'

/** One line of the ledger: what, how many, where; moved, changed, and the way it came, each behind a press. */
const props = defineProps<{ held: HeldView }>()
const session = useSession()
const times = useTimes()
const clock = useClock()
const open = ref<'move' | 'change' | 'way'>()
const presses = useTemplateRef<HTMLButtonElement[]>('presses')
/** What was opened goes when it is done, and leaves whoever works by keys where they were. */
async function close() {
  const at = ways.findIndex(([what]) => what === open.value)
  open.value = undefined
  await nextTick()
  presses.value?.[at]?.focus()
}
const ways = [
  ['move', 'Move'],
  ['change', 'Change'],
  ['way', 'Its way'],
] as const
const turn = (what: 'move' | 'change' | 'way') => (open.value = open.value === what ? undefined : what)
const spec = computed(() => (props.held.kind ? specWords(props.held.kind, props.held.spec) : ''))
const beside = computed(() => {
  const { at, tag, lies, holder, dueBy, lender, backBy, source } = props.held
  return [
    heldPlaces[at] + (tag ? `, ${tag}` : '') + (holder ? `, ${holder}` : ''),
    ...(lies ? [`in ${lies}`] : []),
    ...(dueBy ? [`${isOnItsWay(props.held) ? 'expected' : 'back'} by ${times.day(dueBy)}`] : []),
    ...(lender ? [`belongs to ${lender}${backBy ? `, back to them by ${times.day(backBy)}` : ''}`] : []),
    ...(source ? [`from ${source}`] : []),
    ...(props.held.keepAtLeast ? [`at least ${props.held.keepAtLeast} are kept`] : []),
    ...(props.held.spared ? ['can be spared'] : []),
  ].join('; ')
})
const initial = computed(() => {
  const { name, kind, spec, condition, lies, source, unitPrice, keepAtLeast, dateCode, lender, backBy, note, dueBy } = props.held
  return {
    name,
    kind,
    spec: typedOf(spec),
    condition,
    lies,
    source,
    unitPrice: unitPrice === null ? '' : String(unitPrice),
    keepAtLeast: keepAtLeast === null ? '' : String(keepAtLeast),
    dateCode,
    lender,
    backBy,
    note,
    dueBy,
  }
})
const words = {
  name: 'Part',
  condition: 'How it is',
  lies: 'Where it lies',
  source: 'From whom',
  unitPrice: 'Price',
  keepAtLeast: 'Keep at least',
  lender: 'Whose it is',
  note: 'Note',
  kind: 'Kind',
  spec: 'What it is like',
}
const { submitCommand: spare, busy: sparing, failure: notSpared, stale: staleSpare } = useCommand('spare-part')
const isLate = computed(() => !!props.held.dueBy && props.held.dueBy < times.dayOf(clock.now))
</script>

<template>
  <li class="grid gap-2 py-2">
    <div class="flex flex-wrap items-baseline gap-x-3 gap-y-1">
      <span class="figure">{{ held.count }} ×</span><span class="font-semibold">{{ held.name }}</span
      ><span v-if="held.condition !== 'not-looked-at'" :class="held.condition === 'bad' && 'text-stop'">{{ partConditions[held.condition] }}</span>
      <span v-if="session.may('move-held')" class="ml-auto flex flex-wrap gap-x-4">
        <button
          v-for="[what, word] in ways"
          v-show="what !== 'move' || waysOf(held).length"
          :key="what"
          ref="presses"
          type="button"
          class="text-sm underline max-wide:min-h-11"
          :aria-expanded="open === what"
          @click="turn(what)"
        >
          {{ open === what ? 'Close' : word }}<span class="sr-only"> {{ held.name }}</span>
        </button>
      </span>
    </div>
    <p class="hint" :class="isLate && 'text-care!'">
      {{ isLate ? 'Late: ' : '' }}{{ beside }}<template v-if="spec">; {{ spec }}</template
      ><template v-if="held.note">; {{ held.note }}</template
      >.
    </p>
    <MoveHeld v-if="open === 'move'" :held="held" @done="close" />
    <CommandForm
      v-if="open === 'move' && held.at === 'lent' && session.may('write-off-loan')"
      command="write-off-loan"
      :initial="{ reason: '' }"
      :fixed="{ heldId: held.id, version: held.version }"
      label="Write it off"
      submit="Write off"
      class="bg-mat p-3"
      @done="close"
      ><TextField name="reason" label="Why it does not come back"
    /></CommandForm>
    <CommandForm
      v-if="open === 'move' && waysOf(held).includes('given') && session.may('give-away')"
      command="give-away"
      :initial="{ count: String(held.count) as never, holder: '', tested: '', inReturn: '', dueBy: null }"
      :fixed="{ heldId: held.id, version: held.version }"
      label="Give it away, or swap it"
      submit="Give away"
      class="bg-mat p-3"
      @done="close"
    >
      <template #default="{ values }">
        <div class="grid gap-3 sm:grid-cols-2">
          <TextField v-if="held.count > 1" name="count" :label="`How many of ${held.count}`" numeric />
          <TextField name="holder" label="To whom" /><TextField name="tested" label="What was looked at or tested" />
          <TextField name="inReturn" label="What comes for it" hint="Empty: a gift. Else it is on its way from now on" />
          <DayField v-if="values.inReturn" name="dueBy" label="Expected by" />
        </div>
      </template>
    </CommandForm>
    <p v-if="open === 'move' && session.may('spare-part') && (held.spared || maySpare(held))" class="flex flex-wrap items-center gap-3 bg-mat p-3">
      <button type="button" class="button" :disabled="sparing" @click="spare({ heldId: held.id, version: held.version, spared: !held.spared })">
        {{ held.spared ? 'It cannot be spared any more' : 'It can be spared' }}<span class="sr-only"> {{ held.name }}</span>
      </button>
      <span class="hint">What can be spared stands on the public list, if that is open.</span>
      <span v-if="notSpared || staleSpare" role="alert" class="text-stop">{{ notSpared || staleSpare?.message }}</span>
    </p>
    <CommandForm
      v-if="open === 'change'"
      command="change-held"
      :initial="initial"
      :fixed="{ heldId: held.id, version: held.version }"
      :words="words"
      :label="`Change ${held.name}`"
      submit="Save"
      keeps
      class="bg-mat p-3"
      @done="close"
    >
      <template #default="{ values }">
        <HeldFields :kind="values.kind as HeldView['kind']" :lender="values.lender as string" />
        <DayField v-if="isOnItsWay(held) || held.at === 'lent'" name="dueBy" :label="isOnItsWay(held) ? 'Expected by' : 'Back by'" />
      </template>
    </CommandForm>
    <p v-if="open === 'way'"><NuxtLink :to="codePath({ what: 'part', uid: held.uid })">Its page, with its label</NuxtLink></p>
    <ol v-if="open === 'way'" class="grid gap-1 border-l-2 border-line pl-3">
      <li v-for="(line, at) in held.trail" :key="at">
        {{ line.says }} <span class="hint">{{ line.by }}, {{ times.moment(line.at) }}</span>
      </li>
    </ol>
  </li>
</template>
