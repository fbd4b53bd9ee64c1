<script setup lang="ts">
import { noticed } from '#core/power/noticed'
import { limitsOf, shownRail, volts } from '#core/power/rails'
import { toleranceFor } from '#core/power/tolerances'
import { startOutcomeNames } from '#shared/chapters/starts/index'
import type { ViewOf } from '#shared/chapters/index'

/** The starts there were: who stood where, how they ended, and what each rail did. */
const props = defineProps<{ starts: ViewOf<'starts'>['starts'] }>()
const times = useTimes()
type Start = ViewOf<'starts'>['starts'][number]
const inks = { 'all-read': 'text-fine', 'some-read': 'text-note', 'called-off': 'text-stop', 'broken-off': 'text-care' }
const railsOf = (start: Start) =>
  start.plan.points.flatMap(point => {
    const points = start.samples.flatMap((s): [number, number][] =>
      s.kind === 'dc-volts' && s.rail === point.rail && s.value !== null ? [[s.atSeconds, s.value]] : [],
    )
    const { lowV, highV } = limitsOf(point.nominalV, point.tolerancePct ?? toleranceFor(point.nominalV).tolerancePct)
    return points.length ? [{ rail: point.rail, points, lowV, highV }] : []
  })
const shown = computed(() => props.starts.map(start => ({ ...start, rails: railsOf(start) })))
</script>

<template>
  <details>
    <summary>
      <h3 class="inline">Earlier starts</h3>
      &ensp;
      <span v-if="shown[0]" class="hint">
        {{ shown.length }}; the last: {{ shown[0].outcome && startOutcomeNames[shown[0].outcome] }}, {{ times.day(shown[0].begunAt) }}</span
      >
    </summary>
    <ul class="mt-2 grid divide-y divide-line border-y border-line">
      <li v-for="start in shown" :key="start.id" class="grid gap-1 py-2">
        <div class="flex flex-wrap items-baseline gap-x-3">
          <span class="font-semibold" :class="start.outcome && inks[start.outcome]">{{ start.outcome && startOutcomeNames[start.outcome] }}</span><span
            class="hint"
            >{{ times.exact(start.begunAt) }}, {{ Math.round(start.onSeconds) }} s on. At the probe {{ start.atProbe }}, at the switch {{ start.atSwitch }}.
            {{ start.configuration }}.</span
          >
        </div>
        <ol v-if="start.runs.length > 1 || start.runs.some(r => r.called || r.noticed.length)" class="grid gap-0.5">
          <li v-for="(run, i) in start.runs" :key="i">
            Run {{ i + 1 }}, {{ Math.round(run.onSeconds) }} s: {{ run.called?.says ?? 'nothing called it off.' }}
            <template v-if="run.noticed.length">Noticed: {{ run.noticed.map(w => noticed[w].title.toLowerCase()).join(', ') }}.</template>{{ ' ' }}
            <span class="hint">{{
              Object.entries(run.kept)
                .map(([rail, v]) => `${shownRail(rail)} ${volts(v)}`)
                .join(', ')
            }}</span>
          </li>
        </ol>
        <p v-else-if="start.why">{{ start.why }}</p>
        <details v-if="start.rails.length">
          <summary class="cursor-pointer text-[0.9375rem]">What the rails did</summary>
          <div class="grid gap-2 pt-1 sm:grid-cols-2">
            <div v-for="rail in start.rails" :key="rail.rail">
              <span class="figure font-semibold">{{ shownRail(rail.rail) }}</span><LineChart
                :series="[{ name: rail.rail, points: rail.points, dots: rail.points.length < 12 }]"
                unit="V"
                x-unit="s"
                :band="[rail.lowV, rail.highV]"
                :told="`${rail.rail} over ${start.onSeconds.toFixed(0)} seconds, last ${rail.points.at(-1)![1].toFixed(2)} V`"
              />
            </div>
          </div>
        </details>
      </li>
    </ul>
  </details>
</template>
