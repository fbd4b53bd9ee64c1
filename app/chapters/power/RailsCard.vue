<script setup lang="ts">
import { fixed } from '#core/kernel/figure'
import { loadWords, loads, volts, shownRail } from '#core/power/rails'
import { configurationWords } from '#core/safety/configuration'
import type { SheetOf } from '#shared/chapters/index'

/** Every rail with its limits, the reading that decides, and what is said of it. */
const props = defineProps<{ sheet: SheetOf<'power'> }>()
const session = useSession()
const times = useTimes()
/** Readings of this configuration; those of another say nothing of it. */
const readingsOf = (rail: string) => props.sheet.readings.filter(r => r.here && r.rail === rail)
const elsewhere = computed(() => props.sheet.readings.filter(r => !r.here).length)
const pointOf = (rail: string) => props.sheet.expectedRails.find(r => r.name === rail)?.point
const driftOf = (rail: string) => props.sheet.drifts.find(d => d.rail === rail)?.finding
const overTime = (rail: string) =>
  loads
    .filter(load => readingsOf(rail).some(r => r.load === load))
    .map(load => ({
      name: loadWords[load],
      dots: true,
      points: readingsOf(rail)
        .filter(r => r.load === load)
        .map((r): [string, number] => [r.at, r.valueV]),
    }))
// The bar at the thumb has it too.
const small = onPhone()
</script>

<template>
  <OneCard
    title="Rails"
    :state="sheet.rails?.verdict === 'good' ? 'done' : 'open'"
    :result="sheet.rails?.findings[0]?.says ?? 'None expected yet'"
    stays
    hint="Before power: resistance of every rail to ground. Then a load attached, the switch on the lead, one hand, the meter already on the rail."
  >
    <CautionNote about="mains" />
    <EmptyPlace v-if="!sheet.rails" says="No rail is expected yet. Name the rails of this machine, and each reading will be judged as it is typed." />
    <ul v-else class="grid divide-y divide-line border-y border-line">
      <li v-for="rail in sheet.rails.rails" :key="rail.name" class="grid items-center gap-x-4 gap-y-1 py-2 sm:grid-cols-[5rem_max-content_1fr_4.500rem]">
        <h3>
          {{ shownRail(rail.name) }}<span v-if="pointOf(rail.name)" class="hint block font-normal">{{ pointOf(rail.name) }}</span>
        </h3>
        <span class="reading min-w-30 text-2xl! whitespace-nowrap">{{ rail.deciding ? volts(rail.deciding.valueV) : '—' }}</span>
        <span class="grid"
          ><RailGauge v-bind="rail" :value-v="rail.deciding?.valueV" /><span class="hint"
            >{{ volts(rail.lowV) }} to {{ volts(rail.highV)
            }}<template v-if="rail.deciding"
              >, read {{ loadWords[rail.deciding.load] }}, {{ rail.deviationPct! > 0 ? '+' : '' }}{{ fixed(rail.deviationPct!, 1) }} %</template
            ></span
          ></span
        >
        <RailVerdictWord :verdict="rail.verdict" />
        <div class="sm:col-span-4">
          <details v-for="found in rail.findings.filter(f => f.level !== 'fine')" :key="found.code">
            <summary class="min-h-6 cursor-pointer">{{ found.says }}</summary>
            <p class="hint">{{ found.because.join(' ') }}</p>
          </details>
          <div v-if="driftOf(rail.name)" class="grid grid-cols-[4.25rem_1fr] items-baseline gap-2">
            <LevelSign :level="driftOf(rail.name)!.level" />
            <details>
              <summary class="min-h-6 cursor-pointer">{{ driftOf(rail.name)!.says }}</summary>
              <p class="hint">{{ driftOf(rail.name)!.because.join(' ') }}</p>
            </details>
          </div>
          <details v-if="readingsOf(rail.name).length > 1">
            <summary class="cursor-pointer text-[0.9375rem]">Over its life: {{ readingsOf(rail.name).length }} readings</summary>
            <LineChart
              :series="overTime(rail.name)"
              unit="V"
              time
              :band="[rail.lowV, rail.highV]"
              :told="`${rail.name} over its life: ${readingsOf(rail.name)
                .map(r => `${times.day(r.at)} ${volts(r.valueV)} ${loadWords[r.load]}`)
                .join('; ')}`"
            />
            <p class="hint figure">
              {{
                readingsOf(rail.name)
                  .slice(-5)
                  .map(r => `${times.day(r.at)} ${volts(r.valueV)} ${loadWords[r.load]}`)
                  .join(' · ')
              }}
            </p>
          </details>
        </div>
      </li>
    </ul>
    <p v-if="elsewhere" class="hint">
      {{ elsewhere }} {{ elsewhere === 1 ? 'reading was' : 'readings were' }} taken in another configuration and {{ elsewhere === 1 ? 'says' : 'say' }} nothing
      of this one: {{ configurationWords(sheet.power.configuration) }}.
    </p>
    <AddPanel v-if="sheet.rails && session.may('take-reading')" label="Take a reading" :open="!small"><ReadingForm :sheet="sheet" /></AddPanel>
    <AddPanel v-if="session.may('expect-rails')" v-slot="{ close }" label="Change the rails expected" :open="!sheet.rails"
      ><ExpectedRailsForm :sheet="sheet" @done="close()"
    /></AddPanel>
  </OneCard>
</template>
