<script setup lang="ts">
import Papa from 'papaparse'
import { type LogRead, readTemperatureLog } from '#core/power/temperature-log'
import { fanless, warmParts, warmPartNames } from '#core/power/temperature'
import { InputError } from '#core/kernel/input-error'
import type { MachineSheet, SheetOf } from '#shared/chapters/index'

/** How warm its parts get, one by one or from a logger's file; and how long it may run without its fan. */
const props = defineProps<{ sheet: SheetOf<'power'> }>()
const session = useSession()
const times = useTimes()
const parts = warmPartNames.map(value => ({ value, label: warmParts[value].title }))
const fileId = useId()
const log = shallowRef<LogRead>()
const column = ref(0)
const refused = ref('')
const chosen = computed(() => log.value?.columns[column.value])
/** Longer logs are thinned out evenly: the server takes four thousand rows. */
const samples = computed(() => {
  const all = chosen.value?.samples ?? []
  const step = Math.ceil(all.length / 4000)
  return step > 1 ? all.filter((_, i) => i % step === 0) : all
})

async function take(event: Event) {
  const [file] = (event.target as HTMLInputElement).files ?? []
  if (!file) return
  refused.value = ''
  log.value = undefined
  try {
    const text = await file.text()
    log.value = readTemperatureLog([';', '\t', ',', '|', ' '].map(delimiter => Papa.parse<string[]>(text, { delimiter, skipEmptyLines: true }).data))
    column.value = 0
  } catch (error) {
    if (!(error instanceof InputError)) throw error
    refused.value = error.message
  }
}
function toldOf({ part, samples, highestC }: MachineSheet['power']['temperatures'][number]) {
  const minutes = (samples.at(-1)!.atSeconds / 60).toFixed(0)
  return `Temperature of ${warmParts[part].title.toLowerCase()} over ${minutes} minutes, up to ${highestC.toFixed(1)} °C`
}
const fanMissing = computed(() => props.sheet.power.facts.fan === 'missing')
const state = computed(() => {
  const { temperatures } = props.sheet.power
  if (fanMissing.value || temperatures.some(t => t.findings.some(f => f.level === 'stop' || f.level === 'care'))) return 'open'
  return temperatures.length ? 'done' : 'none'
})
const result = computed(
  () =>
    props.sheet.power.temperatures
      .slice(0, 4)
      .map(t => `${warmParts[t.part].title} ${t.highestC.toFixed(0)} °C`)
      .join(', ') || 'No temperature taken',
)
</script>

<template>
  <OneCard
    title="Heat"
    hint="Heat sinks, transformer, drives. Feel for it with the back of a finger near, never on, a live part."
    :state="state"
    :result="result"
  >
    <FanlessRun v-if="fanMissing" :sheet="sheet" />
    <p v-if="fanMissing" class="hint">Without its fan it runs {{ fanless.runSeconds }} seconds at a time, then rests {{ fanless.restMinutes }} minutes.</p>
    <EmptyPlace v-if="!sheet.power.temperatures.length" says="No temperature has been taken. Old linear regulators run at 60 to 65 °C and are in order." />
    <ul v-else class="grid divide-y divide-line border-y border-line">
      <li v-for="one in sheet.power.temperatures.slice(0, 6)" :key="one.id" class="grid gap-1 py-2">
        <div class="flex flex-wrap items-baseline gap-x-3">
          <h3>{{ warmParts[one.part].title }}</h3>
          <span class="figure text-lg">{{ one.highestC.toFixed(1) }} °C</span
          ><span class="hint"
            >{{ one.where }}{{ one.where && ', ' }}{{ times.day(one.at) }}, {{ one.by }}{{ one.readings > 1 ? `, ${one.readings} readings` : '' }}</span
          >
        </div>
        <LineChart
          v-if="one.readings > 1"
          :series="[{ name: '°C', points: one.samples.map(s => [s.atSeconds / 60, s.celsius]) }]"
          unit="°C"
          x-unit="min"
          :lines="[
            { at: warmParts[one.part].usualC, says: 'usual' },
            { at: warmParts[one.part].hotC, says: 'off' },
          ]"
          :told="toldOf(one)"
        />
        <FindingList :findings="one.findings" />
      </li>
    </ul>
    <AddPanel v-if="session.may('take-temperature')" label="Take a temperature">
      <TemperatureForm :tag="sheet.tag" />
    </AddPanel>
    <AddPanel v-if="session.may('import-temperatures')" v-slot="{ close }" label="Import a log">
      <div class="grid gap-3">
        <div class="grid gap-1">
          <label :for="fileId" class="font-semibold">File of a logger</label
          ><input :id="fileId" type="file" accept=".csv,.txt,.tsv,text/csv,text/plain" class="entry" :aria-describedby="`${fileId}-hint`" @change="take" />
          <p :id="`${fileId}-hint`" class="hint">The first column a time, the others numbers; any delimiter, comma or point.</p>
        </div>
        <p v-if="refused" role="alert" class="text-stop">{{ refused }}</p>
        <template v-if="log && chosen">
          <FindingList :findings="log.findings" />
          <SelectField
            v-if="log.columns.length > 1"
            v-model="column"
            label="Which column"
            :options="log.columns.map((c, value) => ({ value, label: c.title }))"
          />
          <LineChart
            :series="[{ name: chosen.title, points: samples.map(s => [s.atSeconds / 60, s.celsius]) }]"
            unit="°C"
            x-unit="min"
            :told="`${chosen.title}: ${samples.length} readings`"
          />
          <CommandForm
            command="import-temperatures"
            :machine="sheet.tag"
            :initial="{ part: 'heat-sink', where: '' }"
            :fixed="{ samples: [...samples] }"
            label="Import a log"
            submit="Save log"
            @done="
              () => {
                log = undefined
                close()
              }
            "
            ><div class="grid gap-3 sm:grid-cols-2"><PickField name="part" label="Of what" :options="parts" /><TextField name="where" label="Which" /></div
          ></CommandForm>
        </template>
      </div>
    </AddPanel>
  </OneCard>
</template>
