<script setup lang="ts">
import { parseQuantity } from '#core/kernel/quantity'
import type { ListsOrdered } from '#core/parts/recap/by-lists'
import { partsOrder } from '#shared/tools/parts/order'

/** Lists, the shelf and price lists as they are written; what to buy where. */
defineEmits<{ input: [input: Record<string, unknown> | undefined] }>()
const { example } = partsOrder
const typed = reactive({
  lists: example.lists.map(l => ({ ...l })),
  shelf: example.shelf.map(s => `${s.units} × ${s.part}`).join('\n'),
  prices: example.prices.map(p => ({ ...p, postage: String(p.postage) })),
  spares: String(example.spares),
})
const { answer, busy, failure, start, stop, at } = useSentInstrument<object, ListsOrdered>(partsOrder.id, () => ({
  lists: typed.lists.filter(l => l.typed.trim()),
  shelf: typed.shelf
    .split('\n')
    .filter(line => line.trim())
    .map(line => {
      const [, units = '1', part = line] = /^\s*(\d+)\s*[×x]\s*(.+)$/.exec(line) ?? []
      return { units: Number(units), part }
    }),
  prices: typed.prices
    .filter(p => p.typed.trim())
    .map((p, i) => ({ ...p, postage: p.postage.trim() ? parseQuantity(p.postage, '', `prices.${i}.postage`) : 0 })),
  spares: parseQuantity(typed.spares, '', 'spares'),
}))
watch(typed, () => (answer.value = undefined))
</script>

<template>
  <div class="grid items-start gap-4 lg:grid-cols-2">
    <OneCard title="What is wanted, and what it costs">
      <LinesBox v-for="(list, i) in typed.lists" :key="i" v-model="list.typed" :label="`Capacitors of ${list.machine}`" :rows="3" :message="at(`lists.${i}`)" />
      <LinesBox v-model="typed.shelf" label="On the shelf" hint="A line each: 3 × 100u 25V radial" :rows="2" :message="at('shelf')" />
      <template v-for="(list, i) in typed.prices" :key="i">
        <LinesBox
          v-model="list.typed"
          :label="`Prices of ${list.supplier}`"
          hint="Its first row: part; pack; price; from 10"
          :rows="4"
          :message="at(`prices.${i}.typed`)"
        />
        <MeasureField v-model="list.postage" :label="`Postage of ${list.supplier}`" :message="at(`prices.${i}.postage`)" />
      </template>
      <MeasureField v-model="typed.spares" label="Spares of each value" :message="at('spares')" />
      <WorkPress label="Work out the order" :busy="busy" :failure="failure" @start="start" @stop="stop" />
    </OneCard>
    <OneCard title="The order">
      <div v-if="answer" role="status" class="grid gap-3">
        <InstrumentFace label="In all" :figure="answer.cost.toFixed(2)" judgement="With postage" level="note" />
        <section v-for="s in answer.suppliers" :key="s.supplier" class="grid gap-1">
          <h3>{{ s.supplier }}</h3>
          <ul class="grid divide-y divide-line border-y border-line">
            <li v-for="line in s.lines" :key="line.part" class="flex flex-wrap gap-x-3 py-1">
              <span class="figure">{{ line.units }} ×</span><span>{{ line.part }}</span
              ><span class="figure ml-auto">{{ line.cost.toFixed(2) }}</span>
            </li>
          </ul>
          <p v-if="s.postage" class="hint">Postage {{ s.postage.toFixed(2) }}</p>
        </section>
        <ul class="grid gap-1">
          <li v-for="(value, i) in answer.values" :key="i" :class="value.short ? 'text-care' : 'hint'">
            {{ value.wanted }} × {{ value.says }}: {{ value.fromShelf }} from the shelf, {{ value.bought }} bought{{
              value.short ? `, ${value.short} from nowhere` : ''
            }}.
          </li>
        </ul>
        <FindingList :findings="answer.findings" />
      </div>
      <EmptyPlace v-else says="Press Work out the order, and you will see what is bought where, and what it costs." />
    </OneCard>
  </div>
</template>
