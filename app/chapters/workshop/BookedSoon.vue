<script setup lang="ts">
import { millisecondsInDay } from 'date-fns/constants'
/** What lies in a shared thing now, or will within a day. */
const times = useTimes()
const clock = useClock()
const { things } = useWorkshop()
const soon = computed(() => new Date(clock.now.getTime() + millisecondsInDay).toISOString())
const booked = computed(() =>
  things.value
    .flatMap(thing => thing.bookings.filter(b => b.from < soon.value).map(b => ({ ...b, thing: thing.name, began: b.from <= clock.now.toISOString() })))
    .sort((a, b) => a.from.localeCompare(b.from)),
)
</script>

<template>
  <OneCard v-if="booked.length" title="Tanks, ovens and lamps">
    <template #aside><NuxtLink to="/workshop" class="button button-quiet">All of them</NuxtLink></template>
    <ul class="grid divide-y divide-line">
      <li v-for="one in booked" :key="one.id" class="grid gap-0.5 py-1.5 first:pt-0">
        <div class="flex flex-wrap items-center gap-2">
          <SandGlass v-if="one.began" :until="one.until" class="w-16" /><TagTape :tag="one.tag" small /><NuxtLink
            :to="{ path: `/m/${one.tag}`, query: { stage: 'clean' } }"
            class="text-ink"
            >{{ one.machine }}: {{ one.what }}</NuxtLink
          >
        </div>
        <p class="hint">{{ one.thing }}, {{ one.began ? `until ${times.moment(one.until)}` : `${times.moment(one.from)} to ${times.clock(one.until)}` }}</p>
      </li>
    </ul>
  </OneCard>
</template>
