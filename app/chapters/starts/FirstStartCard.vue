<script setup lang="ts">
import { counted } from '#core/kernel/figure'
import { firstStartDone } from '#core/safety/first-start'
import { gateWords, mayBeStarted } from '#core/safety/gate-words'
import { loadWords, loads } from '#core/power/rails'
import { warmParts, warmPartNames } from '#core/power/temperature'
import { skills } from '#core/kernel/skills'
import type { CommandRequest, SheetOf } from '#shared/chapters/index'
import { useMeter } from '../meter/index'
import { CheckList } from '../power/index'

/** What is seen to before an attended start, who stands where, and the starts there were. */
const props = defineProps<{ sheet: SheetOf<'power' | 'starts'> }>()
const session = useSession()
const meter = useMeter()
// The form starts from what the meter said, and is not drawn anew when it says something else: ticks would be lost.
const looked = ref(false)
onMounted(async () => {
  await meter.look()
  looked.value = true
})
const power = computed(() => props.sheet.power)
const running = computed(() => props.sheet.starts.find(s => !s.endedAt))
const allowed = computed(() => mayBeStarted(power.value.inForce))
const open = computed(() => power.value.startChecks.filter(c => c.known === false))
const crew = computed(() => session.crew.filter(p => p.role !== 'reader'))
const people = (skilled: boolean) =>
  crew.value.map(p => ({ value: p.id, label: `${p.name}${skilled && !p.skills.includes('mains') ? `, without ${skills.mains.title.toLowerCase()}` : ''}` }))
const skilled = computed(() => crew.value.filter(p => p.skills.includes('mains')))
const initial = computed(() => {
  const me = session.person?.id
  const atSwitch = power.value.takesMains ? (skilled.value.find(p => p.id === me)?.id ?? skilled.value[0]?.id) : me
  return {
    atProbe: atSwitch === me ? undefined : me,
    atSwitch,
    byMeter: meter.view.value?.state === 'ready',
    load: 'loaded' as const,
    currentLimitA: power.value.firstLimitA ?? '',
    warm: null,
    checked: [],
  } as Partial<CommandRequest<'begin-start'>>
})
const warmChoices = [{ value: null, label: 'Nothing' }, ...warmPartNames.map(value => ({ value, label: warmParts[value].title }))]
const readings = computed(() => [{ value: false, label: 'Typed' }, ...(meter.there.value ? [{ value: true, label: 'From the meter' }] : [])])
const ended = computed(() => props.sheet.starts.filter(s => s.endedAt))
const done = computed(() => firstStartDone(power.value.facts.rails, ended.value[0]?.outcome ?? undefined))
const state = computed(() => (running.value ? 'open' : !allowed.value ? 'none' : done.value ? 'done' : 'open'))
const result = computed(() =>
  allowed.value
    ? `${done.value ? 'Rails read' : 'Not done'}; ${counted(ended.value.length, 'attended start')} so far`
    : `Not yet: ${gateWords[power.value.inForce].title.toLowerCase()}${ended.value.length ? `; ${ended.value.length} before` : ''}`,
)
// Once it runs, the form is gone, and whoever sent it goes on to the start; others find the way there in its place.
const sent = ref(false)
watch(running, now => now && sent.value && void navigateTo(path.value))
const meterSays = computed(() =>
  meter.there.value ? meter.view.value?.identity || 'The meter does not answer just now.' : 'No meter is set up; a coordinator does that under Settings.',
)
// It is long: on a phone it is opened by whoever begins one.
const small = onPhone()
const path = computed(() => `/m/${props.sheet.tag}/start`)
</script>

<template>
  <OneCard
    title="First start"
    hint="Attended and limited: one at the probe, one at the switch, every rail judged as it comes up."
    :state="state"
    :result="result"
  >
    <div v-if="running" class="flex flex-wrap items-center gap-3 border-l-4 border-care bg-care-wash px-3 py-2">
      <p><strong>A start is running.</strong> At the probe {{ running.atProbe }}, at the switch {{ running.atSwitch }}.</p>
      <NuxtLink :to="path" class="button button-main">Open the start</NuxtLink>
    </div>
    <template v-else-if="!allowed">
      <p>The gate says <GateSign :verdict="power.inForce" small />. {{ gateWords[power.inForce].means }}</p>
      <p class="hint">What would open it is listed at the top of this stage.</p>
    </template>
    <p v-else-if="!sheet.expectedRails.length">
      No rail is expected of it. <NuxtLink :to="{ query: { stage: 'prove' } }">Say under Prove which rails it has</NuxtLink>; a start without a rail to read
      shows nothing.
    </p>
    <template v-else-if="session.may('begin-start')">
      <div class="grid gap-2 sm:grid-cols-2"><CautionNote v-if="power.takesMains" about="mains" /><CautionNote about="stored-charge" /></div>
      <p v-if="open.length"><strong>By the records, not yet:</strong> {{ open.map(c => c.do).join(' ') }}</p>
      <p v-if="power.takesMains && !session.has('mains')" class="hint">
        It takes mains: at the switch stands somebody with the skill. <WhoCould skill="mains" />
      </p>
      <AddPanel label="Prepare the start" :open="!small && open.length === 0 && (!ended.length || power.facts.rails === 'unread')">
        <p v-if="!looked" role="status" class="hint">Asking the meter…</p>
        <CommandForm
          v-else
          command="begin-start"
          :machine="sheet.tag"
          :initial="initial"
          label="Prepare the start"
          submit="Begin the start"
          @submit="sent = true"
        >
          <template #default="{ values }">
            <CheckList :checks="power.startChecks" />
            <div class="grid gap-x-3 gap-y-2 sm:grid-cols-3">
              <PickField name="atProbe" label="At the probe" :options="people(false)" empty="Choose somebody" /><PickField
                name="atSwitch"
                label="At the switch"
                :options="people(power.takesMains)"
                empty="Choose somebody"
              /><PickField name="warm" label="Watched for heat" :options="warmChoices" />
            </div>
            <div class="flex flex-wrap gap-x-5 gap-y-2">
              <ChoiceField
                name="byMeter"
                label="Readings"
                :options="readings"
                :hint="values.byMeter || !meter.there.value ? meterSays : undefined"
              /><ChoiceField
                name="load"
                label="Load"
                :options="loads.filter(l => l !== 'unknown').map(value => ({ value, label: loadWords[value].replace(/^./, c => c.toUpperCase()) }))"
              />
              <TextField
                name="currentLimitA"
                label="Current limit, A"
                numeric
                class="w-36"
                :hint="values.currentLimitA ? undefined : 'Leave empty if not watched'"
              />
            </div>
            <p v-if="values.load === 'unloaded'" class="hint">Many supplies read low or wander without a load; such a rail is read again under load.</p>
          </template>
        </CommandForm>
      </AddPanel>
    </template>
    <StartTraces v-if="sheet.starts.some(s => s.endedAt)" :starts="sheet.starts.filter(s => s.endedAt)" />
  </OneCard>
</template>
