<script setup lang="ts">
import { PhPrinter } from '~/kernel/signs/icons'

/** A probe sheet: one pair at a time, what the nets are by now, all checks for paper. */
const route = useRoute()
const session = useSession()
const tag = computed(() => String(route.params.tag))
const { sheet, trouble, check, at, typed, beyond, last, busy, failure, notTaken, next, send } = useProbing(
  () => tag.value,
  () => Number(route.params.id),
)
const { submitCommand: askAgain, failure: notAsked } = useCommand('ask-probe-again', () => tag.value)
useHead({ title: () => (sheet.value ? `Probing ${sheet.value.title}` : 'Probe sheet') })
const may = computed(() => session.may('answer-probe'))
watch(
  () => sheet.value?.id,
  id => id !== undefined && may.value && !sheet.value!.endedAt && void next(),
  { immediate: true },
)
async function again(checkId: number) {
  const { result } = await askAgain({ checkId, why: 'Doubted by the person who probed it' })
  if (result !== undefined) await next()
}
/** Parts that the sheet asks most, for their charts. */
const partsOf = computed(() => {
  const asked = (sheet.value?.checks ?? []).flatMap(c => [c.a.name, c.b.name]).map(name => name.slice(0, name.lastIndexOf('.')))
  const times = new Map<string, number>()
  for (const part of asked) times.set(part, (times.get(part) ?? 0) + 1)
  return [...times]
    .sort((a, b) => b[1] - a[1])
    .slice(0, 4)
    .map(([part]) => part)
    .join()
})
/** On paper stand the checks that are left, or all of them. */
const onPaper = ref<'left' | 'all'>('left')
async function print(which: 'left' | 'all') {
  onPaper.value = which
  await nextTick()
  window.print()
}
</script>

<template>
  <p v-if="trouble" role="alert" class="card">{{ trouble }}</p>
  <p v-else-if="!sheet" role="status" class="hint">Fetching the sheet…</p>
  <div v-else class="grid max-w-5xl gap-4">
    <header class="flex flex-wrap items-end justify-between gap-3">
      <div>
        <p><NuxtLink :to="`/m/${tag}?stage=mend`">Back to its sheet</NuxtLink> <TagTape :tag="tag" small class="align-middle" /></p>
        <h1>{{ sheet.title }}</h1>
        <p class="text-ink-2">
          {{ sheet.board }}{{ sheet.issue && `, issue ${sheet.issue}` }}; <span class="figure">{{ sheet.answered }} of {{ sheet.total }}</span> checks; leads
          {{ three(sheet.leadsOhm) }} Ω
        </p>
      </div>
      <p class="no-print flex flex-wrap items-center gap-3">
        <NuxtLink class="button" :to="`/boards/${sheet.boardId}/charts?machine=${tag}&sheet=${sheet.id}&parts=${encodeURIComponent(partsOf)}`"
          >Pin charts</NuxtLink
        >
        <button v-if="sheet.answered < sheet.total" type="button" class="button" @click="print('left')">
          <PhPrinter aria-hidden="true" />{{ sheet.answered ? `Print the ${sheet.total - sheet.answered} left` : 'Print the sheet' }}
        </button>
        <button v-if="sheet.answered" type="button" class="button button-quiet" @click="print('all')"><PhPrinter aria-hidden="true" />Print all of it</button>
      </p>
    </header>
    <p v-if="sheet.otherIssue" class="border-l-4 border-care bg-care-wash px-3 py-2">
      <strong>The file is of issue {{ sheet.issue || 'unknown' }}</strong
      >, which is not known to be this machine’s. Pins may differ: look at the board before you believe a break.
    </p>
    <div class="no-print grid gap-4">
      <CautionNote about="mains" />
      <p v-if="notTaken || notAsked" role="alert" class="card text-stop">{{ notTaken || notAsked }}</p>
      <ProbeAsk
        v-if="may && check"
        v-model:typed="typed"
        v-model:beyond="beyond"
        :check="check"
        :pictures="sheet.pictures"
        :busy="busy"
        :failure="failure"
        :last="last"
        @send="send"
        @again="again"
      />
      <EmptyPlace v-else-if="sheet.endedAt" says="This sheet has been ended. A check that is asked again opens it." />
      <EmptyPlace
        v-else-if="at === null"
        :says="sheet.answered < sheet.total ? 'What is left is in hand elsewhere: with others, or on another of your devices.' : 'All checks are answered.'"
      >
        <button v-if="sheet.answered < sheet.total" type="button" class="button" @click="next">Look again</button>
      </EmptyPlace>
      <StandInBoard v-if="may && !sheet.endedAt" />
      <NetStates :tag="tag" :sheet="sheet" />
      <AddPanel v-if="may && !sheet.endedAt" label="Type in a printed sheet"><TypedSheet :tag="tag" :sheet="sheet" /></AddPanel>
      <AddPanel v-if="!sheet.endedAt && session.may('end-probe-sheet')" v-slot="{ close }" label="End this sheet">
        <CommandForm
          command="end-probe-sheet"
          :machine="tag"
          :initial="{ note: '' }"
          :fixed="{ sheetId: sheet.id }"
          label="End this sheet"
          submit="End"
          @done="close()"
          ><TextField
            name="note"
            label="What is left"
            :hint="sheet.answered < sheet.total ? `${sheet.total - sheet.answered} checks are not answered` : 'Nothing; a word if you like'"
        /></CommandForm>
      </AddPanel>
    </div>
    <details class="card print:hidden">
      <summary class="font-semibold">All {{ sheet.total }} checks</summary>
      <CheckTable :sheet="sheet" />
    </details>
    <div class="hidden gap-3 print:grid">
      <p v-if="onPaper === 'left' && sheet.answered < sheet.total">The {{ sheet.total - sheet.answered }} checks that are left; the others were answered.</p>
      <CheckTable :sheet="sheet" :left="onPaper === 'left' && sheet.answered < sheet.total" />
    </div>
  </div>
</template>
