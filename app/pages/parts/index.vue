<script setup lang="ts">
import { amountWords } from '#core/cleaning/shelf'
import type { SupplyView } from '#shared/chapters/supplies/index'
import { AllocationCard, BuyCard, HeldCard, MoneyCard, WantedCards } from '~/chapters/parts/index'
import { OffersCard } from '~/chapters/sought/index'
import { RecapOrder } from '~/chapters/recap/index'

useHead({ title: 'Parts' })
const times = useTimes()
const route = useRoute()
const session = useSession()
const sides = {
  wanted: 'Wanted',
  give: 'Who gets what',
  buy: 'To buy',
  order: 'Order capacitors',
  held: 'Held',
  ...(session.may('take-up-offer') ? { offers: 'Offers' } : {}),
  money: 'Money',
  supplies: 'Supplies',
} as const
type Side = keyof typeof sides | 'offers'
const side = computed<Side>(() => (Object.hasOwn(sides, String(route.query.side)) ? (route.query.side as Side) : 'wanted'))
const { found } = useCollection<{ supplies: SupplyView[] }>(['supplies'], '/api/parts', { page: 1, size: 1 })
const { materials } = useWorkshop()
const lowOnShelf = computed(() => materials.value.filter(m => m.wantedSince))
</script>

<template>
  <div class="grid max-w-5xl gap-4">
    <header>
      <div class="flex flex-wrap items-center justify-between gap-2">
        <h1>Parts</h1>
        <NuxtLink to="/scan" class="button button-quiet no-print">Scan codes</NuxtLink>
      </div>
      <p class="text-ink-2">What the machines want, by what hangs on it; what is held, and where; the supplies.</p>
    </header>
    <nav aria-label="Sides of Parts" class="no-print flex flex-wrap gap-2">
      <NuxtLink
        v-for="(title, name) in sides"
        :key="name"
        :to="{ query: name === 'wanted' ? {} : { side: name } }"
        class="button"
        :class="side === name ? 'font-semibold' : 'button-quiet'"
        :aria-current="side === name ? 'page' : undefined"
        >{{ title }}</NuxtLink
      >
    </nav>
    <template v-if="side === 'wanted'">
      <WantedCards />
      <p class="hint"><a href="/api/parts/wanted.csv" download>What is wanted, as a table (CSV)</a></p>
      <OneCard v-if="lowOnShelf.length" title="For the shelf" hint="Materials that run low.">
        <template #aside><NuxtLink to="/workshop" class="button button-quiet">The shelf</NuxtLink></template>
        <ul class="grid divide-y divide-line">
          <li v-for="one in lowOnShelf" :key="one.id" class="flex flex-wrap items-baseline gap-x-3 py-1.5">
            <span class="font-semibold">{{ one.name }}</span><span class="figure">{{ amountWords(one.amount, one.unit) }} left</span
            ><span class="hint ml-auto">{{ times.day(one.wantedSince!) }}</span>
          </li>
        </ul>
      </OneCard>
    </template>
    <AllocationCard v-else-if="side === 'give'" />
    <BuyCard v-else-if="side === 'buy'" />
    <HeldCard v-else-if="side === 'held'" />
    <OffersCard v-else-if="side === 'offers'" />
    <MoneyCard v-else-if="side === 'money'" />
    <RecapOrder v-else-if="side === 'order'" />
    <SuppliesCard v-else-if="found" :supplies="found.supplies" />
  </div>
</template>
