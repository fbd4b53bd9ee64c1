<script setup lang="ts">
import { useNow } from '@vueuse/core'

/** The first start, full screen: for one person at the probe and one at the switch, and whoever watches on another page. */
definePageMeta({ layout: 'plain' })
const route = useRoute()
const tag = computed(() => String(route.params.tag))
useHead({ title: () => `Start of ${tag.value}` })
const session = useSession()
const { frame, samples, behindMs, trouble, tell, connected } = useStart(() => tag.value)
const { sheet } = useSheet(tag, ['power'])
const back = computed(() => ({ path: `/m/${tag.value}`, query: { stage: 'make-safe' } }))
const may = computed(() => session.may('begin-start'))

const now = useNow({ interval: 100 })
const serverNow = computed(() => now.value.getTime() + behindMs.value)
const countdown = computed(() => Math.max(0, Math.ceil(((frame.value?.switchAtMs ?? 0) - serverNow.value) / 1000)))
const phase = computed(() => (frame.value?.phase === 'countdown' && countdown.value === 0 ? 'on' : (frame.value?.phase ?? 'ready')))
const onSeconds = computed(() => (frame.value?.switchAtMs ? Math.max(0, ((frame.value.offAtMs ?? serverNow.value) - frame.value.switchAtMs) / 1000) : 0))
const isOn = computed(() => phase.value === 'on' || phase.value === 'off-now')
const alarm = computed(() => phase.value === 'off-now')
const findings = computed(() => frame.value?.judgement.findings ?? [])
// Figures change several times a second; what is read out to somebody who does not see them changes with the verdict alone.
const spoken = ref('')
watch(
  () => findings.value[0]?.code,
  () => (spoken.value = isOn.value ? (findings.value[0]?.says ?? '') : ''),
)
// Whatever was being read further down, the alarm comes into sight.
watch(alarm, rings => rings && window.scrollTo({ top: 0 }))
watch(
  () => frame.value?.ended,
  ended => ended && void navigateTo(back.value),
)
</script>

<template>
  <main id="place" class="grid min-h-dvh content-start gap-4 p-4 max-lg:pb-60" :class="alarm ? 'bg-stop-wash' : ''">
    <header class="flex flex-wrap items-center gap-x-4 gap-y-2">
      <h1>First start</h1>
      <TagTape :tag="tag" /><span v-if="sheet" class="font-semibold">{{ sheet.identity.nickname || sheet.identity.name }}</span>
      <span v-if="frame" class="text-ink-2"
        >At the probe <strong>{{ frame.atProbe }}</strong>, at the switch <strong>{{ frame.atSwitch }}</strong></span
      >
      <NuxtLink :to="back" class="ml-auto">Back to the sheet</NuxtLink>
    </header>
    <p v-if="!connected" role="status" class="border-l-4 border-care bg-care-wash px-3 py-2">
      This page has lost the bench. <strong>If the machine is on, switch it off.</strong>
    </p>
    <EmptyPlace v-if="!frame" says="No start of this machine is running, or it is being looked for."
      ><NuxtLink :to="back" class="button">Prepare one under Make safe</NuxtLink></EmptyPlace
    >
    <div v-else class="grid items-start gap-4 lg:grid-cols-[minmax(0,2fr)_minmax(18rem,1fr)]">
      <section class="grid gap-4" aria-label="The rail">
        <StartAlarm v-if="alarm" :called="frame.called" />
        <StartRail :frame="frame" :samples="samples" :phase="phase" :countdown="countdown" :on-seconds="onSeconds" />
        <div v-if="isOn" class="card">
          <FindingList :findings="findings" />
          <p v-if="!findings.length" class="hint">{{ frame.plan.byMeter ? 'The first reading is on its way.' : 'Type what the meter shows.' }}</p>
        </div>
        <p class="sr-only" role="status">{{ spoken }}</p>
      </section>
      <section class="grid gap-4" aria-label="What to do">
        <StartActions v-if="may" :frame="frame" :phase="phase" :trouble="trouble" :tell="tell" />
        <TypedReading v-if="may && isOn" :frame="frame" :tell="tell" />
        <StartPoints :frame="frame" :may="may" :tell="tell" />
        <SimulatedMachine v-if="may && frame.plan.byMeter" />
        <CautionNote v-if="sheet?.power.takesMains" about="mains" />
      </section>
    </div>
  </main>
</template>
