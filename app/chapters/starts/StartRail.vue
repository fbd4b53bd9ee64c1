<script setup lang="ts">
import { limitsOf, shownRail, volts } from '#core/power/rails'
import { meterStates } from '#core/power/scpi'
import type { StartPhase } from '#core/power/start-ritual'
import type { StartSample } from '#core/power/start-watch'
import { toleranceFor } from '#core/power/tolerances'
import type { StartFrame } from '#shared/chapters/starts/index'

/** The rail that is probed: what is expected where, the countdown, the figure, the strip chart with its limits. */
const props = defineProps<{ frame: StartFrame; samples: StartSample[]; phase: StartPhase; countdown: number; onSeconds: number }>()
const point = computed(() => props.frame.plan.points.find(p => p.rail === props.frame.rail)!)
const limits = computed(() => limitsOf(point.value.nominalV, point.value.tolerancePct ?? toleranceFor(point.value.nominalV).tolerancePct))
const left = computed(() => Math.max(0, Math.ceil(props.frame.plan.mostSeconds - props.onSeconds)))
const ofRail = computed(() => props.samples.filter(s => s.kind === 'dc-volts' && s.rail === props.frame.rail))
const trace = computed(() => ofRail.value.flatMap((s): [number, number][] => (s.value === null ? [] : [[s.atSeconds, s.value]])))
const reading = computed(() => {
  // The meter shows something before the switch is called, too; typed figures are only those of this start.
  const { latest, plan, meter } = props.frame
  // A meter that is silent shows nothing; what it showed before is not what the rail carries.
  if (plan.byMeter && meter !== 'ready') return '—'
  const value = plan.byMeter && latest?.kind === 'dc-volts' ? latest.value : ofRail.value.at(-1)?.value
  return value === undefined ? '—' : value === null ? 'OL' : railFigure(value)
})
const words: Record<StartPhase, string> = { 'ready': 'Not on yet', 'countdown': '', 'on': '', 'switching-off': 'Still on', 'off-now': 'Still on', 'off': 'Off' }
</script>

<template>
  <div class="card grid gap-3">
    <div class="flex flex-wrap items-baseline gap-x-4">
      <h2 class="text-3xl!">{{ shownRail(frame.rail) }}</h2>
      <span class="text-lg">{{ point.point || 'its test point' }}</span><span class="figure ml-auto text-lg"
        >{{ volts(limits.lowV) }} to {{ volts(limits.highV) }} expected</span
      >
    </div>
    <p v-if="phase === 'countdown'" class="text-center" role="timer">
      <span class="figure block text-[7rem] leading-none font-semibold">{{ countdown }}</span><span class="font-display text-2xl font-semibold"
        >{{ frame.atSwitch }}: hand at the switch. On at zero.</span
      >
    </p>
    <p
      v-else
      class="figure text-center text-[clamp(3rem,15vw,6rem)] leading-none font-semibold"
      :class="phase === 'off-now' ? 'text-stop' : frame.judgement.state === 'watch' ? 'text-care' : ''"
    >
      {{ reading }}
    </p>
    <LineChart
      v-if="phase !== 'countdown' && phase !== 'ready'"
      :series="[{ name: frame.rail, points: trace, dots: !frame.plan.byMeter }]"
      unit="V"
      x-unit="s"
      :band="[limits.lowV, limits.highV]"
      :window-seconds="60"
      :x-to="onSeconds"
      :told="`${frame.rail} over the last minute`"
      class="h-48!"
    />
    <div class="flex flex-wrap items-center gap-x-4 gap-y-1">
      <span class="font-semibold">{{ phase === 'on' ? `On for ${Math.floor(onSeconds)} s` : words[phase] }}</span>
      <span v-if="phase === 'on'" class="figure">{{ left }} s left</span>
      <span v-if="frame.plan.byMeter" class="ml-auto" :class="frame.meter === 'ready' ? 'text-fine' : 'text-stop font-semibold'"
        >Meter: {{ meterStates[frame.meter].title.toLowerCase() }}</span
      >
    </div>
    <p v-if="frame.plan.byMeter && frame.meter !== 'ready'" role="status" class="text-stop">{{ meterStates[frame.meter].says }}</p>
  </div>
</template>
