<script setup lang="ts">
import { counted } from '#core/kernel/figure'
import type { SessionPlace } from '#shared/chapters/people/index'

/** Who is signed in where, and the end of it. */
const session = useSession()
const times = useTimes()
const { found, trouble } = useCollection<{ sessions: SessionPlace[]; openPages: number }>(['sessions'], '/api/sessions')
const { submitCommand: end, busy, failure } = useCommand('end-session')
const everybody = computed(() => session.person?.role === 'coordinator')
/** What a browser says of itself, in a word: those of phones and tablets say so. */
const deviceOf = (browser: string) =>
  /Mobi/.test(browser) ? 'a phone' : /Tablet|Touch/.test(browser) ? 'a tablet' : /Mozilla/.test(browser) ? 'a computer' : 'a program'
</script>

<template>
  <OneCard
    title="Signed in"
    beside
    :result="found && counted(found.sessions.length, 'browser')"
    :hint="everybody ? 'Everybody, and where. Ending a session signs that browser out.' : 'Where you are signed in.'"
  >
    <p v-if="!found" role="status" class="hint">{{ trouble || 'Fetching…' }}</p>
    <ul v-else class="grid divide-y divide-line border-y border-line">
      <li v-for="one in found.sessions" :key="one.uid" class="flex flex-wrap items-center gap-x-3 py-1">
        <span v-if="everybody" class="font-semibold">{{ one.name }}</span>
        <span :title="one.browser">on {{ deviceOf(one.browser) }}</span>
        <span class="hint">since {{ times.moment(one.openedAt) }}, seen {{ times.moment(one.seenAt) }}</span>
        <span v-if="one.here" class="ml-auto font-semibold">This one</span>
        <button v-else type="button" class="button button-quiet ml-auto wide:min-h-8!" :disabled="busy" @click="end({ session: one.uid })">
          End it <span class="sr-only">for {{ one.name }}, on {{ deviceOf(one.browser) }}</span>
        </button>
      </li>
    </ul>
    <p v-if="found && everybody" class="hint">{{ found.openPages === 1 ? 'One page is open just now.' : `${found.openPages} pages are open just now.` }}</p>
    <p v-if="failure" role="alert" class="text-stop">{{ failure }}</p>
  </OneCard>
</template>
