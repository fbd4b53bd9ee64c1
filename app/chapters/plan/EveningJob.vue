<script setup lang="ts">
import { PhCaretRight, PhPlay } from '~/kernel/signs/icons'
import { sameEvening } from '#core/planning/evening-day'
import type { EveningJobView } from '#shared/chapters/plan/index'

/** One job of the evening: what, on which machine, how long; begun, done, or handed on with a note. */
const props = defineProps<{ job: EveningJobView }>()
const session = useSession()
const times = useTimes()
const clock = useClock()
const open = ref(false)
const { submitCommand: start, busy: starting, failure: notStarted } = useCommand('start-job', () => props.job.tag)
const mine = computed(() => props.job.hands.some(h => h.id === session.person?.id))
const others = computed(() => props.job.hands.filter(h => h.id !== session.person?.id))
const running = computed(() => (props.job.startedAt ? Math.max(0, Math.floor((clock.now.getTime() - Date.parse(props.job.startedAt)) / 60_000)) : 0))
/** Begun on an earlier evening, and nobody has said since what became of it. */
const leftOpen = computed(
  () => props.job.state === 'in-hand' && props.job.startedAt !== null && !sameEvening(props.job.startedAt, clock.now.toISOString(), times.zone.value),
)
const begin = () => start({ code: props.job.code, says: props.job.says, withId: mine.value || !props.job.pair ? null : (others.value[0]?.id ?? null) })
</script>

<template>
  <li class="grid gap-1 py-2" :class="job.state === 'done' && 'text-ink-2'">
    <div class="flex flex-wrap items-center gap-x-2">
      <span v-if="job.state === 'dealt' && job.startsAt" class="figure text-sm">{{ times.clock(job.startsAt) }}</span>
      <TagTape :tag="job.tag" small />
      <GateSign :verdict="job.gate" :overruled="job.overruled" small class="ml-auto whitespace-nowrap" />
    </div>
    <p>
      <NuxtLink :to="{ path: `/m/${job.tag}`, query: { ...placeOf(job) } }" class="text-ink">{{ job.nickname || job.name }}</NuxtLink>:
      <span class="font-semibold">{{ job.says }}</span>
      <span class="hint whitespace-nowrap">
        <template v-if="job.state === 'done'"
          >&ensp;{{ job.takenMinutes ? `done in ${job.takenMinutes} min` : 'done; how long it took is not known' }}, guessed {{ job.guessMinutes }}</template
        >
        <template v-else-if="job.state === 'in-hand' && !leftOpen">&ensp;for {{ running }} of {{ job.guessMinutes }} min</template>
        <template v-else>&ensp;{{ job.guessMinutes }} min</template></span
      >
    </p>
    <p v-if="leftOpen" class="border-l-4 border-care bg-care-wash px-2 text-[0.9375rem]">
      Begun {{ times.moment(job.startedAt!) }}, and still in hand: was it done, or does somebody go on?
    </p>
    <p v-if="job.pair" class="text-sm">It takes two: {{ job.hands[0]?.name ?? 'one' }} at the switch, {{ job.hands[1]?.name ?? 'one' }} at the probe.</p>
    <p v-if="job.note && job.state !== 'done'" class="border-l-4 border-note bg-note-wash px-2 text-[0.9375rem]">{{ job.note }}</p>
    <div v-if="job.state !== 'done'" class="flex flex-wrap items-center gap-x-1">
      <LazyJobInHand v-if="job.state === 'in-hand'" :tag="job.tag" :job-id="job.id" :says="job.says" :finds="job.finds">
        <button type="button" class="button button-quiet wide:min-h-8! font-normal!" :aria-expanded="open" @click="open = !open">
          <PhCaretRight aria-hidden="true" :class="open && 'rotate-90'" />Why
        </button>
      </LazyJobInHand>
      <template v-else>
        <button v-if="session.may('start-job')" type="button" class="button wide:min-h-8!" :disabled="starting" @click="begin">
          <PhPlay aria-hidden="true" />{{ mine || !job.hands.length ? 'Start' : 'Take it over' }}<span class="sr-only">{{ ` ${job.says}` }}</span>
        </button>
        <button type="button" class="button button-quiet wide:min-h-8! font-normal!" :aria-expanded="open" @click="open = !open">
          <PhCaretRight aria-hidden="true" :class="open && 'rotate-90'" />Why
        </button>
      </template>
    </div>
    <div v-if="open" class="hint">
      <p>{{ job.why }}</p>
      <p v-for="fact in job.because" :key="fact">{{ fact }}</p>
      <p>{{ job.guessMinutes }} minutes, {{ job.basis }}.</p>
    </div>
    <p v-if="notStarted" role="alert" class="text-stop">{{ notStarted }}</p>
  </li>
</template>
