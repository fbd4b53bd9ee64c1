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
      <div class="grid gap-4">
        <OneCard title="Urgent" hint="What gets worse by waiting, worst first.">
          <EmptyPlace v-if="!urgent.length" says="Nothing known gets worse by waiting." />
          <ol v-else class="grid divide-y divide-line">
            <li v-for="machine in urgent" :key="machine.tag" class="grid gap-1 py-2 first:pt-0">
              <NuxtLink :to="{ path: `/m/${machine.tag}`, query: { stage: 'make-safe' } }" class="flex flex-wrap items-center gap-2 text-ink no-underline"><TagTape :tag="machine.tag" small /><span class="font-semibold underline">{{ named(machine) }}</span><span class="hint">{{ machine.name }}</span><GateSign :verdict="machine.gate" small class="ml-auto" /></NuxtLink>
              <p v-for="found in machine.harm.findings" :key="found.code" class="flex flex-wrap gap-x-2"><LevelSign :level="found.level" /><span>{{ found.says }}</span><span class="hint self-center">{{ found.because.join(' ') }}</span></p>
            </li>
          </ol>
        </OneCard>
        <OneCard title="Waiting" hint="Until when, and for what.">
          <EmptyPlace v-if="!waiting.length" says="Nothing is drying, in the post or waiting for an answer." />
          <ul v-else class="grid divide-y divide-line">
            <li v-for="{ machine, wait } in waiting" :key="wait.id" class="flex flex-wrap items-center gap-x-3 gap-y-1 py-2 first:pt-0">
              <SandGlass :until="wait.until" class="w-24" />
              <NuxtLink :to="{ path: `/m/${machine.tag}`, query: { stage: 'clean' } }" class="flex items-center gap-2"><TagTape :tag="machine.tag" small />{{ named(machine) }}</NuxtLink>
              <span>{{ wait.what }}</span><span class="hint ml-auto">until {{ times.moment(wait.until) }}</span>
            </li>
          </ul>
        </OneCard>
      </div>
      <OneCard title="Next moves" hint="One for each machine on the bench, with its reason.">
        <EmptyPlace v-if="!moves.length" says="Nothing on the bench asks for a move." />
        <ul v-else class="grid divide-y divide-line">
          <li v-for="{ machine, move } in moves" :key="machine.tag" class="grid gap-0.5 py-2 first:pt-0">
            <NuxtLink :to="{ path: `/m/${machine.tag}`, query: { stage: move.stage } }" class="flex items-baseline gap-2 text-ink"><span class="font-semibold">{{ move.says }}</span></NuxtLink>
            <span class="hint">{{ move.why }}</span>
            <span class="flex flex-wrap items-center gap-2 text-sm"><TagTape :tag="machine.tag" small />{{ named(machine) }}<span class="hint ml-auto">{{ stageNames[move.stage] }} · {{ move.who }}</span></span>
          </li>
        </ul>
      </OneCard>
    </div>
  </div>
</template>
