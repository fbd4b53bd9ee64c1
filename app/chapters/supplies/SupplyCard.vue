<script setup lang="ts">
import { type Inlet, labelWords, matchSupply } from '#core/power/supply-match'
import type { SheetOf } from '#shared/chapters/index'

/** What its inlet needs, the supplies of the collection that suit, and how a bench supply is set instead. */
const props = defineProps<{ sheet: SheetOf<'power'> }>()
const session = useSession()
const inlet = computed(() => props.sheet.power.inlet)
const { submitCommand: assign, busy, failure, because } = useCommand('assign-supply', () => props.sheet.tag)
const rank = { 'yes': 0, 'not-yet-known': 1, 'no': 2 }
const inks = { 'yes': 'text-fine', 'not-yet-known': 'text-care', 'no': 'text-stop' }
const verdicts = { 'yes': 'Suits', 'not-yet-known': 'Not yet known', 'no': 'Does not suit' }
const supplies = computed(() =>
  inlet.value
    ? props.sheet.power.supplies
        .filter(s => s.active || s.id === props.sheet.power.supplyId)
        .map(supply => ({ supply, match: matchSupply({ needs: inlet.value!, supply: supply.label }) }))
        .sort((a, b) => rank[a.match.suits] - rank[b.match.suits])
    : [],
)
const bench = computed(() => inlet.value && matchSupply({ needs: inlet.value, supply: { voltageV: inlet.value.voltageV } }).bench)
const others = ref(false)
const shown = computed(() => (others.value ? supplies.value : supplies.value.filter(s => s.match.suits !== 'no' || s.supply.id === props.sheet.power.supplyId)))
const unsuited = computed(() => supplies.value.length - supplies.value.filter(s => s.match.suits !== 'no').length)
const used = computed(() => supplies.value.find(s => s.supply.id === props.sheet.power.supplyId))
const state = computed(() => {
  if (!inlet.value) return props.sheet.power.takesMains ? 'none' : 'open'
  return used.value?.match.suits === 'yes' ? 'done' : 'open'
})
/** What it is fed from comes after what was looked at. */
const factsOpen = computed(() => props.sheet.power.gate.verdict === 'not-yet-assessed' || props.sheet.power.gate.verdict === 'keep-off')
const result = computed(() => {
  const fit = { yes: '', no: ', which does not suit', unknown: ', not known to suit' } as Record<string, string>
  if (used.value) return `${used.value.supply.name}${fit[used.value.match.suits] ?? fit.unknown}`
  if (inlet.value) return `Wants ${labelWords(inlet.value)}`
  return props.sheet.power.takesMains ? 'Takes mains itself' : 'Nobody has said what its inlet needs'
})
/** What was typed at the door is not typed again. */
const brick = computed(() => props.sheet.power.brick)
const initial = computed(() => ({ inlet: typedInlet(inlet.value ?? brick.value ?? {}) }))
</script>

<template>
  <OneCard
    title="Supply"
    hint="For a machine that runs from an external supply: the right one, and how to set a bench supply instead."
    :state="state"
    :later="factsOpen"
    :result="result"
  >
    <EmptyPlace
      v-if="!inlet"
      :says="
        sheet.power.takesMains
          ? 'It takes mains itself, or nobody has said what its inlet needs.'
          : 'Nobody has said what its inlet needs. Once somebody does, the supplies that suit will appear here.'
      "
    />
    <template v-else>
      <p><strong>The inlet needs</strong> {{ labelWords(inlet) }}{{ inlet.regulatedInside ? ', regulated inside' : '' }}.</p>
      <p v-if="bench">
        A bench supply instead: <span class="figure font-semibold">{{ bench.voltageV }} V</span>, current limit
        <span class="figure font-semibold">{{ bench.firstLimitA }} A</span> at the first start, then <span class="figure">{{ bench.runLimitA }} A</span>.
      </p>
      <EmptyPlace v-if="!sheet.power.supplies.length" says="The collection has no supply on record. They are kept under Parts."
        ><NuxtLink :to="{ path: '/parts', query: { side: 'supplies' } }">Go to Parts</NuxtLink></EmptyPlace
      >
      <ul v-else class="grid divide-y divide-line border-y border-line">
        <li v-for="{ supply, match } in shown" :key="supply.id" class="grid gap-1 py-2">
          <div class="flex flex-wrap items-baseline gap-x-3 gap-y-1">
            <h3 class="figure">{{ supply.name }}</h3>
            <span class="font-semibold" :class="inks[match.suits]">{{ verdicts[match.suits] }}</span><span>{{ labelWords(supply.label) }}</span
            ><span v-if="supply.place" class="hint">{{ supply.place }}</span>
            <span class="ml-auto"
              ><span v-if="supply.id === sheet.power.supplyId" class="font-semibold">Runs from this one</span>{{ ' ' }}
              <button
                v-if="session.may('assign-supply') && (match.suits !== 'no' || supply.id === sheet.power.supplyId)"
                type="button"
                class="button wide:min-h-8!"
                :disabled="busy"
                @click="assign({ supplyId: supply.id === sheet.power.supplyId ? null : supply.id })"
              >
                {{ supply.id === sheet.power.supplyId ? 'Stop using' : 'Use' }}<span v-if="supply.id !== sheet.power.supplyId">{{ ` ${supply.name}` }}</span>
              </button></span
            >
          </div>
          <FindingList :findings="match.findings.filter(f => f.level !== 'fine')" :brief="match.suits !== 'no'" />
        </li>
      </ul>
      <p v-if="!shown.length && sheet.power.supplies.length">None of the {{ sheet.power.supplies.length }} supplies here suits.</p>
      <div v-if="unsuited">
        <button type="button" class="button button-quiet" :aria-expanded="others" @click="others = !others">
          {{ others ? 'Only those that suit' : `Show the ${unsuited} that do not suit, with why` }}
        </button>
      </div>
      <div v-if="failure" role="alert" class="border-l-4 border-stop bg-stop-wash px-3 py-2">
        <p>{{ failure }}</p>
        <ul class="ml-5 list-disc">
          <li v-for="reason in because" :key="reason">{{ reason }}</li>
        </ul>
      </div>
    </template>
    <AddPanel v-if="session.may('expect-inlet')" v-slot="{ close }" :label="inlet ? 'Change what the inlet needs' : 'Say what its inlet needs'">
      <CommandForm command="expect-inlet" :machine="sheet.tag" :initial="initial" label="What the inlet needs" submit="Save" keeps @done="close()">
        <template #default="{ values }">
          <p v-if="!inlet && brick" class="hint">
            Filled in from “{{ brick.written }}”, which came with it. It may be another machine’s: compare it with the label beside the inlet.
          </p>
          <InletFields :kind="(values.inlet as Inlet).kind" :brick="brick" />
        </template>
      </CommandForm>
    </AddPanel>
  </OneCard>
</template>
