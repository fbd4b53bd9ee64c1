<script setup lang="ts">
import { Dialog, DialogPanel } from '@headlessui/vue'
import { PhCaretLineLeft, PhCaretLineRight } from '~/kernel/signs/icons'
import { useLocalStorage } from '@vueuse/core'
import { benchSheets } from '~/chapters/bench-sheets'

const { connected, lostAt } = useLive()
const times = useTimes()
const bench = useBenchSheets()
const back = useTakeBack()
const saving = useSaving()
const outbox = useOutbox()
bench.sheets.value = benchSheets
const { running } = useRunningStarts()
const changes = useChanges()
const session = useSession()
/** A change that many machines rest on is worked through in slices; fewer are done before anybody could read of it. */
const worthTelling = 200
const settling = computed(() => Object.values(changes.progress).find(p => p.what === 'settling' && p.done < p.of && p.of > worthTelling))
const { submitCommand: confirmClock, busy: confirming, failure: clockFailure } = useCommand('confirm-clock')
const drawer = ref(false)
const help = ref(false)
const folded = useLocalStorage('jolly-bench-shelf-folded', false)
const route = useRoute()
watch(
  () => route.fullPath,
  () => (drawer.value = false),
)

const { active } = listenForShortcuts()
useShortcuts([
  { key: '?', says: 'Show the keys that work here', act: () => (help.value = true) },
  { key: 'u', says: 'Undo what was just saved', act: () => void back.undo() },
  { key: 't', says: 'Open the tool wall', act: () => void navigateTo('/tools') },
])
</script>

<template>
  <div class="min-h-dvh" :data-saving="saving.underWay > 0 || undefined">
    <a href="#place" class="sr-only focus:not-sr-only">Skip to content</a>
    <TopBar @shelf="drawer = true" />
    <p v-if="!connected" role="status" class="no-print border-b border-care bg-care-wash px-4 py-1">
      The connection was lost; looking for it again. What you type is kept.<template v-if="lostAt"> What you see is as of {{ times.moment(lostAt) }}.</template>
    </p>
    <p v-if="outbox.heldByPage.length" role="alert" class="no-print border-b border-stop bg-stop-wash px-4 py-1">
      <strong>This browser cannot keep what waits.</strong> Leave this page open until it is sent, or write it down.
    </p>
    <p v-if="session.clockBehindMinutes" role="alert" class="no-print border-b border-stop bg-stop-wash px-4 py-1">
      <strong>The clock of the bench stands behind its newest entry, by {{ minutesInWords(session.clockBehindMinutes) }}.</strong> Waits, dates and starts are
      not to be relied on until it is put right.
      <button
        v-if="session.may('confirm-clock')"
        type="button"
        class="button"
        :disabled="confirming"
        @click="confirmClock({ minutes: session.clockBehindMinutes })"
      >
        The clock is right now
      </button>
      <span v-if="clockFailure">{{ clockFailure }}</span>
    </p>
    <p v-for="start in running" :key="start.tag" role="status" class="no-print flex flex-wrap items-center gap-x-3 border-b border-stop bg-stop-wash px-4 py-1">
      <strong>A start is running.</strong><TagTape :tag="start.tag" small /><span>At the probe {{ start.atProbe }}, at the switch {{ start.atSwitch }}.</span
      ><NuxtLink :to="`/m/${start.tag}/start`">Open the start</NuxtLink>
    </p>
    <p v-if="settling" role="status" class="no-print hint border-b border-line bg-card px-4 py-1">
      A change is being worked through: {{ settling.done }} of {{ settling.of }} machines looked at again. Sheets are right already; lists follow.
    </p>
    <div class="flex items-start">
      <aside
        class="no-print sticky top-12 hidden h-[calc(100dvh-3rem)] shrink-0 overflow-y-auto border-r border-line wide:block"
        :class="folded ? 'w-12' : 'w-62'"
      >
        <MachineShelf v-show="!folded" />
        <button type="button" class="button button-quiet m-1" :aria-expanded="!folded" @click="folded = !folded">
          <component :is="folded ? PhCaretLineRight : PhCaretLineLeft" aria-hidden="true" /><span :class="folded && 'sr-only'">{{
            folded ? 'Unfold the shelf' : 'Fold away'
          }}</span>
        </button>
      </aside>
      <!-- What is told over the bottom of the page leaves room to bring the last of it in sight. -->
      <main id="place" class="min-w-0 flex-1 p-4" :class="back.offered ? 'pb-20 max-wide:pb-44' : 'max-wide:pb-24'"><slot /></main>
    </div>
    <Dialog :open="drawer" class="relative z-50 wide:hidden" @close="drawer = false">
      <div class="fixed inset-0 bg-ink/40" aria-hidden="true" />
      <DialogPanel class="fixed inset-y-0 left-0 w-72 overflow-y-auto bg-mat">
        <div class="p-2"><LazyMachineFinder /></div>
        <MachineShelf />
        <button type="button" class="button m-2" @click="drawer = false">Close</button>
      </DialogPanel>
    </Dialog>
    <TakeBackLine
      v-if="bench.open.value === undefined"
      class="no-print fixed bottom-4 left-4 wide:left-66 z-30 max-w-[min(36rem,92vw)] shadow-lg max-wide:bottom-[calc(5rem+var(--nailed,0px))]"
    />
    <BenchBar />
    <LazyShortcutHelp v-if="help" v-model:open="help" :shortcuts="active" />
  </div>
</template>
