<script setup lang="ts">
import type { Stage } from '#core/kernel/stages'
import type { SheetHead } from '#shared/kernel/machine'

/** What to do next with this machine, each with its reason and who can do it; then what is being waited for. */
const props = defineProps<{ sheet: SheetHead; viewed: Stage }>()
/** What would open the gate stands in the gate's own card while that is open. */
const saidThere = (move: SheetHead['moves'][number]) => props.viewed === 'make-safe' && (move.band === 'keeps-off' || move.band === 'guarded')
const moves = computed(() => props.sheet.moves.filter(m => !saidThere(m)))
const { all, few, shown } = useFirstFew(() => moves.value, { phone: 2, wide: 4 })
const elsewhere = computed(() => props.sheet.moves.length - moves.value.length)
const session = useSession()
const { submitCommand: start, busy, failure } = useCommand('start-job', () => props.sheet.tag)
/** Alone one begins what takes one; who is with somebody at a start is said on Today. */
const mayBegin = (move: SheetHead['moves'][number]) =>
  session.may('start-job') &&
  !move.pair &&
  session.has(move.skill) &&
  !props.sheet.inHand.length &&
  (!move.coordinator || session.person?.role === 'coordinator')
</script>

<template>
  <OneCard title="Next moves">
    <ul v-if="sheet.inHand.length" class="grid gap-2">
      <li v-for="job in sheet.inHand" :key="job.jobId" class="grid gap-1 border-l-4 border-note bg-note-wash px-2 py-1">
        <p>
          <strong>{{ job.by }}</strong> has in hand: {{ job.says }}
        </p>
        <div class="flex flex-wrap gap-1"><LazyJobInHand :tag="sheet.tag" :job-id="job.jobId" :says="job.says" :finds="job.finds" /></div>
      </li>
    </ul>
    <ul v-if="sheet.handedOn.length" class="grid gap-2">
      <li v-for="job in sheet.handedOn" :key="job.jobId" class="border-l-4 border-note px-2">
        <p>{{ job.note }}</p>
        <p class="hint">{{ job.by }} on: {{ job.says }}</p>
      </li>
    </ul>
    <EmptyPlace v-if="!sheet.moves.length" :says="sheet.waits.length ? 'Nothing to do until the wait is over.' : 'Nothing is left to do.'" />
    <ol v-else-if="moves.length" class="grid divide-y divide-line">
      <li v-for="move in shown" :key="move.code + move.says" class="py-2 first:pt-0">
        <NuxtLink :to="{ query: { ...placeOf(move) } }" class="block min-h-6 font-semibold text-ink">{{ move.says }}</NuxtLink>
        <details>
          <summary class="hint min-h-6 cursor-pointer">By {{ move.who }}</summary>
          <p class="hint">{{ move.why }} <WhoCould :skill="move.skill" /></p>
          <button v-if="mayBegin(move)" type="button" class="button mt-1 wide:min-h-8!" :disabled="busy" @click="start({ code: move.code, says: move.says })">
            I take this in hand
          </button>
        </details>
      </li>
    </ol>
    <p v-if="failure" role="alert" class="text-stop">{{ failure }}</p>
    <p v-if="elsewhere" class="hint">
      {{ elsewhere }} {{ moves.length ? 'more ' : '' }}{{ elsewhere === 1 ? 'is' : 'are' }} listed under “What would open it”.
    </p>
    <ShowAll v-model="all" :count="moves.length" :few="few" />
    <ul v-if="sheet.waits.length" class="grid gap-1 border-t border-line pt-2">
      <li v-for="wait in sheet.waits" :key="wait.id" class="flex gap-2">
        <SandGlass :until="wait.until" /><span class="hint">{{ wait.what }}</span>
      </li>
    </ul>
  </OneCard>
</template>
