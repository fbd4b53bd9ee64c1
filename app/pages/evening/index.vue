<script setup lang="ts">
import { PhPrinter } from '~/kernel/signs/icons'
import { gateWords } from '#core/safety/gate-words'
import { stageNames } from '#core/kernel/stages'

/** The evening on paper, one person a page: boxes to tick, and room for what was found. */
const times = useTimes()
const session = useSession()
const { evening, trouble, hands, jobsOf } = useEvening()
useHead({ title: 'Sheet of the evening' })
const withJobs = computed(() => hands.value.filter(h => jobsOf(h.id).length))
/** What was begun on an earlier evening carries its date. */
const when = (at: string) => (times.day(at) === times.day(evening.value!.dealtAt ?? new Date().toISOString()) ? times.clock(at) : times.moment(at))
const print = () => window.print()
</script>

<template>
  <div class="grid max-w-3xl gap-4">
    <div class="no-print flex flex-wrap items-center gap-3">
      <NuxtLink to="/">Back to Today</NuxtLink
      ><button v-if="withJobs.length" type="button" class="button button-main" @click="print"><PhPrinter aria-hidden="true" />Print, one person a page</button>
    </div>
    <p v-if="!evening" role="status" class="hint">{{ trouble || 'Fetching the evening…' }}</p>
    <EmptyPlace v-else-if="!withJobs.length" says="Nothing has been dealt out yet. Say on Today who is here, and deal the evening out." />
    <article
      v-for="hand in withJobs"
      :key="hand.id"
      class="sheet-page grid gap-3 border border-line bg-white p-6 text-black print:border-0 print:p-0"
      :aria-label="`Sheet of ${hand.name}`"
    >
      <header class="flex flex-wrap items-baseline justify-between gap-3">
        <h1>{{ hand.name }}</h1>
        <p>{{ session.collection?.name }}, {{ times.day(evening!.dealtAt ?? new Date().toISOString()) }}</p>
      </header>
      <ol class="grid gap-4">
        <li v-for="job in jobsOf(hand.id)" :key="job.id" class="grid break-inside-avoid grid-cols-[1.5rem_1fr] gap-x-3 border-t border-gray-400 pt-2">
          <span class="mt-1 h-5 w-5 border-2 border-black" aria-hidden="true"><span v-if="job.state === 'done'">✓</span></span>
          <div class="grid gap-1">
            <p class="flex flex-wrap items-baseline gap-x-3">
              <span v-if="job.startedAt ?? job.startsAt" class="figure">{{ when((job.startedAt ?? job.startsAt)!) }}</span><strong>{{ job.says }}</strong
              ><span>{{ job.guessMinutes }} min</span>
            </p>
            <p>
              <TagTape :tag="job.tag" small /> {{ job.nickname || job.name }}{{ job.nickname && `, ${job.name}` }}, {{ job.place || 'place not known' }};
              {{ stageNames[job.stage] }}
            </p>
            <p>
              <strong>Gate when this was printed: {{ gateWords[job.gate].title.toLowerCase() }}{{ job.overruled ? ', overruled' : '' }}.</strong> Look again
              before power.
            </p>
            <p>{{ job.why }}</p>
            <p v-if="job.pair">It takes two: {{ job.hands[0]?.name }} at the switch, {{ job.hands[1]?.name }} at the probe.</p>
            <p v-if="job.note">From before: {{ job.note }}</p>
            <p v-for="beside in job.notesBeside" :key="beside.says">{{ beside.by }} left a note with “{{ beside.says }}”: {{ beside.note }}</p>
            <p class="h-14 border-b border-dotted border-gray-500 text-sm text-gray-600">Found:</p>
          </div>
        </li>
      </ol>
      <p class="text-sm">Your local codes and licensed or trained people decide. This sheet says what was on record, not that anything is safe.</p>
    </article>
  </div>
</template>

<style scoped>
@media print {
  .sheet-page + .sheet-page {
    break-before: page;
  }
}
</style>
