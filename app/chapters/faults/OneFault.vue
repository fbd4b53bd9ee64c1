<script setup lang="ts">
import { writtenDay } from '#core/kernel/days'
import { attemptAreaNames, attemptAreas } from '#core/diagnosis/back-to-basics'
import { partKindNames, partKinds } from '#core/diagnosis/part-priors'
import { symptomNames } from '#core/diagnosis/symptoms'
import { photographUrl } from '#shared/chapters/look/index'
import type { MachineSheet, SheetOf } from '#shared/chapters/index'
import type { NeedStops } from '#core/parts/needs'
import type { PartKindName } from '#core/parts/substitute/substitute'
import { PhotographForIt } from '../look/index'
import { NeedFields, emptyNeed } from '../parts/index'

/** One fault: its words, what was observed, tried, thought and repaired, and what it turned out to be. */
const props = defineProps<{ sheet: SheetOf<'faults'>; fault: MachineSheet['faults'][number] }>()
const session = useSession()
const times = useTimes()
const doing = ref<'observe' | 'try' | 'repair' | 'part' | 'change' | 'leave'>()
const story = computed(() =>
  (
    [
      ...props.fault.observations.map(o => ({ key: `o${o.id}`, at: o.at, word: 'Found', says: o.says, photograph: o.photograph })),
      // A swap is read on the board, with all the others.
      ...props.fault.attempts
        .filter(a => !a.trial)
        .map(a => ({
          key: `a${a.id}`,
          at: a.at,
          word: `${attemptAreaNames[a.area]}${a.minutes ? `, ${a.minutes} min` : ''}`,
          says: a.did,
          capture: a.capture,
          attemptId: a.id,
        })),
      ...props.fault.repairs.map(r => ({
        key: `r${r.id}`,
        at: r.at,
        word: r.closes ? 'Repair, closed' : 'Repair, still open',
        says: [r.did, r.part && `${r.part} replaced${r.partFrom && `, from ${r.partFrom}`}.`, !r.reversible && 'It cannot be undone.']
          .filter(Boolean)
          .join(' '),
      })),
    ] as { key: string; at: string; word: string; says: string; photograph?: { id: number; hash: string } | null; capture?: string; attemptId?: number }[]
  ).sort((a, b) => a.at.localeCompare(b.at)),
)
/** Its board weighs all of its tests: only where somebody looks at it. */
const board = ref(false)
const swaps = computed(() => props.fault.attempts.filter(a => a.trial).length)
/** The capture that is looked at, by its attempt. */
const trace = ref<number>()
const bench = ref(false)
const areas = attemptAreas.filter(a => a !== 'swap').map(value => ({ value, label: attemptAreaNames[value] }))
const kinds = [{ value: '' as const, label: 'Not said' }, ...partKindNames.map(value => ({ value, label: partKinds[value].name }))]
const stays = computed(() => [
  ...(props.fault.stopsMachine ? [] : [{ value: 'known' as const, label: 'As known: nobody is working on it' }]),
  { value: 'came-back' as const, label: 'It came back on its own: intermittent' },
  { value: '' as const, label: 'Work on it again' },
])
type WantedKind = PartKindName | null
const begin = (what: typeof doing.value) => (doing.value = doing.value === what ? undefined : what)
</script>

<template>
  <article class="grid gap-2 border border-line p-3" :aria-label="fault.symptom">
    <header class="flex flex-wrap items-baseline gap-x-3">
      <h3>{{ fault.symptom }}</h3>
      <span v-if="!fault.open" class="font-semibold text-fine">Closed</span
      ><span v-else-if="fault.leftAs === 'known'" class="font-semibold text-note">Leave as known</span
      ><span v-else-if="fault.leftAs === 'came-back'" class="font-semibold text-care">Intermittent, came back on its own</span
      ><span v-else-if="fault.stopsMachine" class="font-semibold text-stop">Stops the machine</span
      ><span v-else class="font-semibold text-care">Does not stop it</span>
      <span v-if="fault.firstSeen" class="hint">First seen {{ writtenDay(fault.firstSeen) }}</span>
      <span v-if="fault.minutes" class="hint">{{ fault.minutes }} minutes so far</span>
    </header>
    <p v-if="fault.cause" class="border-l-4 border-fine px-3">
      It was: <strong>{{ fault.cause }}</strong>
    </p>
    <p v-if="fault.symptoms.length || fault.conditions" class="hint">
      {{ [fault.symptoms.map(w => symptomNames[w] ?? w).join(', '), fault.conditions].filter(Boolean).join('; ') }}
    </p>
    <FindingList v-if="fault.findings.length" :findings="fault.findings" />
    <p v-if="fault.likelyCauses.length" class="border-l-4 border-note bg-note-wash px-3 py-1">
      Others of this model had:
      <span v-for="(one, i) in fault.likelyCauses" :key="one.cause"
        >{{ i ? '; ' : '' }}<strong>{{ one.cause }}</strong>
        <span class="hint">&ensp;right {{ one.right }} of {{ one.of }} times ({{ one.machines.join(', ') }})</span></span
      >
    </p>
    <ol v-if="story.length" class="grid gap-1.5">
      <li v-for="one in story" :key="one.key" class="grid gap-x-3 sm:grid-cols-[13rem_1fr]">
        <span class="hint">{{ times.day(one.at) }}, {{ one.word.toLowerCase() }}</span>
        <div class="grid justify-items-start gap-1">
          <span>{{ one.says }}</span>
          <NuxtLink v-if="one.photograph" :to="`/m/${sheet.tag}/photo/${one.photograph.id}`"
            ><img :src="photographUrl(one.photograph.hash, 'thumb')" alt="Photograph of it" loading="lazy" class="h-24 border border-line object-cover"
          /></NuxtLink>
          <button
            v-if="one.capture"
            type="button"
            class="button button-quiet"
            :aria-expanded="trace === one.attemptId"
            @click="trace = trace === one.attemptId ? undefined : one.attemptId"
          >
            {{ one.capture }}
          </button>
        </div>
        <KeptCapture v-if="one.capture && trace === one.attemptId" class="sm:col-span-2" :tag="sheet.tag" :attempt-id="one.attemptId!" :name="one.capture" />
      </li>
    </ol>
    <p v-else-if="!fault.attempts.length && !fault.theories.length" class="hint">Nothing observed yet.</p>
    <div class="flex flex-wrap gap-1">
      <button v-if="session.may('observe-fault')" type="button" class="button button-quiet" :aria-expanded="doing === 'observe'" @click="begin('observe')">
        Add an observation
      </button>
      <button v-if="fault.open && session.may('try-on-fault')" type="button" class="button button-quiet" :aria-expanded="doing === 'try'" @click="begin('try')">
        Add an attempt
      </button>
      <button
        v-if="fault.open && session.may('repair-fault')"
        type="button"
        class="button button-quiet"
        :aria-expanded="doing === 'repair'"
        @click="begin('repair')"
      >
        Add a repair
      </button>
      <button v-if="fault.open && session.may('want-part')" type="button" class="button button-quiet" :aria-expanded="doing === 'part'" @click="begin('part')">
        A part for it
      </button>
      <button v-if="session.may('change-fault')" type="button" class="button button-quiet" :aria-expanded="doing === 'change'" @click="begin('change')">
        Edit
      </button>
      <button
        v-if="fault.open && session.may('leave-fault')"
        type="button"
        class="button button-quiet"
        :aria-expanded="doing === 'leave'"
        @click="begin('leave')"
      >
        It stays open
      </button>
    </div>
    <CommandForm
      v-if="doing === 'observe'"
      command="observe-fault"
      :machine="sheet.tag"
      :initial="{ says: '', photographId: null }"
      :fixed="{ faultId: fault.id }"
      label="Add an observation"
      submit="Save observation"
      @done="doing = undefined"
      ><TextField name="says" label="What was observed" :lines="2" /><PhotographForIt
        v-if="session.may('add-photograph')"
        :tag="sheet.tag"
        take="Photograph it"
    /></CommandForm>
    <CommandForm
      v-if="doing === 'repair'"
      command="repair-fault"
      :machine="sheet.tag"
      :initial="{ did: '', closes: false, cause: '', causeKind: '', part: '', partFrom: '', reversible: true, feedsRails: null }"
      :fixed="{ faultId: fault.id }"
      label="Add a repair"
      submit="Save repair"
      @done="doing = undefined"
      ><TextField name="did" label="What was done" :lines="2" />
      <div class="grid gap-3 sm:grid-cols-2">
        <TextField name="cause" label="What it was" hint="In the words used for other faults of this model" /><PickField
          name="causeKind"
          label="Kind of part"
          :options="kinds"
        />
        <TextField name="part" label="Part replaced" hint="With its place, such as IC7" /><TextField
          name="partFrom"
          label="Replacement came from"
          hint="Stock, a donor, a shop"
        />
      </div>
      <FeedsRailsField />
      <div class="flex flex-wrap gap-x-6"><TickField name="closes" label="It closed the fault" /><TickField name="reversible" label="It can be undone" /></div
    ></CommandForm>
    <CommandForm
      v-if="doing === 'part'"
      command="want-part"
      :machine="sheet.tag"
      :initial="{ ...emptyNeed, stops: fault.stopsMachine ? 'start' : 'no-start' }"
      label="A part for it"
      submit="Add to the list"
      @done="doing = undefined"
      ><template #default="{ values }"><NeedFields :stops="values.stops as NeedStops" :kind="values.kind as WantedKind" /></template>
    </CommandForm>
    <CommandForm
      v-if="doing === 'try'"
      command="try-on-fault"
      :machine="sheet.tag"
      :initial="{ area: 'rails', did: '', minutes: '' as never }"
      :fixed="{ faultId: fault.id }"
      label="Add an attempt"
      submit="Save attempt"
      @done="doing = undefined"
      ><div class="grid gap-3 sm:grid-cols-[1fr_8rem]">
        <PickField name="area" label="What was tested" :options="areas" /><TextField name="minutes" label="Minutes" numeric />
      </div>
      <TextField name="did" label="What was tried, and what it showed" :lines="2"
    /></CommandForm>
    <CommandForm
      v-if="doing === 'leave'"
      command="leave-fault"
      :machine="sheet.tag"
      :initial="{ leftAs: 'came-back', says: '' }"
      :fixed="{ faultId: fault.id, version: fault.version }"
      label="It stays open"
      submit="Save"
      @done="doing = undefined"
      ><PickField name="leftAs" label="How it stays open" :options="stays" /><TextField name="says" label="Why"
    /></CommandForm>
    <CommandForm
      v-if="doing === 'change'"
      command="change-fault"
      :machine="sheet.tag"
      :initial="{ symptom: fault.symptom, stopsMachine: fault.stopsMachine, symptoms: fault.symptoms, conditions: fault.conditions }"
      :fixed="{ faultId: fault.id, version: fault.version }"
      :words="{ symptom: 'Symptom', stopsMachine: 'It stops the machine', symptoms: 'Words', conditions: 'When it shows' }"
      label="Edit the fault"
      submit="Save"
      keeps
      @done="doing = undefined"
      ><TextField name="symptom" label="Symptom" /><TextField name="conditions" label="When it shows" /><SymptomWords /><TickField
        name="stopsMachine"
        label="It stops the machine"
    /></CommandForm>
    <FaultTheories v-if="fault.open || fault.theories.length" :tag="sheet.tag" :fault="fault" :broken-functions="sheet.brokenFunctions" />
    <details v-if="fault.open" class="border border-line px-3 py-2" @toggle="e => (bench = (e.target as HTMLDetailsElement).open)">
      <summary class="font-semibold">Ladder, keyboard, memory, captures</summary>
      <LazyFaultInstruments v-if="bench" class="pt-2" :sheet="sheet" :fault="fault" />
    </details>
    <details v-if="fault.open || swaps" class="border border-line px-3 py-2" @toggle="e => (board = (e.target as HTMLDetailsElement).open)">
      <summary class="font-semibold">Swap board{{ swaps ? `: ${swaps === 1 ? '1 test' : `${swaps} tests`}` : '' }}</summary>
      <LazyFaultSwaps v-if="board" class="pt-2" :tag="sheet.tag" :fault="fault" :priors="sheet.partPriors" :proposed="sheet.partsToSwap" />
    </details>
  </article>
</template>
