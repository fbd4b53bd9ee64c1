<script setup lang="ts">
import { gateWords } from '#core/safety/gate-words'
import type { SheetOf } from '#shared/chapters/index'

/** How the gate went since the machine was booked in: a band of time, and each change with its reason. */
const props = defineProps<{ sheet: SheetOf<'power'> }>()
const clock = useClock()
const times = useTimes()
const stood = computed(() => {
  const changes = [...props.sheet.power.history].reverse()
  const begun = [{ at: props.sheet.bookedInAt, by: '', verdict: 'not-yet-assessed' as const, why: 'Booked in.' }, ...changes]
  return begun.map((change, i) => ({ ...change, forMs: Math.max(1, Date.parse(begun[i + 1]?.at ?? clock.now.toISOString()) - Date.parse(change.at)) }))
})
const inks = { 'keep-off': 'bg-stop', 'not-yet-assessed': 'bg-line', 'guarded-start': 'bg-care', 'clear-to-run': 'bg-fine' }
const days = (ms: number) => {
  const n = Math.round(ms / 864e5)
  return n === 0 ? 'less than a day' : n === 1 ? '1 day' : `${n} days`
}
</script>

<template>
  <details>
    <summary class="cursor-pointer font-semibold">How it went ({{ stood.length - 1 }} {{ stood.length === 2 ? 'change' : 'changes' }})</summary>
    <div class="grid gap-2 pt-2">
      <div class="flex h-5 gap-px" aria-hidden="true">
        <span
          v-for="(one, i) in stood"
          :key="i"
          class="min-w-1"
          :class="inks[one.verdict]"
          :style="{ flexGrow: one.forMs, flexBasis: 0 }"
          :title="`${gateWords[one.verdict].title}, ${days(one.forMs)}`"
        />
      </div>
      <ol class="grid gap-1.5">
        <li v-for="(one, i) in [...stood].reverse()" :key="i" class="grid grid-cols-[6.500rem_1fr] gap-x-3">
          <span class="hint figure">{{ times.day(one.at) }}</span>
          <div class="flex flex-wrap items-baseline gap-x-3">
            <GateSign :verdict="one.verdict" small /><span class="hint">{{ days(one.forMs) }}{{ one.by && `, ${one.by}` }}</span
            ><span class="basis-full text-[0.9375rem]">{{ one.why }}</span>
          </div>
        </li>
      </ol>
    </div>
  </details>
</template>
