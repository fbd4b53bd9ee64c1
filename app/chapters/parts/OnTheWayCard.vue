<script setup lang="ts">
import { counted } from '#core/kernel/figure'
import { needs } from '#core/parts/needs'
import type { OnTheWayView } from '#shared/chapters/parts/index'
import HeldLine from './HeldLine.vue'

/** What was ordered or promised, and what came and nobody looked at: what is late, and whom it holds up. */
const { found, trouble } = useCollection<OnTheWayView>(['on-the-way'], '/api/parts/on-the-way')
type Line = OnTheWayView['lines'][number]
const late = computed(() => found.value?.lines.filter(line => line.late).length ?? 0)
const holds = (line: Line) =>
  line.holdsUp.length
    ? `Holds up ${line.holdsUp.map(one => `${one.machine} (${needs[one.stops].title.toLowerCase()})`).join(', ')}.`
    : 'No start and no function waits for it.'
</script>

<template>
  <OneCard title="On their way" hint="Ordered, promised, or arrived and not looked at. What arrives is looked at before it counts as good.">
    <p v-if="trouble" role="alert" class="text-stop">{{ trouble }}</p>
    <p v-else-if="!found" role="status" class="hint">Fetching…</p>
    <EmptyPlace v-else-if="!found.lines.length" says="Nothing is on its way." />
    <template v-else>
      <p>{{ counted(found.lines.length, 'line') }}, {{ late ? `${late} late` : 'none of them late' }}.</p>
      <ul class="grid divide-y divide-line border-y border-line">
        <li v-for="line in found.lines" :key="line.held.id">
          <ul>
            <HeldLine :held="line.held" />
          </ul>
          <p class="hint pb-2">{{ holds(line) }} {{ line.lead }}</p>
        </li>
      </ul>
    </template>
  </OneCard>
</template>
