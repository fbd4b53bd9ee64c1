<script setup lang="ts">
import { OrderPlaced } from '../parts/index'
import { counted } from '#core/kernel/figure'
import type { RecapMachines, RecapOrderView } from '#shared/chapters/recap/index'

/** One order over the lists of several machines: like ones together, the shelf first, and the cheapest way to buy the rest. */
const session = useSession()
const times = useTimes()
const api = useApi()
const { found, trouble } = useCollection<RecapMachines>(['recap'], '/api/recap')
const left = ref<string[]>([])
const chosen = computed(() => found.value?.machines.map(m => m.tag).filter(tag => !left.value.includes(tag)) ?? [])
const turn = (tag: string) => (left.value = left.value.includes(tag) ? left.value.filter(t => t !== tag) : [...left.value, tag])
const spares = ref('1')
const later = ref(true)
const query = computed(() => ({
  tags: chosen.value.join(','),
  spares: /^\d{1,2}$/.test(spares.value.trim()) ? spares.value.trim() : '0',
  later: later.value ? 'yes' : 'no',
}))
const wrongSpares = computed(() => (/^(1?\d|20)$/.test(spares.value.trim()) ? '' : 'A whole number from 0 up to 20, please.'))
const { answer: order, busy: working, failure, start: workOut, stop } = useAsked(signal => api.get<RecapOrderView>('/api/recap/order', query.value, signal))
watch(query, () => (order.value = undefined))
const listHint =
  'As CSV, its first row: part; pack; price; from 10; from 100. A part as 470u 35V radial 10x20 105C. ' +
  'Left empty, this supplier’s prices are kept no longer'
const id = useId()
const inMoney = useMoney(() => found.value?.currency)
type Supplier = RecapOrderView['suppliers'][number]
const ordered = (s: Supplier) => s.lines.map(({ name, units, unitPrice, spec }) => ({ name, kind: 'capacitor' as const, spec, count: units, unitPrice }))
const placesOf = (line: RecapOrderView['lines'][number]) => line.wants.map(w => `${w.machine}: ${w.places.join(', ')}`).join('; ')
const cameFrom = (line: RecapOrderView['lines'][number]) =>
  [
    ...line.fromStock.map(s => (s.coming ? `${s.count} × ${s.name}, on its way` : `${s.count} × ${s.name} from the shelf${s.lies && `, ${s.lies}`}`)),
    ...line.bought.map(b => `${b.count} × ${b.name} of ${b.supplier}`),
    ...(line.short ? [`${line.short} from nowhere${line.nearest ? `; the nearest that is made is ${line.nearest}` : ''}`] : []),
  ].join('; ')
const csv = computed(() => `/api/recap/order.csv?${new URLSearchParams(query.value).toString()}`)
</script>

<template>
  <OneCard title="Order capacitors" hint="For the lists of several machines at once: like ones together, the shelf first, the rest where it costs least.">
    <p v-if="trouble" role="alert" class="text-stop">{{ trouble }}</p>
    <p v-else-if="!found" role="status" class="hint">Fetching…</p>
    <template v-else>
      <EmptyPlace v-if="!found.machines.length" says="No list of capacitors wants anything. Lists are made on the sheet of a machine, under Mend." />
      <template v-else>
        <fieldset class="no-print grid gap-1">
          <legend class="font-semibold">For which machines</legend>
          <label v-for="m in found.machines" :key="m.tag" class="flex min-h-11 items-center gap-3 wide:min-h-8">
            <input type="checkbox" class="size-5 accent-enamel" :checked="!left.includes(m.tag)" @change="turn(m.tag)" />
            <span>{{ m.machine }}</span><TagTape :tag="m.tag" small /><span class="hint"
              >{{ m.wanted }} to change{{ m.later ? `, ${m.later} after a start` : '' }}</span
            >
          </label>
        </fieldset>
        <div class="no-print flex flex-wrap items-end gap-x-6 gap-y-2">
          <FieldFrame :id="id" v-slot="{ described }" label="Spares of each value" :message="wrongSpares"
            ><input :id="id" v-model="spares" class="entry figure w-24" inputmode="numeric" :aria-describedby="described"
          /></FieldFrame>
          <label class="flex min-h-11 items-center gap-2"
            ><input v-model="later" type="checkbox" class="size-5 accent-enamel" />What waits for a start, too</label
          >
        </div>
        <WorkPress
          class="no-print"
          label="Work out the order"
          :busy="working"
          :failure="failure"
          :disabled="!chosen.length || !!wrongSpares"
          @start="workOut"
          @stop="stop"
        />
      </template>
      <div v-if="order" class="grid gap-3" role="status">
        <FindingList v-if="order.findings.length" :findings="order.findings" />
        <section v-for="s in order.suppliers" :key="s.supplier" class="grid gap-1" :aria-label="`Order at ${s.supplier}`">
          <h3>{{ s.supplier }}</h3>
          <table class="w-full text-left">
            <thead class="hint">
              <tr>
                <th class="font-normal">Part</th>
                <th class="pl-3 text-right font-normal">How many</th>
                <th class="pl-3 text-right font-normal">Each</th>
                <th class="pl-3 text-right font-normal">Cost</th>
              </tr>
            </thead>
            <tbody class="divide-y divide-line border-y border-line">
              <tr v-for="line in s.lines" :key="line.name">
                <td class="py-1">{{ line.name }}</td>
                <td class="figure pl-3 text-right whitespace-nowrap">{{ line.units }}</td>
                <td class="figure pl-3 text-right whitespace-nowrap">{{ inMoney(line.unitPrice) }}</td>
                <td class="figure pl-3 text-right whitespace-nowrap">{{ inMoney(line.cost) }}</td>
              </tr>
              <tr v-if="s.postage">
                <td class="py-1" colspan="3">Postage</td>
                <td class="figure pl-3 text-right whitespace-nowrap">{{ inMoney(s.postage) }}</td>
              </tr>
            </tbody>
          </table>
          <OrderPlaced :supplier="s.supplier" :lines="ordered(s)" :expected="s.expected" :postage="s.postage" :hint="s.lead" @done="order = undefined" />
        </section>
        <p v-if="order.suppliers.length">
          <strong>{{ inMoney(order.cost) }} in all.</strong>
          <span v-if="order.machines.length" class="hint">&ensp;{{ order.machines.map(m => `${m.machine} ${inMoney(m.cost)}`).join('; ') }}</span>
        </p>
        <h3>Where each goes</h3>
        <ul class="grid divide-y divide-line border-y border-line">
          <li v-for="(line, i) in order.lines" :key="i" class="grid gap-0.5 py-1.5">
            <p class="flex flex-wrap items-baseline gap-x-3">
              <span class="figure">{{ line.wanted }} ×</span><span class="font-semibold">{{ line.says }}</span
              ><span v-if="line.withSpares > line.wanted" class="hint">and {{ counted(line.withSpares - line.wanted, 'spare') }}</span>
            </p>
            <p class="hint">{{ placesOf(line) }}</p>
            <p :class="line.short ? 'text-care' : ''">{{ cameFrom(line) }}.</p>
          </li>
        </ul>
        <p class="no-print"><a :href="csv" download>The order, as a table (CSV)</a></p>
      </div>
      <section class="no-print grid gap-2" aria-label="Price lists">
        <h3>Price lists</h3>
        <p v-if="!found.suppliers.length" class="hint">None kept. Without one, only the shelf is reckoned with.</p>
        <ul v-else class="grid divide-y divide-line border-y border-line">
          <li v-for="s in found.suppliers" :key="s.supplier" class="flex flex-wrap items-baseline gap-x-3 py-1">
            <span class="font-semibold">{{ s.supplier }}</span><span>{{ counted(s.lines, 'line') }}</span
            ><span class="hint">{{ s.postage === null ? 'postage not known' : `postage ${inMoney(s.postage)}` }}; of {{ times.day(s.setAt) }}</span>
          </li>
        </ul>
        <AddPanel v-if="session.may('set-prices')" v-slot="{ close }" label="Keep a price list">
          <CommandForm
            command="set-prices"
            :initial="{ supplier: '', postage: '' as never, typed: '' }"
            label="A price list"
            submit="Keep these prices"
            @done="close()"
          >
            <div class="grid gap-3 sm:grid-cols-2"><TextField name="supplier" label="Supplier" /><TextField name="postage" label="Postage" numeric /></div>
            <TextField name="typed" label="The price list" :lines="6" :hint="listHint" />
          </CommandForm>
        </AddPanel>
      </section>
    </template>
  </OneCard>
</template>
