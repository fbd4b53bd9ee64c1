<script setup lang="ts">
import { millisecondsInDay } from 'date-fns/constants'
import type { ThingView } from '#shared/chapters/workshop/index'

/** The days ahead of one shared thing: what lies in it when, each on a line of its own and as wide as its time. */
const props = defineProps<{ thing: ThingView; from: string; days: number }>()
const times = useTimes()
const clock = useClock()
const spanMs = computed(() => props.days * millisecondsInDay)
const share = (at: string | Date) => Math.min(100, Math.max(0, ((new Date(at).getTime() - Date.parse(props.from)) / spanMs.value) * 100))
const bars = computed(() =>
  props.thing.bookings
    .filter(b => share(b.until) > 0 && share(b.from) < 100)
    .map(b => ({ ...b, over: b.until <= clock.now.toISOString(), left: share(b.from), width: Math.max(0.8, share(b.until) - share(b.from)) })),
)
const dayMarks = computed(() => Array.from({ length: props.days }, (_, i) => new Date(Date.parse(props.from) + i * millisecondsInDay)))
const row = 26
</script>

<template>
  <div
    class="relative border border-line bg-mat"
    :style="{ height: `${Math.max(1, bars.length) * row + 22}px` }"
    role="img"
    :aria-label="`${thing.name}: ${bars.length} bookings in ${days} days; they are listed beside it`"
  >
    <span
      v-for="(at, i) in dayMarks"
      :key="i"
      class="absolute inset-y-0 border-l border-line pl-1 text-xs text-ink-2"
      :style="{ left: `${(i / days) * 100}%`, width: `${100 / days}%` }"
      >{{ times.weekday(at.toISOString()) }}</span
    >
    <span
      v-for="(bar, i) in bars"
      :key="bar.id"
      class="absolute border px-1 text-xs leading-[22px] whitespace-nowrap"
      :class="bar.over ? 'border-care bg-care-wash' : 'border-enamel bg-card'"
      :style="{ left: `${bar.left}%`, width: `${bar.width}%`, top: `${18 + i * row}px`, height: '24px' }"
      >{{ bar.machine }}: {{ bar.what }}</span
    >
    <span class="absolute inset-y-0 w-px bg-stop" :style="{ left: `${share(clock.now)}%` }" />
  </div>
</template>
