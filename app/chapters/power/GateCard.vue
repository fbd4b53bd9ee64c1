<script setup lang="ts">
import { type GateResult } from '#core/safety/gate'
import { gateVerdicts, gateWords } from '#core/safety/gate-words'
import { configurationKinds, configurationWords } from '#core/safety/configuration'
import { schoolNames, schools } from '#core/safety/power-facts'
import type { SheetOf } from '#shared/chapters/index'

/** The power gate: its verdict, why, and what would open it; each reason behind a press. */
const props = defineProps<{ sheet: SheetOf<'look' | 'power'>; gate: GateResult; entered: boolean }>()
const session = useSession()
const findings = computed(() => new Map(props.gate.findings.map(f => [f.code, f])))
/** What would open it, in the order in which it can be worked through. */
const against = computed(() => props.gate.toOpen.flatMap(open => (findings.value.has(open.code) ? [{ open, found: findings.value.get(open.code)! }] : [])))
const checked = computed(() => props.gate.findings.filter(f => !props.gate.toOpen.some(o => o.code === f.code)))
/** What nobody has looked at is asked below, fact by fact, and only counted here. */
const unlooked = computed(() => against.value.filter(a => a.found.open === 'not-looked'))
const reasons = computed(() => against.value.filter(a => a.found.open !== 'not-looked'))
const shownAtFirst = 5
const all = ref(false)
const { submitCommand: choose } = useCommand('choose-school', () => props.sheet.tag)
const { submitCommand: withdraw, busy: withdrawing } = useCommand('withdraw-overrule', () => props.sheet.tag)
</script>

<template>
  <OneCard title="Power gate" :hint="gateWords[gate.verdict].means">
    <template #aside
      ><span class="flex flex-wrap items-center gap-x-3" aria-live="polite"
        ><GateSign :verdict="gate.verdict" /><span v-if="entered" class="font-semibold text-care">As entered below, not kept yet</span></span
      ></template
    >
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
    <section v-if="against.length" aria-label="What would open it" class="grid gap-1">
      <h3 class="sr-only">What would open it</h3>
      <ul class="grid divide-y divide-line border-y border-line">
        <li
          v-for="{ found, open } in all ? reasons : reasons.slice(0, shownAtFirst)"
          :key="found.code"
          class="grid grid-cols-[4.25rem_1fr] items-baseline gap-2 py-1"
        >
          <LevelSign :level="found.level" />
          <details>
            <summary class="cursor-pointer">
              <span class="font-semibold">{{ found.says }}</span> {{ open.do }}
            </summary>
            <p class="hint">
              {{ found.level === 'note' ? '' : found.because.join(' ') }} By {{ open.who }}.
              <WhoCould :skill="open.skill" />
            </p>
          </details>
        </li>
        <li v-if="unlooked.length" class="grid grid-cols-[4.25rem_1fr] items-baseline gap-2 py-1">
          <LevelSign level="note" />
          <p>
            <span class="font-semibold">Not looked at yet:</span>
            {{
              unlooked.length > 4
                ? `${unlooked.length} of the facts below`
                : unlooked.map(u => u.found.says.replace(/: not looked at yet\.$/, '').toLowerCase()).join(', ')
            }}.
          </p>
        </li>
      </ul>
      <p v-if="reasons.length > shownAtFirst">
        <button type="button" class="button button-quiet wide:min-h-8!" @click="all = !all">
          {{ all ? 'Show fewer' : `Show all ${reasons.length}` }}
        </button>
      </p>
    </section>
    <div class="folds flex flex-wrap gap-x-6 gap-y-1 max-wide:gap-x-3">
      <details>
        <summary class="cursor-pointer">
          <span class="font-semibold">How it is judged:</span> {{ schoolNames[sheet.power.school].title.toLowerCase()
          }}{{ sheet.power.ownSchool ? ', for this machine' : '' }}; {{ configurationWords(sheet.power.configuration).toLowerCase() }}
        </summary>
        <div class="grid gap-2 pt-2 text-[0.9375rem]">
          <p>
            <strong>{{ schoolNames[sheet.power.school].title }}:</strong> {{ schoolNames[sheet.power.school].means }}
          </p>
          <p v-if="session.may('choose-school')" class="flex flex-wrap gap-x-4">
            <button v-for="school in schools.filter(s => s !== sheet.power.school)" :key="school" type="button" class="underline" @click="choose({ school })">
              Use {{ schoolNames[school].title.toLowerCase() }} for this machine</button
            ><button v-if="sheet.power.ownSchool" type="button" class="underline" @click="choose({ school: null })">
              Go back to the school of the collection
            </button>
          </p>
          <p>
            <strong>{{ configurationWords(sheet.power.configuration) }}:</strong> {{ configurationKinds[sheet.power.configuration.kind].means }}
          </p>
          <AddPanel v-if="session.may('set-configuration')" v-slot="{ close }" label="Change what is connected"
            ><ConfigurationForm :sheet="sheet" @done="close()"
          /></AddPanel>
          <AddPanel v-if="session.may('overrule-gate')" v-slot="{ close }" label="Overrule the gate">
            <CommandForm
              command="overrule-gate"
              :machine="sheet.tag"
              :initial="{ verdict: undefined, reason: '' }"
              label="Overrule the gate"
              submit="Overrule"
              @done="close()"
              ><ChoiceField name="verdict" label="New verdict" :options="gateVerdicts.map(value => ({ value, label: gateWords[value].title }))" /><TextField
                name="reason"
                label="Reason"
                :lines="2"
                hint="Kept in the history, with your name."
            /></CommandForm>
          </AddPanel>
        </div>
      </details>
      <details v-if="checked.length">
        <summary class="cursor-pointer font-semibold">Checked ({{ checked.length }})</summary>
        <div class="pt-2"><FindingList :findings="checked" brief /></div>
      </details>
      <GateHistory :sheet="sheet" />
    </div>
  </OneCard>
</template>

<style scoped>
/* Closed they stand side by side; what is opened takes the whole width. */
.folds > :deep(details[open]) {
  flex-basis: 100%;
}
</style>
