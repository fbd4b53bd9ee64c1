<script setup lang="ts">
import type { MoneyView } from '#shared/chapters/parts/index'

/** What was spent, machine by machine, against what it was thought to cost and what its owner agreed to. */
const { found, trouble } = useCollection<MoneyView>(['money'], '/api/parts/money')
const inMoney = useMoney(() => found.value?.currency)
const totals = computed(
  () =>
    found.value &&
    ([
      ['Spent', found.value.spent],
      ['Of it for parts', found.value.parts],
      ['On order', found.value.onOrder],
      ['On the shelf', found.value.onShelf],
    ] as const),
)
</script>

<template>
  <OneCard title="Money" hint="What was noted under Arrive, and the parts that are set aside or fitted, by the price that stands beside them in the ledger.">
    <p v-if="trouble" role="alert" class="text-stop">{{ trouble }}</p>
    <p v-else-if="!found" role="status" class="hint">Fetching…</p>
    <template v-else>
      <dl class="flex flex-wrap gap-x-8 gap-y-2">
        <div v-for="[what, amount] in totals" :key="what">
          <dt class="hint">{{ what }}</dt>
          <dd class="figure text-xl">{{ inMoney(amount) }}</dd>
        </div>
      </dl>
      <EmptyPlace v-if="!found.rows.length" says="Nothing was spent on a machine, and none is appraised." />
      <template v-else>
        <p class="hint"><a href="/api/parts/money.csv" download>As a table (CSV)</a></p>
        <ul class="grid divide-y divide-line border-y border-line">
          <li v-for="row in found.rows" :key="row.tag" class="flex flex-wrap items-baseline gap-x-4 gap-y-1 py-1.5">
            <NuxtLink :to="{ path: `/m/${row.tag}`, query: { stage: 'arrive' } }" class="inline-flex basis-56 flex-wrap items-center gap-2"
              ><TagTape :tag="row.tag" small />{{ row.machine }}</NuxtLink
            >
            <span class="basis-32"
              ><span class="figure">{{ inMoney(row.spent) }}</span> <span class="hint">spent</span></span
            >
            <span class="hint basis-52"
              >{{ row.estimate ? `thought ${inMoney(row.estimate.low)} to ${inMoney(row.estimate.high)}` : 'not appraised'
              }}<template v-if="row.parts">; {{ inMoney(row.parts) }} of it for parts</template></span
            >
            <span class="flex flex-1 basis-64 items-baseline gap-2"
              ><LevelSign :level="row.finding.level" /><span :class="row.finding.level === 'stop' && 'text-stop'">{{ row.finding.says }}</span></span
            >
          </li>
        </ul>
      </template>
    </template>
  </OneCard>
</template>
