<script setup lang="ts">
import { assessGate, gateVerdicts, gateWords } from '#core/safety/gate'
import { shortCode, shortUnproved } from '#core/power/rules'
import { configurationKinds, configurationWords } from '#core/safety/configuration'
import { type PowerFacts, schoolNames, schools } from '#core/safety/power-facts'
import type { SheetOf } from '#shared/chapters/index'

/** The power gate: its verdict, why, and what would open it. */
const props = defineProps<{ sheet: SheetOf<'look' | 'power'>; facts: PowerFacts; inspectedBy: string }>()
const session = useSession()
const computedGate = computed(() =>
  assessGate({
    school: props.sheet.power.school,
    facts: props.facts,
    inspectedBy: props.inspectedBy,
    hazards: props.sheet.hazards,
    configuration: props.sheet.power.configuration,
    // Whether a short is proved hangs on what is being answered; all else was found elsewhere.
    heard: [
      ...props.sheet.power.heard.filter(h => !h.finding.code.startsWith(shortCode)),
      ...shortUnproved(
        props.facts.shortedRail,
        props.sheet.power.offState.map(({ rail, last }) => ({ rail, verdict: last?.verdict ?? null })),
      ),
    ],
  }),
)
const unsaved = computed(() => JSON.stringify(computedGate.value.findings) !== JSON.stringify(props.sheet.power.gate.findings))
const findings = computed(() => new Map(computedGate.value.findings.map(f => [f.code, f])))
/** What would open it, in the order in which it can be worked through. */
const against = computed(() =>
  computedGate.value.toOpen.flatMap(open => (findings.value.has(open.code) ? [{ open, found: findings.value.get(open.code)! }] : [])),
)
const checked = computed(() => computedGate.value.findings.filter(f => !computedGate.value.toOpen.some(o => o.code === f.code)))
const { submitCommand: choose } = useCommand('choose-school', () => props.sheet.tag)
const { submitCommand: withdraw, busy: withdrawing } = useCommand('withdraw-overrule', () => props.sheet.tag)
</script>

<template>
  <OneCard title="Power gate">
    <template #aside><span v-if="unsaved" class="text-care font-semibold">As entered below, not kept yet</span></template>
    <div class="flex flex-wrap items-center gap-x-4 gap-y-1" aria-live="polite">
      <GateSign :verdict="computedGate.verdict" class="text-2xl!" />
      <p>{{ gateWords[computedGate.verdict].means }}</p>
    </div>
    <div v-if="sheet.power.overrule" class="border-l-4 border-care bg-care-wash px-3 py-2">
      <p class="flex flex-wrap items-center gap-2">
        <strong>Overruled by {{ sheet.power.overrule.by }} to</strong><GateSign :verdict="sheet.power.overrule.verdict" small />
      </p>
      <p>{{ sheet.power.overrule.reason }}</p>
      <p class="hint">It ends when the facts change.</p>
      <button v-if="session.may('withdraw-overrule')" type="button" class="button mt-1" :disabled="withdrawing" @click="withdraw({})">
        Withdraw the overrule
      </button>
    </div>
    <div class="text-[0.9375rem]">
      <p>
        <strong>{{ schoolNames[sheet.power.school].title }}{{ sheet.power.ownSchool ? ', for this machine' : '' }}:</strong>
        {{ schoolNames[sheet.power.school].means }}
      </p>
      <p v-if="session.may('choose-school')" class="flex flex-wrap gap-x-4">
        <button v-for="school in schools.filter(s => s !== sheet.power.school)" :key="school" type="button" class="underline" @click="choose({ school })">
          Use {{ schoolNames[school].title.toLowerCase() }} for this machine</button
        ><button v-if="sheet.power.ownSchool" type="button" class="underline" @click="choose({ school: null })">Go back to the school of the collection</button>
      </p>
    </div>
    <div class="text-[0.9375rem]">
      <p>
        <strong>{{ configurationWords(sheet.power.configuration) }}:</strong> {{ configurationKinds[sheet.power.configuration.kind].means }}
      </p>
      <AddPanel v-if="session.may('set-configuration')" v-slot="{ close }" label="Change what is connected"
        ><ConfigurationForm :sheet="sheet" @done="close()"
      /></AddPanel>
    </div>
    <section v-if="against.length" aria-label="What would open it" class="grid gap-2">
      <h3>What would open it</h3>
      <ul class="grid gap-2">
        <li v-for="{ found, open } in against" :key="found.code" class="grid grid-cols-[4.25rem_1fr] gap-2">
          <LevelSign :level="found.level" />
          <div>
            <p>
              <span class="font-semibold">{{ found.says }}</span> {{ open.do }}
            </p>
            <p class="hint">
              {{ found.level === 'note' ? '' : found.because.join(' ') }} By {{ open.who }}.
              <WhoCould :skill="open.skill" />
            </p>
          </div>
        </li>
      </ul>
    </section>
    <details v-if="checked.length">
      <summary class="cursor-pointer font-semibold">Checked so far ({{ checked.length }})</summary>
      <div class="pt-2"><FindingList :findings="checked" brief /></div>
    </details>
    <GateHistory :sheet="sheet" />
    <AddPanel v-if="session.may('overrule-gate')" v-slot="{ close }" label="Overrule the gate">
      <CommandForm
        command="overrule-gate"
        :machine="sheet.tag"
        :initial="{ verdict: undefined, reason: '' }"
        label="Overrule the gate"
        submit="Overrule"
        @done="close()"
        ><ChoiceField name="verdict" label="Let it say" :options="gateVerdicts.map(value => ({ value, label: gateWords[value].title }))" /><TextField
          name="reason"
          label="Reason"
          :lines="2"
          hint="Kept in the history, with your name."
      /></CommandForm>
    </AddPanel>
  </OneCard>
</template>
