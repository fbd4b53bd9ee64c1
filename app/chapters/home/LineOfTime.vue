<script setup lang="ts">
import { type LifeEvent, lifeLine } from '#core/planning/life-line'
import { stageNames } from '#core/kernel/stages'
import { gateWords } from '#core/safety/gate-words'
import { PhCheck, PhLightning, PhPushPin, PhWarning, PhWrench, PhX } from '~/kernel/signs/icons'

/** A machine's life as a line: when it was made, when it came, what the gate said since, and what happened. */
const props = defineProps<{ tag: string }>()
const times = useTimes()
const clock = useClock()
const { life, trouble } = useLife(() => props.tag)
/** Drawn anew by the hour; a line of months does not move by the second. */
const hour = computed(() => `${clock.now.toISOString().slice(0, 13)}:59:59.999Z`)
const line = computed(() => life.value && lifeLine({ ...life.value, now: hour.value }))
const inks = { 'keep-off': 'bg-stop', 'guarded-start': 'bg-care', 'clear-to-run': 'bg-fine', 'not-yet-assessed': 'bg-edge' }
const signs: Partial<Record<LifeEvent['what'], { icon: typeof PhX; says: string; ink: string }>> = {
  'start': { icon: PhLightning, says: 'A start', ink: 'text-care' },
  'fault': { icon: PhWarning, says: 'A fault', ink: 'text-stop' },
  'repair': { icon: PhWrench, says: 'A repair', ink: 'text-note' },
  'signed-off': { icon: PhCheck, says: 'Signed off', ink: 'text-fine' },
  'sign-off-ended': { icon: PhX, says: 'Sign-off ended', ink: 'text-stop' },
  'life': { icon: PhPushPin, says: 'Its life was chosen', ink: 'text-ink' },
}
const at = (place: number) => `${(place * 100).toFixed(2)}%`
/** Words of a stage stand where there is room for them; where it went on at once, the next one says it. */
const stageWords = computed(() => (line.value?.stages ?? []).filter((s, i, all) => (all[i + 1]?.at ?? 1.08) - s.at > 0.07))
const used = computed(() => [...new Set(line.value?.marks.map(m => m.what))].map(what => signs[what]!))
</script>

<template>
  <OneCard title="Line of time">
    <p v-if="trouble" role="alert" class="text-stop">{{ trouble }}</p>
    <p v-else-if="!line || !life" class="hint" role="status">Fetching…</p>
    <template v-else>
      <div aria-hidden="true" class="relative" :class="[line.marks.length || line.made ? 'h-18' : 'h-12', line.stages.length && 'sm:h-24']">
        <template v-if="line.made">
          <span class="absolute top-9 h-px bg-edge" :style="{ left: at(line.made.to), width: at(line.cameAt - line.made.to) }" />
          <span class="absolute top-7.5 h-3 bg-tape" :style="{ left: at(line.made.from), width: at(line.made.to - line.made.from), minWidth: '6px' }" />
          <span class="hint absolute top-11 left-0 whitespace-nowrap">Made {{ line.made.says }}</span>
        </template>
        <span
          v-for="band in line.bands"
          :key="band.from"
          class="absolute top-7.5 h-3"
          :class="inks[band.gate]"
          :style="{ left: at(band.from), width: at(band.to - band.from) }"
          :title="gateWords[band.gate].title"
        />
        <span class="absolute top-5 h-8 w-0.5 bg-ink" :style="{ left: at(line.cameAt) }" />
        <span class="hint absolute top-0 whitespace-nowrap" :style="{ left: at(line.cameAt) }">Came {{ times.day(life.bookedInAt) }}</span>
        <span class="hint absolute top-0 right-0 max-sm:hidden">Now</span>
        <span
          v-for="stage in stageWords"
          :key="stage.at"
          class="hint absolute top-17 border-l border-edge pl-1 whitespace-nowrap max-sm:hidden"
          :style="{ left: at(stage.at) }"
          >{{ stageNames[stage.stage] }}</span
        >
        <span
          v-for="mark in line.marks"
          :key="mark.at + mark.what"
          class="absolute top-11 -translate-x-1/2 text-lg"
          :class="signs[mark.what]!.ink"
          :style="{ left: at(mark.at) }"
          :title="mark.says.join(' ')"
          ><component :is="signs[mark.what]!.icon"
        /></span>
      </div>
      <p class="hint flex flex-wrap gap-x-4 gap-y-1">
        <GateSign v-for="gate in [...new Set(line.bands.map(b => b.gate))]" :key="gate" :verdict="gate" small />
        <span v-for="sign in used" :key="sign.says" class="inline-flex items-center gap-1" :class="sign.ink"
          ><component :is="sign.icon" aria-hidden="true" />{{ sign.says }}</span
        >
      </p>
      <details v-if="life.events.length">
        <summary class="hint min-h-6 cursor-pointer">What happened, in words ({{ life.events.length }})</summary>
        <ol class="grid gap-1">
          <li v-for="event in life.events" :key="event.at + event.says" class="text-[0.9375rem]">
            <span class="hint">{{ times.day(event.at) }}</span> {{ event.says }}
          </li>
        </ol>
      </details>
    </template>
  </OneCard>
</template>
