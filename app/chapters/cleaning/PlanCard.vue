<script setup lang="ts">
import { boardSchools, methods, plasticSchools, soils } from '#core/cleaning/words'
import type { SheetOf } from '#shared/chapters/index'

/** The plan, step by step: each with why, its caution, who takes it, and the wait afterwards. */
const props = defineProps<{ sheet: SheetOf<'cleaning'> }>()
const session = useSession()
const times = useTimes()
const { submitCommand: make, busy, failure } = useCommand('make-cleaning-plan', () => props.sheet.tag)
const { submitCommand: reopen, failure: notReopened } = useCommand('reopen-cleaning-step', () => props.sheet.tag)
const cleaning = computed(() => props.sheet.cleaning)
const open = computed(() => cleaning.value.steps.filter(s => s.state === 'open'))
const settled = computed(() => cleaning.value.steps.filter(s => s.state !== 'open'))
const minutes = computed(() => open.value.reduce((sum, s) => sum + s.minutes, 0))
/** A machine that was cleaned without a plan needs none. */
const unplanned = computed(() => !cleaning.value.steps.length && props.sheet.cleanings.length > 0)
const state = computed(() => (unplanned.value ? 'none' : open.value.length || !cleaning.value.steps.length ? 'open' : 'done'))
const at = ref<number>()
const shown = computed(() => open.value.find(s => s.id === at.value)?.id ?? open.value[0]?.id)
const personOf = (id: number | null) => session.crew.find(p => p.id === id)?.name
const schools = computed(
  () =>
    `boards ${boardSchools[cleaning.value.schools.boards].title.toLowerCase()}, yellowed plastic ${plasticSchools[cleaning.value.schools.plastic].title.toLowerCase()}`,
)
</script>

<template>
  <OneCard
    title="Plan"
    :state="state"
    :result="unplanned ? 'Cleaned without one' : open.length ? `${open.length} steps, about ${minutes} min` : `All ${settled.length} steps done or left out`"
    :hint="
      open.length
        ? `${open.length} to do, about ${minutes} minutes; ${settled.length} done or left out.`
        : 'Hazards first, dry cleaning before wet, and nothing that works is put at risk.'
    "
  >
    <template v-if="session.may('make-cleaning-plan') && cleaning.parts.length" #aside>
      <button type="button" class="button" :class="!cleaning.steps.length && 'button-main'" :disabled="busy" @click="make({})">
        {{ cleaning.steps.length ? 'Make a new plan' : 'Make the plan' }}
      </button>
    </template>
    <p v-if="failure || notReopened" role="alert" class="text-stop">{{ failure || notReopened }}</p>
    <EmptyPlace
      v-if="!cleaning.steps.length"
      :says="
        cleaning.parts.length ? 'No plan yet. It is made from the parts below.' : 'No plan yet. Say first what its parts are made of, and what is on them.'
      "
    />
    <ol v-if="open.length" class="grid divide-y divide-line border-y border-line">
      <li v-for="step in open" :key="step.id" class="grid gap-2 py-1.5">
        <div class="flex flex-wrap items-baseline gap-x-3">
          <button type="button" class="min-w-0 flex-1 text-left font-semibold max-wide:min-h-11" :aria-expanded="shown === step.id" @click="at = step.id">
            {{ step.says }}
          </button>
          <span class="hint"
            >{{ step.minutes }} min{{ step.waitHours ? `, then ${step.waitHours} h to dry` : ''
            }}{{ personOf(step.personId) ? `; ${personOf(step.personId)}` : '' }}</span
          >
        </div>
        <PlanStep v-if="shown === step.id" :tag="sheet.tag" :step="step" :neutralised="sheet.cleaning.neutralisedBatteries" />
      </li>
    </ol>
    <FindingList :findings="cleaning.findings" />
    <div class="flex flex-wrap gap-x-6 gap-y-1">
      <details v-if="settled.length">
        <summary class="font-semibold">Done or left out ({{ settled.length }})</summary>
        <ul class="pt-1">
          <li v-for="step in settled" :key="step.id" class="flex flex-wrap items-baseline gap-x-3">
            <span
              >{{ step.says }}
              <span class="hint">{{ step.state === 'left' ? `left out: ${step.note}; ` : '' }}{{ step.doneBy }}, {{ times.day(step.at) }}</span></span
            >
            <button
              v-if="session.may('reopen-cleaning-step')"
              type="button"
              class="button button-quiet ml-auto"
              :aria-label="`Open again: ${step.says}`"
              @click="reopen({ stepId: step.id })"
            >
              Open again
            </button>
          </li>
        </ul>
      </details>
      <details>
        <summary><span class="font-semibold">How it is made:</span> {{ schools }}</summary>
        <div class="grid gap-2 pt-2">
          <p class="text-[0.9375rem]">{{ boardSchools[cleaning.schools.boards].means }} {{ plasticSchools[cleaning.schools.plastic].means }}</p>
          <CommandForm
            v-if="session.may('choose-cleaning-schools')"
            command="choose-cleaning-schools"
            :machine="sheet.tag"
            :initial="cleaning.ownSchools"
            label="Practice for this machine"
            submit="Save"
            keeps
            class="bg-mat p-3"
            ><ChoiceField
              name="boards"
              label="Fouled boards"
              :options="[{ value: null, label: 'As the collection has it' }, ...titlesOf(boardSchools)]" /><ChoiceField
              name="plastic"
              label="Yellowed plastic"
              :options="[{ value: null, label: 'As the collection has it' }, ...titlesOf(plasticSchools)]"
          /></CommandForm>
        </div>
      </details>
    </div>
    <BreakagePanel :tag="sheet.tag" />
    <AddPanel v-if="cleaning.parts.length && session.may('add-cleaning-step')" v-slot="{ close }" label="Add a step">
      <CommandForm
        command="add-cleaning-step"
        :machine="sheet.tag"
        :initial="{ partId: cleaning.parts[0]!.id, method: undefined, soil: undefined, minutes: '30' as never }"
        label="Add a step"
        submit="Add"
        @done="close()"
      >
        <div class="grid gap-3 sm:grid-cols-2">
          <PickField name="partId" label="Part" :options="cleaning.parts.map(p => ({ value: p.id, label: p.name }))" /><PickField
            name="method"
            label="Method"
            :options="choicesOf(methods)"
            empty="Choose a method"
          /><PickField name="soil" label="Against" :options="choicesOf(soils)" empty="Choose what it is against" /><TextField
            name="minutes"
            label="Minutes"
            numeric
          />
        </div>
      </CommandForm>
    </AddPanel>
  </OneCard>
</template>
