<script setup lang="ts">
import { fixingWords } from '#core/opening/reassembly'
import type { MachineSheet, SheetOf } from '#shared/chapters/index'

/** The record read backwards; every fixing is counted as it goes in. */
const props = defineProps<{ sheet: SheetOf<'look' | 'opening'> }>()
const session = useSession()
type Step = MachineSheet['opening']['steps'][number]
const steps = computed(() => props.sheet.opening.steps.filter(s => s.state !== 'ahead').reverse())
/** The step whose turn it is. */
const turn = computed(() => steps.value.find(s => s.state === 'undone')?.id)
const counting = ref<number>()
const { submitCommand: putBack, busy, failure } = useCommand('count-back', () => props.sheet.tag)
const all = ({ id, version, fixings }: Step) => putBack({ stepId: id, version, back: fixings.map(f => f.count) })
const total = ({ fixings }: Step) => fixings.reduce((sum, f) => sum + f.count, 0)
const initial = ({ fixings }: Step) => ({ back: fixings.map(f => f.back ?? '') })
</script>

<template>
  <ol class="grid divide-y divide-line border-y border-line" aria-label="Reassembly">
    <li v-for="step in steps" :key="step.id" class="grid gap-1 py-2" :class="step.id === turn && 'border-l-4 border-l-enamel pl-2'">
      <p class="flex flex-wrap items-baseline gap-x-3">
        <span class="figure">{{ step.step }}</span><span class="font-semibold">Put back: {{ step.what }}</span
        ><span v-if="step.state === 'back'" class="text-sm text-fine">Together again</span>
      </p>
      <OpeningFacts :step="step" :tag="sheet.tag" />
      <FindingList v-if="step.findings.length" :findings="step.findings" />
      <div v-if="session.may('count-back')" class="flex flex-wrap gap-2">
        <button v-if="step.state === 'undone'" type="button" class="button" :disabled="busy" @click="all(step)">
          {{ total(step) ? `All ${total(step)} back` : 'It is back' }}<span class="sr-only"> in step {{ step.step }}</span>
        </button>
        <button
          v-if="step.fixings.length"
          type="button"
          class="button button-quiet"
          :aria-expanded="counting === step.id"
          @click="counting = counting === step.id ? undefined : step.id"
        >
          {{ step.state === 'back' ? 'Count again' : 'Another count' }}<span class="sr-only"> in step {{ step.step }}</span>
        </button>
      </div>
      <CommandForm
        v-if="counting === step.id"
        command="count-back"
        :machine="sheet.tag"
        :initial="initial(step)"
        :fixed="{ stepId: step.id, version: step.version }"
        :words="{ back: 'Counted back', fixings: 'Fixings' }"
        label="Count back"
        submit="Counted"
        class="bg-mat p-3"
        @done="counting = undefined"
        ><div class="grid gap-3 sm:grid-cols-2">
          <TextField v-for="(fixing, i) in step.fixings" :key="i" :name="`back.${i}`" :label="`Back of ${fixingWords(fixing)}`" numeric /></div
      ></CommandForm>
    </li>
  </ol>
  <p v-if="failure" role="alert" class="text-stop">{{ failure }}</p>
</template>
