<script setup lang="ts">
import { counted } from '#core/kernel/figure'
import type { DueView } from '#shared/chapters/parts/index'

/** Loans and orders that are due: what should be back, what has to go back, what has not come. */
const times = useTimes()
const clock = useClock()
const { found } = useCollection<{ due: DueView[]; offers: number }>(['due'], '/api/parts/due')
const today = computed(() => times.dayOf(clock.now))
const says = ({ held, by, goesBack }: DueView) => {
  const when = `${by < today.value ? 'was due' : 'due'} ${times.day(by)}`
  if (goesBack) return `goes back to ${held.lender}, ${when}`
  const from = held.source && ` ${held.at === 'pledged' ? 'by' : 'from'} ${held.source}`
  if (held.at === 'ordered' || held.at === 'pledged') return `${held.at === 'pledged' ? 'promised' : 'ordered'}${from}, ${when}`
  return `lent to ${held.holder}, ${when}`
}
</script>

<template>
  <OneCard v-if="found && (found.due.length || found.offers)" title="Loans and orders">
    <template #aside><NuxtLink :to="{ path: '/parts', query: { side: 'held' } }" class="button button-quiet">What is held</NuxtLink></template>
    <p v-if="found.offers">
      <NuxtLink :to="{ path: '/parts', query: { side: 'offers' } }">{{ counted(found.offers, 'offer') }}</NuxtLink> of parts
      {{ found.offers === 1 ? 'waits' : 'wait' }} to be looked over.
    </p>
    <ul class="grid divide-y divide-line">
      <li v-for="one in found.due" :key="one.held.id" class="grid gap-0.5 py-1.5">
        <p>
          <span class="figure">{{ one.held.count }} ×</span> <span class="font-semibold">{{ one.held.name }}</span>,
          <span :class="one.by < today && 'text-care'">{{ says(one) }}</span>
        </p>
        <p v-if="one.holdsUp.length" class="hint">
          Holds up
          <template v-for="(need, at) in one.holdsUp.slice(0, 3)" :key="at"
            ><template v-if="at">, </template><NuxtLink :to="{ path: `/m/${need.tag}`, query: { stage: 'mend' } }">{{ need.tag }}</NuxtLink> ({{
              need.what
            }})</template
          ><template v-if="one.holdsUp.length > 3"> and {{ one.holdsUp.length - 3 }} more</template>.
        </p>
      </li>
    </ul>
  </OneCard>
</template>
