<script setup lang="ts">
import { significant } from '#core/kernel/figure'
import { useEventListener } from '@vueuse/core'
import { planSoak } from '#core/retest/soak'
import type { SheetOf } from '#shared/chapters/index'

/** Soaks of this machine: tallied by a press, decided as they run. */
const props = defineProps<{ sheet: SheetOf<'proving'> }>()
const session = useSession()
const times = useTimes()
const { submitCommand: tally, busy, failure } = useCommand('tally-soak', () => props.sheet.tag)
const soaks = computed(() => props.sheet.soaks.map(soak => ({ ...soak, result: planSoak({ ...soak, secondsAPass: soak.secondsAPass ?? undefined }) })))
const state = computed(() => (!soaks.value.length ? 'none' : soaks.value.some(s => s.stands) ? 'open' : 'done'))
const words = { 'cured': 'cured', 'not-cured': 'not cured', 'go-on': 'go on' } as const
const levels = { 'cured': 'fine', 'not-cured': 'stop', 'go-on': 'note' } as const
const result = computed(() => soaks.value.map(s => `${s.what}: ${words[s.result.verdict]}`).join('; ') || 'None begun')
const long = (seconds: number) =>
  seconds < 120 ? `${Math.round(seconds)} s` : seconds < 7200 ? `${Math.round(seconds / 60)} min` : `${(seconds / 3600).toFixed(1)} h`
const percent = (rate: number) => `${significant(rate * 100, 2)} %`
const ending = ref<number>()
/** The tally by keys, while somebody sits beside it: space for a pass, f for a failure. */
const byKeys = ref<number>()
useEventListener(
  'keydown',
  event => {
    const at = event.target as HTMLElement
    if (byKeys.value === undefined || busy.value || event.repeat || at.closest('input, textarea, select')) return
    if (event.key === 'Escape') byKeys.value = undefined
    else if (event.key === ' ' || event.key === 'f') {
      event.preventDefault()
      event.stopImmediatePropagation()
      void tally({ soakId: byKeys.value, passes: 1, failures: event.key === 'f' ? 1 : 0 })
    }
  },
  { capture: true },
)
const told = ({ passes, failures, result: { failureRate } }: (typeof soaks.value)[number]) =>
  `Failures over passes: ${failures} of ${passes}; as often as before it would be ${Math.round(passes * failureRate)}.`
const asBefore = ({ passes, result: { failureRate } }: (typeof soaks.value)[number]): [number, number][] => [
  [0, 0],
  [passes, passes * failureRate],
]
</script>

<template>
  <OneCard
    title="Soak"
    :state="state"
    :result="result"
    hint="An intermittent fault needs enough clean passes to be believed: one failure in a hundred takes 299 for 95 %."
  >
    <p v-if="failure" role="alert" class="text-stop">{{ failure }}</p>
    <ul v-if="soaks.length" class="grid gap-3">
      <li v-for="soak in soaks" :key="soak.id" class="grid gap-2 border border-line p-3">
        <p class="flex flex-wrap items-baseline gap-x-3">
          <strong>{{ soak.what }}</strong><span class="hint"
            >failed {{ soak.seenFailures }} of {{ soak.seenPasses }} before; since {{ times.day(soak.startedAt)
            }}{{ soak.endedAt ? `, ended ${times.day(soak.endedAt)}` : '' }}</span
          >
        </p>
        <InstrumentFace
          label="Passes, and failures among them"
          :figure="`${soak.passes} / ${soak.failures}`"
          :judgement="words[soak.result.verdict]"
          :level="levels[soak.result.verdict]"
          :scale="{
            from: 0,
            bands: [{ to: Math.max(soak.result.wantedPasses, soak.passes, 1), level: 'note', says: `${soak.result.wantedPasses} wanted` }],
            value: soak.passes,
          }"
        />
        <p v-if="soak.result.interval" class="hint">
          It fails now in {{ soak.result.interval.low ? `${percent(soak.result.interval.low)} to` : 'at most' }} {{ percent(soak.result.interval.high) }} of
          passes{{ soak.result.leftSeconds === null ? '' : `; what is left takes ${long(soak.result.leftSeconds)}` }}.
        </p>
        <LineChart
          v-if="soak.tallies.length > 1"
          :series="[
            { name: 'Failures', points: soak.tallies.map(t => [t.passes, t.failures]) },
            { name: 'As before', points: asBefore(soak) },
          ]"
          unit="failures"
          x-unit="passes"
          :told="told(soak)"
        />
        <FindingList :findings="soak.result.findings" />
        <p v-if="soak.note">{{ soak.note }}</p>
        <template v-if="!soak.endedAt && session.may('tally-soak')">
          <AnswerBar label="A pass has ended" one-of-many>
            <button type="button" class="button min-h-12 justify-center" :disabled="busy" @click="tally({ soakId: soak.id, passes: 1, failures: 0 })">
              It passed
            </button>
            <button type="button" class="button min-h-12 justify-center" :disabled="busy" @click="tally({ soakId: soak.id, passes: 1, failures: 1 })">
              It failed
            </button>
            <template v-if="soak.passes" #last
              ><span class="figure">{{ soak.passes }}</span> {{ soak.passes === 1 ? 'pass' : 'passes' }},
              <span class="figure">{{ soak.failures }}</span> failed.</template
            >
          </AnswerBar>
          <p>
            <button type="button" class="button button-quiet" :aria-pressed="byKeys === soak.id" @click="byKeys = byKeys === soak.id ? undefined : soak.id">
              {{ byKeys === soak.id ? 'By keys: space passed, f failed, Escape ends' : 'Tally by keys' }}
            </button>
          </p>
          <AddPanel v-slot="{ close }" label="Add many passes">
            <CommandForm
              command="tally-soak"
              :machine="sheet.tag"
              :initial="{ passes: '' as never, failures: '0' as never }"
              :fixed="{ soakId: soak.id }"
              label="Add many passes"
              submit="Add"
              @done="close()"
              ><div class="grid grid-cols-2 gap-3">
                <TextField name="passes" label="Passes" numeric /><TextField name="failures" label="How many failed" numeric /></div
            ></CommandForm>
          </AddPanel>
          <AddPanel label="By the meter"><SoakByMeter :tag="sheet.tag" :soak-id="soak.id" /></AddPanel>
          <AddPanel label="From a test program">
            <SoakLog :tag="sheet.tag" :soak-id="soak.id" :logged="soak.logged" :words="soak.logWords" />
          </AddPanel>
          <p>
            <button type="button" class="button button-quiet" :aria-expanded="ending === soak.id" @click="ending = ending === soak.id ? undefined : soak.id">
              End this soak
            </button>
          </p>
          <CommandForm
            v-if="ending === soak.id"
            command="end-soak"
            :machine="sheet.tag"
            :initial="{ note: '' }"
            :fixed="{ soakId: soak.id }"
            label="End this soak"
            submit="End"
            @done="ending = undefined"
            ><TextField name="note" label="Why it ends" :hint="soak.result.verdict === 'go-on' ? 'It is not decided yet' : 'A word if you like'"
          /></CommandForm>
        </template>
      </li>
    </ul>
    <EmptyPlace v-else says="No soak begun. After the repair of a fault that comes and goes, count its passes here." />
    <AddPanel v-if="session.may('begin-soak')" v-slot="{ close }" label="Begin a soak">
      <CautionNote about="mains" />
      <FindingList :findings="sheet.unattended" />
      <CommandForm
        command="begin-soak"
        :machine="sheet.tag"
        :initial="{ what: '', seenFailures: '1' as never, seenPasses: '' as never, confidencePct: '95' as never, secondsAPass: '' as never }"
        label="Begin a soak"
        submit="Start"
        @done="close()"
        ><TextField name="what" label="What runs" hint="Such as the memory test, cover on" />
        <div class="grid grid-cols-2 gap-3">
          <TextField name="seenFailures" label="Failures before" numeric /><TextField name="seenPasses" label="Passes before" numeric />
          <TextField name="confidencePct" label="How sure, in %" numeric /><TextField name="secondsAPass" label="Seconds a pass" numeric /></div
      ></CommandForm>
    </AddPanel>
  </OneCard>
</template>
