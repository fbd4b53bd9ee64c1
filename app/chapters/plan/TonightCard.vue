<script setup lang="ts">
import { PhPrinter, PhShuffle } from '~/kernel/signs/icons'

/** The evening: who is here, what each does, and why; what nobody could take, with its reason. */
const session = useSession()
const times = useTimes()
const { evening, trouble, here, hands, jobs, jobsOf, nobodys, isHere } = useEvening()
const { submitCommand: deal, busy, failure } = useCommand('deal-evening')
const done = computed(() => jobs.value.filter(j => j.state === 'done').length)
const hint = computed(() =>
  !evening.value?.dealtAt
    ? 'Say who is here and until when; then the jobs can be dealt out.'
    : evening.value.changedSince.length
      ? `${evening.value.changedSince.join(', ')} came or went since it was dealt at ${times.clock(evening.value.dealtAt)}.`
      : `Dealt at ${times.clock(evening.value.dealtAt)}; ${done.value} of ${jobs.value.length} done.`,
)
defineExpose({ evening })
</script>

<template>
  <OneCard title="Tonight" :hint="evening ? hint : undefined">
    <template #aside>
      <div v-if="evening" class="flex flex-wrap gap-1">
        <NuxtLink v-if="jobs.length" to="/evening" class="button button-quiet"><PhPrinter aria-hidden="true" />Sheet to print</NuxtLink>
        <NuxtLink v-if="jobs.length" :to="`/evening/${evening.day}`" class="button button-quiet">How it went</NuxtLink>
        <button
          v-if="here.length && session.may('deal-evening')"
          type="button"
          class="button"
          :class="{ 'button-main': !evening.dealtAt || evening.changedSince.length > 0 }"
          :disabled="busy"
          @click="deal({})"
        >
          <PhShuffle aria-hidden="true" />{{ busy ? 'Dealing…' : evening.dealtAt ? 'Deal out again' : 'Deal out the jobs' }}
        </button>
      </div>
    </template>
    <p v-if="!evening" role="status" class="hint">{{ trouble || 'Fetching the evening…' }}</p>
    <template v-else>
      <WhoIsHere :here="here" :dealt="evening.dealtAt !== null" />
      <p v-if="failure" role="alert" class="text-stop">{{ failure }}</p>
      <div v-if="jobs.length" class="grid items-start gap-x-5 gap-y-3 md:grid-cols-2 xl:grid-cols-3">
        <section
          v-for="hand in hands"
          :key="hand.id"
          class="min-w-0 border-t-2 border-ink-2 pt-1"
          :class="hand.id === session.person?.id && 'border-enamel!'"
          :aria-label="hand.id === session.person?.id ? 'My jobs' : `Jobs of ${hand.name}`"
        >
          <h3>{{ hand.id === session.person?.id ? 'Mine' : hand.name }}</h3>
          <p v-if="!jobsOf(hand.id).length" class="hint py-2">No jobs here: see what is left over.</p>
          <ol class="grid divide-y divide-line">
            <EveningJob v-for="job in jobsOf(hand.id)" :key="job.id" :job="job" />
          </ol>
        </section>
        <section v-if="nobodys.length" class="min-w-0 border-t-2 border-note pt-1" aria-label="Handed on">
          <h3>Handed on, nobody’s yet</h3>
          <ol class="grid divide-y divide-line">
            <EveningJob v-for="job in nobodys" :key="job.id" :job="job" />
          </ol>
        </section>
      </div>
      <p v-else-if="isHere && !evening.dealtAt" class="hint">
        No jobs given out yet. What is in hand, what was handed over and what each person could do will appear here.
      </p>
      <details v-if="evening.dealtAt">
        <summary class="cursor-pointer">
          <span class="font-semibold">Left over ({{ evening.left.length }})</span> and how it was dealt
        </summary>
        <div class="grid gap-2 pt-2">
          <ul v-if="evening.left.length" class="grid divide-y divide-line border-y border-line">
            <li v-for="one in evening.left" :key="one.tag + one.says" class="flex flex-wrap items-baseline gap-x-2 py-1">
              <TagTape :tag="one.tag" small /><NuxtLink :to="`/m/${one.tag}`" class="text-ink">{{ one.name }}</NuxtLink
              ><span>{{ one.says }}</span
              ><span class="hint">{{ one.why }}</span>
            </li>
          </ul>
          <p class="hint">
            First each start gets its two people; then everybody gets one job a round, up to four, and each round is the best of all ways to give it: what gets
            worse or blocks first, then waits that end tonight, what was handed on, who knows the machine, and the same place. Somebody with a rare skill is
            kept free for what takes it. A machine is in one hand. {{ evening.ratio }}
          </p>
        </div>
      </details>
    </template>
  </OneCard>
</template>
