<script setup lang="ts">
import { parseQuantity } from '#core/kernel/quantity'
import { judgeFigure, judgeTestSheet, lineStates } from '#core/retest/test-sheet'
import type { SheetOf } from '#shared/chapters/index'

/** The test sheet of its model, worked through line by line. */
const props = defineProps<{ sheet: SheetOf<'proving'> }>()
const session = useSession()
const times = useTimes()
const clock = useClock()
const test = computed(() => props.sheet.testSheet)
const states = computed(() => (test.value ? lineStates(test.value.lines, test.value.looks) : []))
const judged = computed(() => test.value && judgeTestSheet(test.value.lines, test.value.looks))
const lastOf = (line: number) => test.value?.looks.findLast(l => l.line === line)
const { submitCommand: begin, busy: beginning, failure } = useCommand('begin-test-sheet', () => props.sheet.tag)
const { submitCommand: look, busy, failure: notKept } = useCommand('look-test-line', () => props.sheet.tag)
const { submitCommand: fault, busy: reporting, saved: reported } = useCommand('fault-from-line', () => props.sheet.tag)
const figures = reactive<Record<number, string>>({})
const notes = reactive<Record<number, string>>({})
/** The line whose refusal is shown. */
const tried = ref<number>()
async function say(line: number, outcome: 'passed' | 'failed' | 'left-alone' | 'not-there') {
  tried.value = line
  const kind = test.value!.lines[line]!.kind
  await look({ sheetId: test.value!.id, line, outcome, value: kind === 'figure' ? ((figures[line] ?? '') as never) : null, note: notes[line] ?? '' })
  if (notKept.value) return
  figures[line] = notes[line] = ''
  again.value = again.value.filter(a => a !== line)
}
const beginsWith = computed(() =>
  props.sheet.testLines.ofModel ? 'those of its model' : 'the usual ones for what it has; its model can have lines of its own',
)
const words = { 'open': 'not tested', 'waiting': 'left alone', 'passed': 'passed', 'failed': 'failed', 'not-there': 'has none' } as const
const inks = { 'open': 'text-ink-2', 'waiting': 'text-note', 'passed': 'text-fine', 'failed': 'text-stop', 'not-there': 'text-ink-2' } as const
const cardState = computed(() => (!test.value ? 'none' : judged.value!.done ? 'done' : 'open'))
/** What the figure that is typed says; nothing while it is none. */
const figureOf = (line: number) => {
  try {
    return judgeFigure(test.value!.lines[line]!, parseQuantity(figures[line] ?? '', '', 'value'))
  } catch {
    return null
  }
}
const limits = ({ from, to, unit }: { from: number | null; to: number | null; unit: string }) =>
  [from !== null && `from ${from}`, to !== null && `up to ${to}`].filter(Boolean).join(' ') + (unit && ` ${unit}`)
const values = (line: number) =>
  states.value[line]!.values.map(v => v.value)
    .slice(-8)
    .join(' → ')
/** What has come out well is one line; it is looked at again at a press. */
const again = ref<number[]>([])
const settled = (line: number) => ['passed', 'not-there'].includes(states.value[line]!.state) && !again.value.includes(line)
const over = (line: number) => !!states.value[line]?.until && states.value[line].until <= clock.now.toISOString()
</script>

<template>
  <OneCard
    title="Test sheet"
    :state="cardState"
    :result="test ? (judged!.done ? 'Every line passed' : `${judged!.left.length} left, ${judged!.failed.length} failed`) : 'None begun'"
    hint="Everything it has is tried, and what was heard and felt is noted; what fails becomes a fault."
  >
    <template v-if="test">
      <FindingList :findings="judged!.findings" />
      <ol class="grid divide-y divide-line border-y border-line" aria-label="Test lines">
        <li
          v-for="(line, i) in test.lines"
          :key="line.says"
          class="grid gap-x-4 gap-y-1 py-2 lg:grid-cols-[minmax(15rem,1fr)_minmax(0,max-content)]"
          :aria-label="line.says"
        >
          <div>
            <p class="flex flex-wrap items-baseline gap-x-2">
              <strong>{{ line.says }}</strong><span class="font-semibold" :class="inks[states[i]!.state]">{{ words[states[i]!.state] }}</span
              ><span v-if="states[i]!.until" class="hint">{{ over(i) ? 'its hours are over: look' : `until ${times.moment(states[i]!.until!)}` }}</span>
            </p>
            <p v-if="!settled(i)" class="hint">{{ [line.expect, line.kind === 'figure' && limits(line)].filter(Boolean).join('; ') }}</p>
            <p v-if="states[i]!.values.length" class="figure text-sm">{{ values(i) }} {{ line.unit }}</p>
            <p v-if="lastOf(i)" class="hint">{{ times.moment(lastOf(i)!.at) }}, {{ lastOf(i)!.by }}{{ lastOf(i)!.note && `: ${lastOf(i)!.note}` }}</p>
          </div>
          <button
            v-if="settled(i) && session.may('look-test-line')"
            type="button"
            class="button button-quiet justify-self-end"
            :aria-label="`Look again: ${line.says}`"
            @click="again.push(i)"
          >
            Look again
          </button>
          <form
            v-else-if="session.may('look-test-line')"
            class="flex flex-wrap items-start gap-2"
            :aria-label="line.says"
            @submit.prevent="say(i, figureOf(i) ?? 'passed')"
          >
            <input
              v-if="line.kind === 'figure'"
              v-model="figures[i]"
              class="entry figure w-24"
              inputmode="decimal"
              :aria-label="`${line.says}, ${line.unit}`"
              :class="figureOf(i) === 'failed' && 'border-stop!'"
            />
            <input v-model="notes[i]" class="entry w-36" maxlength="200" placeholder="Note" :aria-label="`Note on ${line.says}`" />
            <button v-if="line.kind === 'figure'" class="button" :disabled="busy">Save</button>
            <template v-else>
              <button
                v-if="line.kind === 'overnight' && states[i]!.state !== 'waiting'"
                type="button"
                class="button"
                :disabled="busy"
                @click="say(i, 'left-alone')"
              >
                Left alone now
              </button>
              <button v-else type="button" class="button" :disabled="busy" @click="say(i, 'passed')">Passed</button>
              <button type="button" class="button" :disabled="busy" @click="say(i, 'failed')">Failed</button>
            </template>
            <button type="button" class="button button-quiet" :disabled="busy" @click="say(i, 'not-there')">Has none</button>
            <button
              v-if="states[i]!.state === 'failed' && session.may('fault-from-line')"
              type="button"
              class="button button-main"
              :disabled="reporting"
              @click="fault({ sheetId: test.id, line: i, stopsMachine: true })"
            >
              Report as a fault
            </button>
          </form>
          <p v-if="tried === i && notKept" role="alert" class="text-stop lg:col-span-2">{{ notKept }}</p>
        </li>
      </ol>
      <p v-if="reported" role="status" class="hint">It is listed under Mend now.</p>
    </template>
    <template v-else>
      <EmptyPlace :says="`None begun. It begins with ${sheet.testLines.lines.length} lines, ${beginsWith}.`" />
    </template>
    <p v-if="session.may('begin-test-sheet')">
      <button type="button" class="button" :class="!test && 'button-main'" :disabled="beginning" @click="begin({})">
        {{ test ? 'Begin a new sheet' : 'Begin the test sheet' }}
      </button>
      <span v-if="test" class="hint"> This one is from {{ times.day(test.startedAt) }}; it stays in the history.</span>
    </p>
    <p v-if="failure" role="alert" class="text-stop">{{ failure }}</p>
  </OneCard>
</template>
