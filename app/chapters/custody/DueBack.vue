<script setup lang="ts">
import type { CustodyDue } from '#shared/chapters/custody/index'

/** Boards and drives that somebody took along, and that are due back. */
const times = useTimes()
const clock = useClock()
const { found } = useCollection<{ due: CustodyDue[] }>(['custody'], '/api/custody/due')
const today = computed(() => times.dayOf(clock.now))
</script>

<template>
  <OneCard v-if="found?.due.length" title="Away from the house">
    <ul class="grid divide-y divide-line">
      <li v-for="one in found.due" :key="one.id" class="py-1.5">
        <NuxtLink :to="{ path: `/m/${one.tag}`, query: { stage: 'look', card: 'Away from the house' } }" class="font-semibold text-ink"
          >{{ one.assembly }} of {{ one.machine }}</NuxtLink
        >: {{ one.holder }} has it,
        <span :class="one.backBy < today && 'text-care'">{{ one.backBy < today ? 'was due' : 'due' }} {{ times.day(one.backBy) }}</span>
        <span class="hint block">{{ one.what }}</span>
      </li>
    </ul>
  </OneCard>
</template>
