<script setup lang="ts">
import { type OpeningState, fixingWords } from '#core/opening/reassembly'
import { counted } from '#core/kernel/figure'
import type { MachineSheet, SheetOf } from '#shared/chapters/index'

/** How it came apart, step by step, and read backwards how it goes together again. */
const props = defineProps<{ sheet: SheetOf<'look' | 'opening'> }>()
const session = useSession()
const backwards = ref(false)
const changing = ref<number>()
const { submitCommand: reuse, busy: reusing, failure } = useCommand('reuse-opening', () => props.sheet.tag)
const empty = { what: '', fixings: [], connectors: [], hides: '', hazard: '', photographId: null }
const steps = computed(() => props.sheet.opening.steps)
const done = computed(() => steps.value.filter(s => s.state !== 'ahead'))
const undone = computed(() => steps.value.filter(s => s.state === 'undone').length)
const result = computed(() =>
  done.value.length ? `${counted(done.value.length, 'step')}, ${undone.value ? `${undone.value} not yet back` : 'all back together'}` : 'Nothing undone yet',
)
const ahead = computed(() => steps.value.find(s => s.state === 'ahead'))
const stateWords: Record<OpeningState, string> = { ahead: 'Ahead', undone: 'Undone', back: 'Together again' }
const inks: Record<OpeningState, string> = { ahead: 'text-note', undone: 'text-care', back: 'text-fine' }
type Step = MachineSheet['opening']['steps'][number]
const typed = ({ what, fixings, connectors, hides, hazard, photographId }: Step) => ({
  what,
  fixings: fixings.map(({ count, head, lengthMm, tray }) => ({ count, head, lengthMm, tray })),
  connectors,
  hides,
  hazard,
  photographId,
})
const words = { what: 'What was undone', fixings: 'Fixings', connectors: 'Connectors', hides: 'What hides here', hazard: 'What may break' }
const shown = (field: string, value: unknown) => (field === 'fixings' ? (value as Step['fixings']).map(fixingWords).join('; ') || 'None' : undefined)
</script>

<template>
  <OneCard
    title="Opening record"
    short="Opening"
    :state="done.some(s => s.state === 'undone') ? 'open' : done.length ? 'done' : 'open'"
    :result="result"
    :hint="
      done.length ? `${sheet.opening.out} fixings out, ${sheet.opening.back} counted back.` : 'Steps in order, so that somebody else can put it back together.'
    "
  >
    <template v-if="done.length" #aside
      ><span role="group" aria-label="Which way round" class="flex pl-px"
        ><button type="button" class="choice" :aria-pressed="!backwards" :class="!backwards && 'bg-enamel! text-on-enamel!'" @click="backwards = false">
          Opening</button
        ><button type="button" class="choice" :aria-pressed="backwards" :class="backwards && 'bg-enamel! text-on-enamel!'" @click="backwards = true">
          Reassembly
        </button></span
      ></template
    >
    <EmptyPlace v-if="!steps.length" says="Nothing undone yet. Photograph first, then note each step as you do it.">
      <p v-for="sister in sheet.opening.from" :key="sister.tag" class="flex flex-wrap items-center gap-2">
        <span>{{ sister.nickname || sister.tag }}, of the same model, has been opened before: {{ sister.steps }} steps.</span
        ><button v-if="session.may('reuse-opening')" type="button" class="button" :disabled="reusing" @click="reuse({ fromTag: sister.tag })">
          Take over its record
        </button>
      </p>
      <p v-if="failure" role="alert" class="text-stop">{{ failure }}</p>
    </EmptyPlace>
    <FindingList v-if="done.length" :findings="sheet.opening.findings" />
    <ReassemblyList v-if="backwards" :sheet="sheet" />
    <ol v-else-if="steps.length" class="grid divide-y divide-line border-y border-line">
      <li v-for="step in steps" :key="step.id" class="grid gap-1 py-2">
        <p class="flex flex-wrap items-baseline gap-x-3">
          <span class="figure">{{ step.step }}</span><span class="font-semibold">{{ step.what }}</span
          ><span class="text-sm" :class="inks[step.state]">{{ stateWords[step.state] }}</span
          ><button
            v-if="step.state !== 'back' && session.may('change-opening-step') && (step.state === 'undone' || step === ahead)"
            type="button"
            class="ml-auto text-sm underline"
            :aria-expanded="changing === step.id"
            @click="changing = changing === step.id ? undefined : step.id"
          >
            {{ step.state === 'ahead' ? 'Do this step' : 'Correct it' }}<span class="sr-only"> number {{ step.step }}</span>
          </button>
        </p>
        <OpeningFacts :step="step" :tag="sheet.tag" />
        <CommandForm
          v-if="changing === step.id"
          command="change-opening-step"
          :machine="sheet.tag"
          :initial="typed(step)"
          :fixed="{ stepId: step.id, version: step.version }"
          :words="words"
          :show="shown"
          label="Step of the opening"
          :submit="step.state === 'ahead' ? 'Undone, as written here' : 'Save'"
          keeps
          class="bg-mat p-3"
          @done="changing = undefined"
          ><OpeningStepFields :sheet="sheet"
        /></CommandForm>
      </li>
    </ol>
    <AddPanel v-if="!backwards && session.may('record-opening-step')" label="Add a step"
      ><CommandForm command="record-opening-step" :machine="sheet.tag" :initial="empty" label="Add a step" submit="Save step"
        ><OpeningStepFields :sheet="sheet" /></CommandForm
    ></AddPanel>
  </OneCard>
</template>
