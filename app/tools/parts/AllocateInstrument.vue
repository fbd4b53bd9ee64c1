<script setup lang="ts">
import type { NamedAllocationDone, NamedPurchase } from '#core/parts/allocation/by-names'
import { readMachines, readParts, readPricesOf } from '#core/parts/allocation/read-lines'
import { partsAllocate } from '#shared/tools/parts/allocate'

/** Machines, parts and prices as lines; who gets what, and what to buy. */
defineEmits<{ input: [input: Record<string, unknown> | undefined] }>()
const { example } = partsAllocate
const typed = reactive({
  machines: example.machines
    .map(m => `${m.name}; ${m.weight}; ${m.wants.map(w => `${w.starts ? '' : '~'}${w.count > 1 ? `${w.count} × ` : ''}${w.part}`).join(', ')}`)
    .join('\n'),
  parts: example.parts.map(p => `${p.units} × ${p.name}${p.from === 'shelf' ? '' : `; ${p.from}`}`).join('\n'),
  prices: example.prices.map(p => `${p.part}; ${p.each}`).join('\n'),
})
const { answer, busy, failure, start, stop, at } = useSentInstrument<object, NamedAllocationDone>(partsAllocate.id, () => ({
  machines: readMachines(typed.machines),
  parts: readParts(typed.parts),
  prices: readPricesOf(typed.prices),
}))
watch(typed, () => (answer.value = undefined))
const bought = ({ buys, cost, starts }: NamedPurchase) =>
  `${buys.map(b => `${b.units} × ${b.part}`).join(' and ')}${cost === null ? ', of which nobody knows the price' : `, for ${cost.toFixed(2)}`}${starts.length ? `; it starts ${starts.join(', ')}` : ''}.`
const fields = [
  { name: 'machines', label: 'Machines', hint: 'A line each: name; weight; what it wants. Before what only a function waits for stands ~', rows: 5 },
  { name: 'parts', label: 'Parts at hand', hint: 'A line each: 2 × fan. Behind it donor or ordered, where it is none of the shelf', rows: 4 },
  { name: 'prices', label: 'What one costs', hint: 'A line each: fan; 9.50', rows: 3 },
] as const
</script>

<template>
  <div class="grid items-start gap-4 lg:grid-cols-2">
    <OneCard title="Who wants what">
      <LinesBox
        v-for="field in fields"
        :key="field.name"
        v-model="typed[field.name]"
        :label="field.label"
        :hint="field.hint"
        :rows="field.rows"
        :message="at(field.name)"
      />
      <WorkPress label="Weigh" :busy="busy" :failure="failure" @start="start" @stop="stop" />
    </OneCard>
    <OneCard title="Who gets it">
      <div v-if="answer" role="status" class="grid gap-3">
        <ul v-if="answer.gives.length" class="grid divide-y divide-line border-y border-line">
          <li v-for="(give, i) in answer.gives" :key="i" class="flex flex-wrap gap-x-3 py-1">
            <span class="figure">{{ give.count }} ×</span><strong>{{ give.part }}</strong
            ><span>for {{ give.machine }}</span>
          </li>
        </ul>
        <FindingList :findings="answer.findings" />
        <p v-if="answer.one"><strong>One purchase:</strong> {{ bought(answer.one) }}</p>
        <p v-if="answer.two && answer.two.buys.length > 1"><strong>Two together:</strong> {{ bought(answer.two) }}</p>
      </div>
      <EmptyPlace v-else says="Press Weigh, and you will see who gets what, what the others lack, and what to buy." />
    </OneCard>
  </div>
</template>
