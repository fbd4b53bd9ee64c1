<script setup lang="ts">
import { PhPlus } from '@phosphor-icons/vue'
import { stageNames } from '#core/planning/stages'
import type { MachineSummary } from '#shared/contracts/views'

useHead({ title: 'Today' })
const machines = useMachines()
const session = useSession()
const times = useTimes()

const urgent = computed(() => machines.list.filter(m => m.harm.rank > 0).sort((a, b) => b.harm.rank - a.harm.rank))
const waiting = computed(() => machines.list.flatMap(m => m.waits.map(wait => ({ machine: m, wait }))).sort((a, b) => a.wait.until.localeCompare(b.wait.until)))
const moves = computed(() => machines.onBench.filter(m => m.moves.length).map(m => ({ machine: m, move: m.moves[0]! })))
const named = (m: MachineSummary) => m.nickname || m.name
</script>

<template>
  <div class="grid gap-4">
    <header class="flex flex-wrap items-center justify-between gap-2">
      <div><h1>Today</h1><p class="text-ink-2">{{ session.collection?.name }}</p></div>
      <NuxtLink v-if="session.may('book-in')" to="/book-in" class="button button-main"><PhPlus aria-hidden="true" />Book in a machine</NuxtLink>
    </header>
    <p v-if="!machines.listed" role="status" class="hint">{{ machines.failure || 'Fetching the bench…' }}</p>
    <EmptyPlace v-else-if="!machines.list.length" says="No machine yet. Once one is booked in, what is urgent, what is waiting and what to do next stand here.">
      <NuxtLink v-if="session.may('book-in')" to="/book-in" class="button">Book in the first one</NuxtLink>
    </EmptyPlace>
    <div v-else class="grid items-start gap-4 xl:grid-cols-[3fr_2fr]">
      <OneCard title="Urgent" hint="What gets worse by waiting, worst first.">
        <EmptyPlace v-if="!urgent.length" says="Nothing known gets worse by waiting." />
        <ol v-else class="grid divide-y divide-line">
          <li v-for="machine in urgent" :key="machine.tag" class="grid gap-0.5 py-2 first:pt-0">
            <div class="flex flex-wrap items-center gap-2"><TagTape :tag="machine.tag" small /><NuxtLink :to="{ path: `/m/${machine.tag}`, query: { stage: 'make-safe' } }" class="font-semibold text-ink">{{ named(machine) }}</NuxtLink><span class="hint">{{ machine.name }}</span><GateSign :verdict="machine.gate" :overruled="machine.overruled" small class="ml-auto" /></div>
            <div v-for="found in machine.harm.findings" :key="found.code" class="grid grid-cols-[4.25rem_1fr] gap-x-2"><LevelSign :level="found.level" /><span>{{ found.says }} <span class="hint">{{ found.because.join(' ') }}</span></span></div>
          </li>
        </ol>
      </OneCard>
      <div class="grid gap-4">
        <OneCard title="Waiting">
          <EmptyPlace v-if="!waiting.length" says="Nothing is drying, in the post or waiting for an answer." />
          <ul v-else class="grid divide-y divide-line">
            <li v-for="{ machine, wait } in waiting" :key="wait.id" class="grid gap-0.5 py-1.5 first:pt-0">
              <div class="flex flex-wrap items-center gap-2"><SandGlass :until="wait.until" class="w-26" /><TagTape :tag="machine.tag" small /><NuxtLink :to="{ path: `/m/${machine.tag}`, query: { stage: 'clean' } }" class="text-ink">{{ named(machine) }}</NuxtLink></div>
              <p class="text-[0.9375rem]"><span class="inline-block first-letter:uppercase">{{ wait.what }}</span> <span class="hint">until {{ times.moment(wait.until) }}</span></p>
            </li>
          </ul>
        </OneCard>
        <OneCard title="Next moves" hint="One for each machine on the bench.">
          <EmptyPlace v-if="!moves.length" says="Nothing on the bench asks for a move." />
          <ul v-else class="grid divide-y divide-line">
            <li v-for="{ machine, move } in moves" :key="machine.tag" class="grid gap-0.5 py-2 first:pt-0">
              <NuxtLink :to="{ path: `/m/${machine.tag}`, query: { stage: move.stage } }" class="font-semibold text-ink">{{ move.says }}</NuxtLink>
              <span class="flex flex-wrap items-center gap-x-2"><TagTape :tag="machine.tag" small />{{ named(machine) }}</span>
              <span class="hint">{{ move.why }} {{ stageNames[move.stage] }}, by {{ move.who }}.</span>
            </li>
          </ul>
        </OneCard>
      </div>
    </div>
  </div>
</template>
