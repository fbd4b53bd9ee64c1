<script setup lang="ts">
import { significant } from '#core/kernel/figure'
import { planSoak } from '#core/retest/soak'
import { retestSoak } from '#shared/tools/retest/soak'

/** A soak: how many passes are wanted, and a tally by press or key that says when it is enough. */
const emit = defineEmits<{ input: [input: Record<string, unknown> | undefined] }>()
const { example } = retestSoak
const typed = reactive({
  failureRatePct: String(example.failureRate! * 100),
  seenFailures: '',
  seenPasses: '',
  confidencePct: '95',
  secondsAPass: String(example.secondsAPass),
  passes: String(example.passes),
  failures: '0',
  curedRatePct: '',
})
const { result, at } = useInstrument(
  () => {
    const { failureRatePct, confidencePct, curedRatePct, ...plain } = figuresOf(typed)
    return {
      ...plain,
      ...(failureRatePct === undefined ? {} : { failureRate: failureRatePct / 100 }),
      ...(confidencePct === undefined ? {} : { confidence: confidencePct / 100 }),
      ...(curedRatePct === undefined ? {} : { curedRate: curedRatePct / 100 }),
    }
  },
  planSoak,
  told => emit('input', told),
)
const add = (field: 'passes' | 'failures', n: number) => (typed[field] = String(Math.max(0, (Math.round(Number(typed[field])) || 0) + n)))
function passed() {
  add('passes', 1)
}
function failed() {
  add('passes', 1)
  add('failures', 1)
}
const words = { 'cured': 'cured', 'not-cured': 'not cured', 'go-on': 'go on' } as const
const levels = { 'cured': 'fine', 'not-cured': 'stop', 'go-on': 'note' } as const
const percent = (rate: number) => `${significant(rate * 100)} %`
const long = (seconds: number) =>
  seconds < 120 ? `${Math.round(seconds)} s` : seconds < 7200 ? `${Math.round(seconds / 60)} min` : `${(seconds / 3600).toFixed(1)} h`
</script>

<template>
  <div class="grid items-start gap-4 lg:grid-cols-2">
    <OneCard title="The fault, and what has run since">
      <div class="grid grid-cols-2 gap-3">
        <MeasureField v-model="typed.failureRatePct" label="It failed in % of passes" :message="at('failureRate')" />
        <MeasureField v-model="typed.confidencePct" label="How sure, %" :message="at('confidence')" />
        <MeasureField v-model="typed.seenFailures" label="Or failures seen" :message="at('seenFailures')" />
        <MeasureField v-model="typed.seenPasses" label="In so many passes" :message="at('seenPasses')" />
        <MeasureField v-model="typed.secondsAPass" label="Seconds a pass" :message="at('secondsAPass')" />
        <MeasureField v-model="typed.curedRatePct" label="Cured, it may fail in %" :message="at('curedRate')" />
      </div>
      <p class="hint">A rate counts before what was seen; empty it to go by failures in passes.</p>
      <div class="grid grid-cols-2 gap-3">
        <MeasureField v-model="typed.passes" label="Passes since the repair" :message="at('passes')" />
        <MeasureField v-model="typed.failures" label="How many failed" :message="at('failures')" />
      </div>
      <div class="grid grid-cols-2 gap-2" role="group" aria-label="A pass has ended">
        <button type="button" class="button min-h-14 justify-center" @click="passed">It passed</button>
        <button type="button" class="button min-h-14 justify-center" @click="failed">It failed</button>
      </div>
    </OneCard>
    <OneCard title="What it says">
      <template v-if="result">
        <InstrumentFace
          label="Clean passes wanted"
          :figure="result.wantedPasses.toLocaleString('en-GB')"
          :judgement="words[result.verdict]"
          :level="levels[result.verdict]"
          :scale="
            result.leftPasses === null
              ? undefined
              : {
                  from: 0,
                  bands: [{ to: Number(typed.passes) + result.leftPasses || 1, level: 'note', says: `${result.leftPasses} left` }],
                  value: Number(typed.passes) || 0,
                }
          "
        />
        <dl class="grid grid-cols-[12rem_1fr] gap-x-3 gap-y-1">
          <template v-if="result.wantedSeconds !== null">
            <dt class="hint">All of them take</dt>
            <dd class="figure">{{ long(result.wantedSeconds) }}</dd>
          </template>
          <template v-if="result.leftSeconds !== null">
            <dt class="hint">What is left takes</dt>
            <dd class="figure">{{ long(result.leftSeconds) }}</dd>
          </template>
          <template v-if="result.interval">
            <dt class="hint">It fails now in</dt>
            <dd class="figure">{{ percent(result.interval.low) }} to {{ percent(result.interval.high) }}</dd>
          </template>
          <dt class="hint">Wrongly cured, at most</dt>
          <dd class="figure">{{ percent(result.errors.curedThoughNot) }}</dd>
          <dt class="hint">Wrongly not cured, at most</dt>
          <dd class="figure">{{ percent(result.errors.notCuredThoughCured) }}</dd>
        </dl>
        <FindingList :findings="result.findings" />
      </template>
      <EmptyPlace v-else says="Say how often it failed, and you will see how many clean passes it takes." />
    </OneCard>
  </div>
</template>
