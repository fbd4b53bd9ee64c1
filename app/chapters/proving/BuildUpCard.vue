<script setup lang="ts">
import { type AssemblyRole, assemblyRoles } from '#core/condition/assembly-roles'
import { judgeBuildUp, readSteps, writeSteps } from '#core/retest/build-up'
import type { SheetOf } from '#shared/chapters/index'

/** Building it up: least first, one thing at a time; what is connected follows each press. */
const props = defineProps<{ sheet: SheetOf<'proving'> }>()
const session = useSession()
const times = useTimes()
const buildUp = computed(() => props.sheet.buildUp)
const state = computed(() => buildUp.value && judgeBuildUp(buildUp.value.steps, buildUp.value.looks))
const at = computed(() => (state.value ? buildUp.value!.steps[state.value.at] : undefined))
/** On a phone what was done, what is at, and what comes next. */
const all = ref(false)
const fewSteps = computed(() => (onPhone() ? (state.value?.at ?? 0) + 2 : Infinity))
const shownSteps = computed(() => (all.value ? buildUp.value!.steps : buildUp.value!.steps.slice(0, fewSteps.value)))
const last = computed(() => buildUp.value?.looks.at(-1))
const looksAt = (step: number) => (buildUp.value?.looks ?? []).filter(l => l.step === step)
const cardState = computed(() => (!buildUp.value ? 'none' : state.value?.verdict === 'done' ? 'done' : 'open'))
const { submitCommand: plan, busy, failure } = useCommand('plan-build-up', () => props.sheet.tag)
const held = computed(() => ['keep-off', 'not-yet-assessed'].includes(props.sheet.gate.inForce))
const editing = ref(false)
const ending = ref(false)
const failing = ref(false)
watch(
  () => buildUp.value?.version,
  () => (failing.value = false),
)
/** What counts as something that its name does not say itself, while nobody has said it: for somebody to look at. */
const titleOf = (role: AssemblyRole) => assemblyRoles[role].title.toLowerCase()
const byName = computed(() => props.sheet.present.filter(p => !p.said && !p.name.toLowerCase().includes(titleOf(p.role))))
const taken = (adds: readonly string[]) =>
  byName.value
    .filter(p => adds.includes(p.name))
    .map(p => `taken for ${titleOf(p.role)}`)
    .join(', ')
const fixed = computed(() => ({ buildUpId: buildUp.value!.id, version: buildUp.value!.version }))
/** Steps as they are typed. */
const typed = ref('')
const edit = () => {
  typed.value = writeSteps(buildUp.value!.steps)
  editing.value = !editing.value
}
const { submitCommand: change, busy: changing, failure: notChanged } = useCommand('change-build-up', () => props.sheet.tag)
const withModel = ref(false)
async function keepSteps() {
  await change({ ...fixed.value, steps: readSteps(typed.value), withModel: withModel.value })
  if (!notChanged.value) editing.value = false
}
const id = useId()
</script>

<template>
  <OneCard
    title="Build-up"
    :state="cardState"
    :result="buildUp ? (state?.verdict === 'done' ? 'Built up' : `At step ${state!.at + 1} of ${buildUp.steps.length}`) : 'None planned'"
    hint="Least first, one thing at a time. Off at the switch before anything is plugged in or taken out."
  >
    <template v-if="buildUp && state">
      <FindingList v-if="state.findings.length" :findings="state.findings" />
      <div v-if="at" class="grid gap-2 border-2 border-enamel p-3" role="group" :aria-label="`Step ${state.at + 1}`">
        <p class="font-display text-xl font-semibold">
          {{ state.at + 1 }} of {{ buildUp.steps.length }}: {{ state.failing ? 'back to ' : state.at ? 'put in ' : 'begin with ' }}{{ at.adds.join(' and ') }}
        </p>
        <p><span class="hint">Expected</span> {{ at.expect }}</p>
        <p v-if="at.misleads" class="border-l-4 border-note bg-note-wash px-3 py-1">
          <span class="hint">No fault yet, for it is not there:</span> {{ at.misleads }}
        </p>
        <CautionNote about="mains" />
        <p v-if="held" class="border-l-4 border-care bg-care-wash px-3 py-1">
          <GateSign :verdict="sheet.gate.inForce" small /> Connected like this, the rails to ground come first.
          <NuxtLink :to="`/m/${sheet.tag}?stage=make-safe`">Make safe</NuxtLink>
        </p>
        <template v-if="session.may('step-build-up')">
          <CommandForm
            :key="`${buildUp.version}`"
            command="step-build-up"
            :machine="sheet.tag"
            :initial="{ seen: '', readings: sheet.railNames.map(rail => ({ rail, valueV: '' as never })) }"
            :fixed="{ ...fixed, step: state.at, outcome: failing ? 'failed' : 'as-expected' }"
            :label="`What step ${state.at + 1} showed`"
            :submit="failing ? 'It failed: go back' : 'As expected'"
            ><BuildUpLook :rails="sheet.railNames" :failing="failing" />
            <label class="flex min-h-11 items-center gap-2"
              ><input v-model="failing" type="checkbox" class="h-5 w-5 accent-enamel" />It is not as expected</label
            >
          </CommandForm>
        </template>
      </div>
      <ol class="grid divide-y divide-line border-y border-line" aria-label="Steps of the build-up">
        <li
          v-for="(step, i) in shownSteps"
          :key="i"
          class="grid grid-cols-[2rem_1fr] gap-x-3 py-1.5 max-wide:grid-cols-[1.25rem_1fr]"
          :class="i === state.at && 'bg-note-wash'"
        >
          <span class="figure" :class="i < state.at ? 'text-fine' : 'text-ink-2'">{{ i < state.at ? '✓' : i + 1 }}</span>
          <div>
            <span class="font-semibold">{{ step.adds.join(', ') }}</span>
            <span v-if="taken(step.adds)" class="hint ml-2">{{ taken(step.adds) }}</span>
            <p v-for="(look, n) in looksAt(i)" :key="n" class="hint" :class="look.outcome === 'failed' && 'text-stop!'">
              {{ times.moment(look.at) }}, {{ look.by }}: {{ look.outcome === 'failed' ? 'failed' : 'as expected' }}{{ look.seen && `. ${look.seen}` }}
            </p>
          </div>
        </li>
      </ol>
      <ShowAll v-model="all" :count="buildUp.steps.length" :few="fewSteps" />
      <p v-if="byName.length" class="hint">
        Their order goes by what each part is for. Where a name says it wrongly, say so under
        <NuxtLink :to="`/m/${sheet.tag}?stage=look`">Look, Assemblies</NuxtLink>.
      </p>
      <div v-if="session.may('change-build-up')" class="flex flex-wrap gap-1">
        <button v-if="state.verdict !== 'done'" type="button" class="button button-quiet" :aria-expanded="editing" @click="edit">Change the steps</button>
        <button type="button" class="button button-quiet" :aria-expanded="ending" @click="ending = !ending">End the build-up</button>
      </div>
      <form v-if="editing" class="grid gap-2" aria-label="Change the steps" @submit.prevent="keepSteps">
        <FieldFrame
          :id="id"
          v-slot="{ described }"
          label="Steps, a line each"
          hint="What goes in, then a colon and what is expected; a plus for two at once"
          :message="notChanged"
        >
          <textarea :id="id" v-model="typed" class="entry" rows="8" :aria-describedby="described" />
        </FieldFrame>
        <label class="flex min-h-11 items-center gap-2"
          ><input v-model="withModel" type="checkbox" class="h-5 w-5 accent-enamel" />Save this order for the model</label
        >
        <p><button class="button button-main" :disabled="changing">Save steps</button></p>
      </form>
      <CommandForm
        v-if="ending"
        command="end-build-up"
        :machine="sheet.tag"
        :initial="{ note: '' }"
        :fixed="fixed"
        label="End the build-up"
        submit="End"
        @done="ending = false"
        ><TextField
          name="note"
          label="Why it ends"
          :hint="
            state.failing ? `It failed last: that becomes a fault, “${last?.seen}”` : state.verdict === 'done' ? 'A word if you like' : 'It is not done yet'
          "
      /></CommandForm>
    </template>
    <template v-else>
      <EmptyPlace
        :says="
          sheet.present.length
            ? 'None goes on. A part-assembled machine misleads: build it up one thing at a time, and say what each step showed.'
            : 'Say under Look which assemblies are there; then it can be built up one at a time.'
        "
      />
      <p v-if="sheet.present.length && session.may('plan-build-up')">
        <button type="button" class="button button-main" :disabled="busy" @click="plan({})">Plan a build-up</button>
      </p>
      <p v-if="failure" role="alert" class="text-stop">{{ failure }}</p>
    </template>
  </OneCard>
</template>
