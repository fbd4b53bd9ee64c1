<script setup lang="ts">
import { useNow } from '@vueuse/core'
import { parseReading } from '#core/kernel/quantity'
import { limitsOf, volts } from '#core/power/rails'
import { meterStates } from '#core/power/scpi'
import { toleranceFor } from '#core/power/tolerances'

/** The first start, full screen: for one person at the probe and one at the switch, and whoever watches on another page. */
definePageMeta({ layout: 'plain' })
const route = useRoute()
const tag = computed(() => String(route.params.tag))
useHead({ title: () => `Start of ${tag.value}` })
const machines = useMachines()
const session = useSession()
const { frame, samples, behindMs, trouble, tell, connected } = useStart(() => tag.value)
void machines.loadSheet(tag.value)
const sheet = computed(() => (machines.sheet?.tag === tag.value ? machines.sheet : undefined))
const now = useNow({ interval: 100 })
const serverNow = computed(() => now.value.getTime() + behindMs.value)
const may = computed(() => session.may('begin-start'))

const point = computed(() => frame.value?.plan.points.find(p => p.rail === frame.value!.rail))
const limits = computed(() => point.value && limitsOf(point.value.nominalV, point.value.tolerancePct ?? toleranceFor(point.value.nominalV).tolerancePct))
const countdown = computed(() => Math.max(0, Math.ceil(((frame.value?.switchAtMs ?? 0) - serverNow.value) / 1000)))
const phase = computed(() => (frame.value?.phase === 'countdown' && countdown.value === 0 ? 'on' : frame.value?.phase ?? 'ready'))
const onSeconds = computed(() => (frame.value?.switchAtMs ? Math.max(0, ((frame.value.offAtMs ?? serverNow.value) - frame.value.switchAtMs) / 1000) : 0))
const left = computed(() => Math.max(0, Math.ceil((frame.value?.plan.mostSeconds ?? 0) - onSeconds.value)))
const alarm = computed(() => phase.value === 'off-now')
// Whatever was being read further down, the alarm comes into sight.
watch(alarm, now => now && window.scrollTo({ top: 0 }))
const trace = computed(() => samples.value.flatMap((s): [number, number][] => (s.kind === 'dc-volts' && s.rail === frame.value?.rail && s.value !== null ? [[s.atSeconds, s.value]] : [])))
const figure = (value: number) => `${value.toFixed(Math.abs(value) < 100 ? 2 : 1).replace('-', '−')} V`
const reading = computed(() => {
  const { latest, plan } = frame.value ?? {}
  if (!plan?.byMeter) return trace.value.length ? volts(trace.value.at(-1)![1]) : '—'
  const last = samples.value.findLast(s => s.kind === 'dc-volts' && s.rail === frame.value?.rail)
  const value = latest?.kind === 'dc-volts' ? latest.value : last?.value
  return value === undefined ? '—' : value === null ? 'OL' : figure(value)
})
const findings = computed(() => frame.value?.judgement.findings ?? [])
const { submitCommand: end, busy: ending, failure: notEnded } = useCommand('end-start', tag)
async function finish() {
  const { result } = await end({})
  if (result !== undefined) await navigateTo({ path: `/m/${tag.value}`, query: { stage: 'make-safe' } })
}
watch(() => frame.value?.ended, ended => ended && void navigateTo({ path: `/m/${tag.value}`, query: { stage: 'make-safe' } }))

const typed = ref('')
const wrong = ref('')
const wanted = ref<'dc-volts' | 'dc-amps' | 'celsius'>('dc-volts')
const kind = computed({ get: () => kinds.value.find(k => k.value === wanted.value)?.value ?? kinds.value[0]?.value ?? 'dc-volts', set: (what) => { wanted.value = what } })
const kinds = computed(() => [...(frame.value?.plan.byMeter ? [] : [{ value: 'dc-volts' as const, label: 'Volts' }]), ...(frame.value?.plan.currentLimitA !== null ? [{ value: 'dc-amps' as const, label: 'Amperes' }] : []), ...(frame.value?.plan.warm ? [{ value: 'celsius' as const, label: '°C' }] : [])])
async function take() {
  wrong.value = ''
  try {
    const value = parseReading(typed.value, kind.value === 'dc-volts' ? 'V' : kind.value === 'dc-amps' ? 'A' : '')
    if (value === null) wrong.value = 'Type a figure. Where the meter shows OL, press Off now.'
    else if (await tell({ do: 'sample', kind: kind.value, value })) typed.value = ''
  }
  catch (error) {
    wrong.value = (error as Error).message
  }
}
const noticed = ['Smoke', 'Smell', 'Sound', 'Something else']
</script>

<template>
  <main id="place" class="grid min-h-dvh grid-cols-[minmax(0,1fr)] content-start gap-4 p-4 max-lg:pb-60" :class="alarm ? 'bg-stop-wash' : ''">
    <header class="flex flex-wrap items-center gap-x-4 gap-y-2">
      <h1>First start</h1><TagTape :tag="tag" /><span v-if="sheet" class="font-semibold">{{ sheet.identity.nickname || sheet.identity.name }}</span>
      <span v-if="frame" class="text-ink-2">At the probe <strong>{{ frame.atProbe }}</strong>, at the switch <strong>{{ frame.atSwitch }}</strong></span>
      <NuxtLink :to="{ path: `/m/${tag}`, query: { stage: 'make-safe' } }" class="ml-auto">Back to the sheet</NuxtLink>
    </header>
    <p v-if="!connected" role="status" class="border-l-4 border-care bg-care-wash px-3 py-2">This page has lost the bench. <strong>If the machine is on, switch it off.</strong></p>
    <EmptyPlace v-if="!frame" says="No start of this machine is running, or it is being looked for."><NuxtLink :to="{ path: `/m/${tag}`, query: { stage: 'make-safe' } }" class="button">Prepare one under Make safe</NuxtLink></EmptyPlace>
    <div v-else class="grid grid-cols-[minmax(0,1fr)] items-start gap-4 lg:grid-cols-[minmax(0,2fr)_minmax(18rem,1fr)]">
      <section class="grid grid-cols-[minmax(0,1fr)] gap-4" aria-label="The rail">
        <div v-if="alarm" role="alert" class="grid gap-3 border-4 border-stop bg-stop p-4 text-center text-card sm:grid-cols-[auto_1fr] sm:text-left">
          <svg viewBox="0 0 16 16" class="mx-auto h-24 w-24" aria-hidden="true"><rect x="1" y="1" width="14" height="14" fill="currentColor" /><rect x="3" y="6.7" width="10" height="2.6" fill="var(--stop)" /></svg>
          <div><p class="font-display text-6xl font-bold sm:text-7xl">Off now</p><p class="text-xl font-semibold">{{ frame.called?.says }}</p><p v-for="fact in frame.called?.because" :key="fact">{{ fact }}</p></div>
        </div>
        <div class="card grid gap-3">
          <div class="flex flex-wrap items-baseline gap-x-4"><h2 class="text-3xl!">{{ frame.rail }}</h2><span class="text-lg">{{ point?.point || 'its test point' }}</span><span v-if="limits" class="figure ml-auto text-lg">{{ volts(limits.lowV) }} to {{ volts(limits.highV) }} expected</span></div>
          <p v-if="phase === 'countdown'" class="text-center" role="timer"><span class="figure block text-[7rem] leading-none font-semibold">{{ countdown }}</span><span class="font-display text-2xl font-semibold">{{ frame.atSwitch }}: hand at the switch. On at zero.</span></p>
          <p v-else class="figure text-center text-[clamp(3rem,15vw,6rem)] leading-none font-semibold" :class="alarm ? 'text-stop' : frame.judgement.state === 'watch' ? 'text-care' : ''" aria-live="off">{{ reading }}</p>
          <LineChart v-if="phase !== 'countdown' && phase !== 'ready'" :series="[{ name: frame.rail, points: trace, dots: !frame.plan.byMeter }]" unit="V" :band="limits && [limits.lowV, limits.highV]" :window-seconds="60" :x-to="onSeconds" :told="`${frame.rail} over the last minute, now ${reading}`" class="h-48!" />
          <div class="flex flex-wrap items-center gap-x-4 gap-y-1">
            <span class="font-semibold">{{ phase === 'ready' ? 'Not on yet' : phase === 'on' ? `On for ${Math.floor(onSeconds)} s` : phase === 'off' ? 'Off' : phase === 'off-now' || phase === 'switching-off' ? 'Still on' : '' }}</span>
            <span v-if="phase === 'on'" class="figure">{{ left }} s left</span>
            <span v-if="frame.plan.byMeter" class="ml-auto" :class="frame.meter === 'ready' ? 'text-fine' : 'text-stop font-semibold'">Meter: {{ meterStates[frame.meter].title.toLowerCase() }}</span>
          </div>
          <p v-if="frame.plan.byMeter && frame.meter !== 'ready'" role="status" class="text-stop">{{ meterStates[frame.meter].says }}</p>
        </div>
        <div v-if="phase === 'on' || phase === 'off-now'" class="card" aria-live="polite"><FindingList :findings="findings" /><p v-if="!findings.length" class="hint">{{ frame.plan.byMeter ? 'The first reading is on its way.' : 'Type what the meter shows.' }}</p></div>
      </section>

      <section class="grid gap-4" aria-label="What to do">
        <div v-if="may" class="card grid gap-3 max-lg:fixed max-lg:inset-x-0 max-lg:bottom-0 max-lg:z-20 max-lg:gap-2 max-lg:p-3!">
          <template v-if="phase === 'ready' || phase === 'off'">
            <p v-if="phase === 'off' && frame.called" class="border-l-4 border-stop bg-stop-wash px-3 py-2"><strong>Called off:</strong> {{ frame.called.says }}</p>
            <p v-if="phase === 'ready'">Probe on {{ frame.rail }}, black lead on ground. {{ frame.atSwitch }} says when the hand is at the switch.</p>
            <button type="button" class="button button-main min-h-14! justify-center text-lg" :disabled="frame.plan.byMeter && frame.meter !== 'ready'" @click="tell({ do: 'count-down' })">{{ phase === 'off' ? 'Count down again' : 'Count down' }}</button>
            <button type="button" class="button min-h-11! justify-center" :disabled="ending" @click="finish">{{ Object.keys(frame.kept).length ? 'End the start and keep the readings' : 'End the start' }}</button>
            <p v-if="notEnded" role="alert" class="text-stop">{{ notEnded }}</p>
          </template>
          <template v-else>
            <p v-if="phase === 'switching-off'" class="font-display text-2xl font-semibold">{{ frame.atSwitch }}: switch it off.</p>
            <button v-if="phase === 'on' || phase === 'countdown'" type="button" class="button min-h-16! justify-center border-stop! bg-stop! text-2xl font-bold text-card!" @click="tell({ do: 'stop', says: 'Somebody said off' })">Off now</button>
            <button v-if="phase === 'on'" type="button" class="button min-h-14! justify-center text-lg" @click="tell({ do: 'done' })">Done, switch it off</button>
            <button v-else type="button" class="button button-main min-h-14! justify-center text-lg" @click="tell({ do: 'is-off' })">{{ phase === 'countdown' ? 'Stop the count' : 'It is off' }}</button>
            <div v-if="phase === 'on'" class="grid gap-1"><p class="hint max-lg:hidden">Something noticed</p><div class="flex flex-wrap gap-2"><button v-for="what in noticed" :key="what" type="button" class="button" @click="tell({ do: 'stop', says: `${what} was noticed` })">{{ what }}</button></div></div>
          </template>
          <p v-if="trouble" role="alert" class="text-stop">{{ trouble }}</p>
        </div>
        <form v-if="may && kinds.length > 0 && (phase === 'on' || phase === 'off-now')" class="card grid gap-2" aria-label="Type a reading" @submit.prevent="take">
          <MeasureField v-model="typed" :label="`What the meter shows on ${kind === 'dc-volts' ? frame.rail : kind === 'dc-amps' ? 'the current' : 'the warm part'}`" :message="wrong" />
          <SelectField v-if="kinds.length > 1" v-model="kind" label="It is in" :options="kinds" />
          <button type="submit" class="button button-main justify-center">Take it</button>
        </form>
        <div class="card grid gap-2">
          <h2>Points</h2>
          <ul class="grid divide-y divide-line">
            <li v-for="p in frame.plan.points" :key="p.rail" class="flex flex-wrap items-center gap-x-3 gap-y-1 py-1.5"><span class="figure font-semibold">{{ p.rail }}</span><span class="hint">{{ p.point }}</span><span v-if="frame.kept[p.rail] !== undefined" class="figure">{{ figure(frame.kept[p.rail]!) }} kept</span><span v-if="p.rail === frame.rail" class="ml-auto font-semibold">Probed</span><button v-else-if="may" type="button" class="button ml-auto min-h-8!" @click="tell({ do: 'probe', rail: p.rail })">Probe {{ p.rail }}</button></li>
          </ul>
          <p class="hint">Switch off before the probe moves, unless it is a clip that cannot slip.</p>
        </div>
        <SimulatedMachine v-if="may && frame.plan.byMeter" />
        <CautionNote v-if="sheet?.power.takesMains" about="mains" />
      </section>
    </div>
  </main>
</template>
