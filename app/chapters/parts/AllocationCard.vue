<script setup lang="ts">
import { counted } from '#core/kernel/figure'
import { heldPlaces, isOnItsWay, partConditions } from '#core/parts/ledger'
import { verdictLevel, verdictSays } from '#core/parts/substitute/substitute'
import OrderPlaced from './OrderPlaced.vue'
import type { AllocationView, UnlockView } from '#shared/chapters/parts/index'

/** Who gets what, so that most comes to life: with why, what the others lack, and what should be bought. Accepted whole, or line by line. */
const session = useSession()
const times = useTimes()
const { found, trouble } = useCollection<{ allocation: AllocationView }>(['allocation'], '/api/parts/allocation')
const allocation = computed(() => found.value?.allocation)
type Line = AllocationView['gives'][number]
const keyOf = (line: Line) => `${line.heldId}.${line.partId}`
const left = ref<string[]>([])
const may = (line: Line) => !isOnItsWay(line)
const chosen = computed(() => allocation.value?.gives.filter(line => may(line) && !left.value.includes(keyOf(line))) ?? [])
const turn = (line: Line) => (left.value = left.value.includes(keyOf(line)) ? left.value.filter(key => key !== keyOf(line)) : [...left.value, keyOf(line)])
const { submitCommand: accept, busy, failure, because, stale } = useCommand('accept-allocation')
const acceptChosen = () => accept({ lines: chosen.value.map(({ partId, heldId, version, count }) => ({ partId, heldId, version, count })) })

const api = useApi()
const {
  answer: buys,
  busy: weighing,
  failure: notWeighed,
  start: weigh,
  stop,
} = useAsked(signal => api.get<{ one: UnlockView | null; two: UnlockView | null }>('/api/parts/allocation', { buys: 'yes' }, signal))
const where = (line: Line) => [heldPlaces[line.at], ...(line.lies ? [line.lies] : []), partConditions[line.condition].toLowerCase()].join(', ')
const today = times.dayOf(new Date())
const expected = ({ dueBy }: Line) => (dueBy ? `${dueBy < today ? 'It should have been here by' : 'Expected by'} ${times.day(dueBy)}.` : '')
const named = (m: { tag: string; machine: string }) => `${m.machine} (${m.tag})`
const lacksOf = ({ name, short, wentTo }: AllocationView['refused'][number]['lacks'][number]) =>
  `${short} × ${name}${wentTo.length ? `, which ${wentTo.map(m => `${m.machine}, of weight ${m.weight},`).join(' and ')} gets` : ''}`
const bought = ({ buys, cost }: UnlockView) =>
  buys.map(b => `${b.units} × ${b.name}`).join(' and ') + (cost === null ? ', of which nobody knows the price' : `, for ${cost.toFixed(2)}`)
const ordered = ({ buys, machines }: UnlockView) =>
  buys.map(({ name, kind, spec, units, cost }) => ({
    name,
    kind,
    spec,
    count: units,
    unitPrice: cost === null ? null : cost / units,
    note: machines.length ? `For ${machines.map(m => m.tag).join(', ')}`.slice(0, 300) : '',
  }))
const twoIsMore = computed(() => buys.value?.two && (buys.value.two.buys.length > 1 || !buys.value.one))
</script>

<template>
  <OneCard
    title="Who gets what"
    hint="The parts at hand, given so that as much as can comes to life, by what each machine is worth to the house (its appraisal)."
  >
    <p v-if="trouble" role="alert" class="text-stop">{{ trouble }}</p>
    <p v-else-if="!allocation" role="status" class="hint">Weighing…</p>
    <template v-else>
      <EmptyPlace v-if="!allocation.gives.length" says="Nothing at hand serves what a start or a function waits for." />
      <template v-else>
        <p v-if="allocation.alive.length">
          <strong>{{ counted(allocation.alive.length, 'machine') }}</strong> can be started by it:
          {{ allocation.alive.map(m => `${named(m)}, weight ${m.weight}`).join('; ') }}.
        </p>
        <ul class="grid divide-y divide-line border-y border-line">
          <li v-for="line in allocation.gives" :key="keyOf(line)" class="grid gap-1 py-2">
            <label class="flex items-start gap-3">
              <input
                v-if="session.may('accept-allocation') && may(line)"
                type="checkbox"
                class="mt-0.5 size-5"
                :checked="!left.includes(keyOf(line))"
                @change="turn(line)"
              />
              <span
                ><span class="figure">{{ line.count }} ×</span> <span class="font-semibold">{{ line.held }}</span>
                <span class="hint ml-2">{{ where(line) }}</span></span
              >
            </label>
            <p class="flex flex-wrap items-baseline gap-x-3">
              <span>for</span><TagTape :tag="line.tag" small /><NuxtLink :to="{ path: `/m/${line.tag}`, query: { stage: 'mend' } }">{{ line.machine }}</NuxtLink
              ><span>{{ line.need }}</span
              ><LevelSign :level="verdictLevel[line.verdict]" /><span class="hint">{{ verdictSays[line.verdict] }}. {{ line.says }}</span>
            </p>
            <p v-if="line.late" class="flex flex-wrap items-baseline gap-x-2">
              <LevelSign level="care" />Too late: wanted by {{ times.day(line.wantedBy!) }}. {{ expected(line) }}
            </p>
            <p v-if="!may(line)" class="hint">{{ line.late ? '' : expected(line) }} It is given out once it has arrived and was looked at.</p>
          </li>
        </ul>
        <div v-if="session.may('accept-allocation')" class="flex flex-wrap items-center gap-3">
          <button type="button" class="button button-main" :disabled="busy || !chosen.length" @click="acceptChosen">
            {{ busy ? 'Saving…' : `Set aside ${counted(chosen.length, 'line')}` }}
          </button>
          <span class="hint">Each is set aside for its machine, and can be taken back there.</span>
        </div>
        <div v-if="failure || stale" role="alert" class="text-stop">
          <p>{{ failure || stale?.message }}</p>
          <p v-for="reason in because" :key="reason">{{ reason }}</p>
        </div>
      </template>
      <template v-if="allocation.refused.length">
        <h3>Not by what is at hand</h3>
        <ul class="grid gap-1">
          <li v-for="m in allocation.refused" :key="m.tag">
            <NuxtLink :to="{ path: `/m/${m.tag}`, query: { stage: 'mend' } }" class="font-semibold">{{ m.machine }}</NuxtLink><span class="hint"
              >, weight {{ m.weight }}</span
            >: lacks {{ m.lacks.map(lacksOf).join('; ') || 'more than can be told apart: what it shares goes where it is worth more' }}.
          </li>
        </ul>
      </template>
      <p v-if="allocation.asks.length" class="text-care">Their owners are asked first: {{ allocation.asks.map(named).join(', ') }}.</p>
      <h3>What should be bought</h3>
      <WorkPress label="What brings most for its money?" :busy="weighing" :failure="notWeighed" @start="weigh" @stop="stop" />
      <div v-if="buys" role="status" class="grid gap-1">
        <p v-if="!buys.one && !buys.two">No one or two purchases bring another machine or function.</p>
        <p v-if="buys.one">
          <strong>One purchase:</strong> {{ bought(buys.one)
          }}{{ buys.one.machines.length ? `; it starts ${buys.one.machines.map(named).join(', ')}` : '; a function comes back' }}.
        </p>
        <OrderPlaced v-if="buys.one" supplier="" :lines="ordered(buys.one)" @done="weigh" />
        <p v-if="buys.two && twoIsMore">
          <strong>Two together:</strong> {{ bought(buys.two)
          }}{{ buys.two.machines.length ? `; they start ${buys.two.machines.map(named).join(', ')}` : '; functions come back' }}.
        </p>
        <p v-else-if="buys.one" class="hint">No two together bring more for their money.</p>
      </div>
    </template>
  </OneCard>
</template>
