<script setup lang="ts">
import { counted } from '#core/kernel/figure'
import type { BuyView } from '#shared/chapters/parts/index'
import OnTheWayCard from './OnTheWayCard.vue'
import OrderDraft from './OrderDraft.vue'
import { needs } from '#core/parts/needs'

/** What must be bought by now, and for how much: a draft for each supplier, with what each line unlocks. */
const { found, trouble, stopped, stop, again } = useCollection<BuyView>(['to-buy'], '/api/parts/to-buy')
const lines = computed(() => found.value?.drafts.flatMap(draft => draft.lines) ?? [])
const inMoney = useMoney(() => found.value?.currency)
const known = computed(() => lines.value.reduce((sum, line) => sum + (line.unitPrice ?? 0) * line.count, 0))
const unknown = computed(() => lines.value.filter(line => line.unitPrice === null).length)
const starts = computed(() => new Set(lines.value.flatMap(line => line.starts.map(m => m.tag))).size)
</script>

<template>
  <OneCard title="To buy" hint="What is wanted and neither here nor on its way, each unit counted once, by whom the last like it came from.">
    <p v-if="trouble" role="alert" class="text-stop">{{ trouble }}</p>
    <p v-else-if="!found" role="status" class="flex flex-wrap items-center gap-3">
      <span class="hint">{{ stopped ? 'Stopped.' : 'Working it out…' }}</span>
      <button type="button" class="button button-quiet" @click="stopped ? again() : stop()">{{ stopped ? 'Work it out' : 'Stop' }}</button>
    </p>
    <template v-else>
      <EmptyPlace v-if="!lines.length" says="Nothing has to be bought: all that is wanted is here, or on its way." />
      <p v-else>
        <strong>{{ counted(lines.length, 'line') }}, {{ inMoney(known) }}</strong
        ><template v-if="unknown"> and {{ unknown === 1 ? 'one line' : `${unknown} lines` }} of which nobody knows the price</template
        >{{ starts ? `; ${counted(starts, 'machine')} ${starts === 1 ? 'waits' : 'wait'} for no other part before a start` : '' }}.
        <a href="/api/parts/to-buy.csv" download class="no-print">As a table (CSV)</a>
      </p>
      <OrderDraft v-for="draft in found.drafts" :key="`${draft.supplier} ${draft.lines.map(l => l.partId).join()}`" :draft="draft" :currency="found.currency" />
      <template v-if="found.lookFirst.length">
        <h3>Look first</h3>
        <p class="hint">Something of this name is here, and nobody knows whether it does. Looking costs nothing.</p>
        <ul class="grid divide-y divide-line border-y border-line">
          <li v-for="(one, i) in found.lookFirst" :key="i" class="flex flex-wrap items-baseline gap-x-3 py-1">
            <span class="figure">{{ one.count }} ×</span><span class="font-semibold">{{ one.name }}</span>
            <NuxtLink :to="{ path: `/m/${one.tag}`, query: { stage: 'mend', card: 'Parts wanted' } }">{{ one.machine }}</NuxtLink><span class="hint">{{
              needs[one.stops].title.toLowerCase()
            }}</span>
          </li>
        </ul>
      </template>
      <p class="hint no-print">
        Capacitors of the lists are ordered together under <NuxtLink :to="{ query: { side: 'order' } }">Order capacitors</NuxtLink>; materials that run low
        stand under <NuxtLink to="/parts">Wanted</NuxtLink>.
      </p>
    </template>
  </OneCard>
  <OnTheWayCard />
</template>
