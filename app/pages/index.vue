<script setup lang="ts">
import { PhPlus } from '~/kernel/signs/icons'
import { stageNames } from '#core/kernel/stages'
import { waitedWords } from '#core/safety/growing-harm'
import { daysBetween } from '#core/kernel/days'
import type { MachineSummary } from '#shared/kernel/machine'

useHead({ title: 'Today' })
const session = useSession()
const times = useTimes()
const clock = useClock()
const { today, trouble } = useToday()
const waitedOf = (machine: MachineSummary) => waitedWords(daysBetween(machine.bookedInAt, clock.now.toISOString()))
const { evening } = useEvening()
const urgent = reactive(useFirstFew(() => today.value?.urgent.rows, { phone: 3, wide: Infinity }))
const moves = reactive(useFirstFew(() => today.value?.moves.rows, { phone: 4, wide: Infinity }))
const named = (m: { nickname: string; name: string }) => m.nickname || m.name
</script>

<template>
  <div class="grid gap-4">
    <header class="flex flex-wrap items-center justify-between gap-2">
      <div>
        <h1>Today</h1>
        <p class="text-ink-2">{{ session.collection?.name }}</p>
      </div>
      <NuxtLink v-if="session.may('book-in')" to="/book-in" class="button button-main"><PhPlus aria-hidden="true" />Book in a machine</NuxtLink>
    </header>
    <p v-if="!today" role="status" class="hint">{{ trouble || 'Fetching the bench…' }}</p>
    <EmptyPlace
      v-else-if="!today.machines"
      says="No machines yet. Once one is booked in, what is urgent, what is waiting and what to do next will appear here."
    >
      <NuxtLink v-if="session.may('book-in')" to="/book-in" class="button">Book in the first one</NuxtLink>
    </EmptyPlace>
    <template v-else>
      <TonightCard />
      <div class="grid items-start gap-4 xl:grid-cols-[3fr_2fr]">
        <OneCard title="Urgent" hint="What gets worse by waiting, worst first.">
          <EmptyPlace v-if="!today.urgent.rows.length" says="Nothing known gets worse by waiting." />
          <ol v-else class="grid divide-y divide-line">
            <li v-for="machine in urgent.shown" :key="machine.tag" class="grid gap-0.5 py-2 first:pt-0">
              <div class="flex flex-wrap items-center gap-2">
                <TagTape :tag="machine.tag" small /><NuxtLink
                  :to="{ path: `/m/${machine.tag}`, query: { stage: 'make-safe' } }"
                  class="font-semibold text-ink"
                  >{{ named(machine) }}</NuxtLink
                ><span class="hint">{{ machine.name }}</span
                ><GateSign :verdict="machine.gate" :overruled="machine.overruled" small class="ml-auto" />
              </div>
              <div v-for="found in machine.harm.findings" :key="found.code" class="grid grid-cols-[4.25rem_1fr] gap-x-2">
                <LevelSign :level="found.level" /><span
                  >{{ found.says }} <span class="hint">{{ [...found.because, waitedOf(machine)].join(' ') }}</span></span
                >
              </div>
            </li>
          </ol>
          <ShowAll v-model="urgent.all" :count="urgent.count" :few="urgent.few" />
          <p v-if="today.urgent.total > today.urgent.rows.length" class="pt-2">
            <NuxtLink :to="{ path: '/store', query: { sort: 'harm' } }">{{ today.urgent.total - today.urgent.rows.length }} more in the store</NuxtLink>
          </p>
        </OneCard>
        <div class="grid gap-4">
          <OneCard title="Waiting">
            <EmptyPlace v-if="!today.waiting.rows.length" says="Nothing is drying, in the post or waiting for an answer." />
            <ul v-else class="grid divide-y divide-line">
              <li v-for="wait in today.waiting.rows" :key="wait.id" class="grid gap-0.5 py-1.5 first:pt-0">
                <div class="flex flex-wrap items-center gap-2">
                  <SandGlass :until="wait.until" class="w-26" /><TagTape :tag="wait.tag" small /><NuxtLink
                    :to="{ path: `/m/${wait.tag}`, query: { stage: 'clean' } }"
                    class="text-ink"
                    >{{ named(wait) }}</NuxtLink
                  >
                </div>
                <p class="text-[0.9375rem]">
                  <span class="inline-block first-letter:uppercase">{{ wait.what }}</span> <span class="hint">until {{ times.moment(wait.until) }}</span>
                </p>
              </li>
            </ul>
            <p v-if="today.waiting.total > today.waiting.rows.length" class="hint pt-2">
              {{ today.waiting.total - today.waiting.rows.length }} more wait for longer.
            </p>
          </OneCard>
          <DueCard />
          <DueBack />
          <BookedSoon />
          <OneCard v-if="evening && !evening.dealtAt" title="Next moves" hint="One for each machine on the bench.">
            <EmptyPlace v-if="!today.moves.rows.length" says="Nothing on the bench asks for a move." />
            <ul v-else class="grid divide-y divide-line">
              <li v-for="machine in moves.shown" :key="machine.tag" class="grid gap-0.5 py-2 first:pt-0">
                <NuxtLink :to="{ path: `/m/${machine.tag}`, query: { stage: machine.moves[0]!.stage } }" class="font-semibold text-ink">{{
                  machine.moves[0]!.says
                }}</NuxtLink>
                <span class="flex flex-wrap items-center gap-x-2"><TagTape :tag="machine.tag" small />{{ named(machine) }}</span>
                <span class="hint">{{ machine.moves[0]!.why }} {{ stageNames[machine.moves[0]!.stage] }}, by {{ machine.moves[0]!.who }}.</span>
              </li>
            </ul>
            <ShowAll v-model="moves.all" :count="moves.count" :few="moves.few" />
            <p v-if="today.moves.total > today.moves.rows.length" class="pt-2">
              <NuxtLink :to="{ path: '/store', query: { bench: 'on', sort: 'harm' } }"
                >{{ today.moves.total - today.moves.rows.length }} more machines on the bench</NuxtLink
              >
            </p>
          </OneCard>
        </div>
      </div>
    </template>
  </div>
</template>
