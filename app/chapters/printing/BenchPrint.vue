<script setup lang="ts">
import { fixingWords } from '#core/opening/reassembly'
import { volts } from '#core/power/rails'
import { gateWords } from '#core/safety/gate-words'
import { stageNames } from '#core/kernel/stages'
import type { SheetOf } from '#shared/chapters/index'

/** A machine on one page, to be taken to the bench where no screen is wanted: why it is off, what is next, where its screws lie, its rails to write in. */
const props = defineProps<{ sheet: SheetOf<'power' | 'opening'> }>()
const session = useSession()
const times = useTimes()
const clock = useClock()
const { addressOf } = useMachineAddress()

/** What is longer than the page is written smaller, on paper as on the screen: it has the width of the paper on both. */
const page = useTemplateRef<HTMLElement>('page')
const shrunk = ref(1)
const pageHeightPx = (262 * 96) / 25.4
async function fit() {
  shrunk.value = 1
  for (let tries = 0; tries < 5; tries++) {
    await nextTick()
    const { height } = page.value!.getBoundingClientRect()
    if (height <= pageHeightPx + 1) return
    // Written smaller it is wider as well, so it comes out lower than reckoned; the next look sees that.
    shrunk.value *= Math.sqrt(pageHeightPx / height)
  }
}
// The letters have their width once they have come.
onMounted(() => void document.fonts.ready.then(fit))
watch(() => props.sheet, fit)

/** So many of each have room on the page; of what is longer the rest is counted, and stands on the sheet. */
const most = { reasons: 7, moves: 6, steps: 9, rails: 9, others: 4 }
const cut = <T,>(all: readonly T[], at: number) => ({ shown: all.slice(0, at), more: Math.max(0, all.length - at) })
const reasons = computed(() =>
  cut(
    props.sheet.power.gate.findings.filter(f => f.level === 'stop' || f.level === 'care'),
    most.reasons,
  ),
)
const moves = computed(() => cut(props.sheet.moves, most.moves))
const waits = computed(() => cut(props.sheet.waits, most.others))
const questions = computed(() =>
  cut(
    props.sheet.questions.filter(q => !q.settled),
    most.others,
  ),
)
/** What lies in the trays, in the order in which it goes back. */
const undone = computed(() => cut(props.sheet.opening.steps.filter(s => s.state === 'undone').toReversed(), most.steps))
const rails = computed(() => cut(props.sheet.expectedRails, most.rails))
const judged = (name: string) => props.sheet.rails?.rails.find(r => r.name === name)
const between = (name: string) => {
  const rail = judged(name)
  return rail ? `${volts(rail.lowV)} to ${volts(rail.highV)}` : ''
}
const offOhm = (name: string) => {
  const last = props.sheet.power.offState.find(r => r.rail === name)?.last
  return last ? (last.ohm === null ? 'open' : `${three(last.ohm)} Ω`) : ''
}
const lastRead = (name: string) => {
  const read = judged(name)?.deciding
  return read ? volts(read.valueV) : ''
}
</script>

<template>
  <div class="overflow-x-auto border border-line bg-white p-5 print:overflow-visible print:border-0 print:p-0">
    <article ref="page" class="page flex flex-col gap-2.5 text-[0.8125rem]/snug text-black" :style="{ '--shrunk': shrunk }" aria-label="On paper for the bench">
      <header class="flex items-start justify-between gap-4">
        <div>
          <h1>{{ sheet.identity.nickname || sheet.identity.name }}</h1>
          <p>
            {{ sheet.identity.name }}{{ sheet.identity.maker && `, ${sheet.identity.maker}` }}{{ sheet.identity.serial && `, no. ${sheet.identity.serial}`
            }}{{ sheet.identity.place && `; ${sheet.identity.place}` }}; in {{ stageNames[sheet.stage] }}
          </p>
          <p>{{ session.collection?.name }}, printed {{ times.exact(clock.now.toISOString()) }}</p>
        </div>
        <div class="grid justify-items-end gap-1"><TagTape :tag="sheet.tag" /><QrCode :text="addressOf(sheet.tag)" class="h-16 w-16" /></div>
      </header>
      <section class="border-2 border-black px-3 py-1">
        <p class="flex flex-wrap items-baseline gap-x-3">
          <GateSign :verdict="sheet.gate.inForce" :overruled="sheet.gate.overruled" class="text-black!" /><span>{{ gateWords[sheet.gate.inForce].means }}</span>
        </p>
        <ul>
          <li v-for="reason in reasons.shown" :key="reason.code + reason.says">
            <strong v-if="reason.level === 'stop'">Stop: </strong><span v-else>Care: </span>{{ reason.says }}
          </li>
          <li v-if="reasons.more">and {{ reasons.more }} more on its sheet</li>
        </ul>
        <p>As it stood when this was printed. Look again before power.</p>
      </section>
      <div class="grid grid-cols-2 gap-4">
        <section>
          <h2>Next moves</h2>
          <ol v-if="moves.shown.length">
            <li v-for="move in moves.shown" :key="move.code + move.says" class="flex gap-2">
              <span class="mt-0.5 h-3.5 w-3.5 shrink-0 border border-black" aria-hidden="true" /><span>{{ move.says }} ({{ move.who }})</span>
            </li>
            <li v-if="moves.more">and {{ moves.more }} more on its sheet</li>
          </ol>
          <p v-else>Nothing is left to do.</p>
          <p v-for="note in sheet.handedOn" :key="note.jobId">
            <strong>{{ note.by }} left a note:</strong> {{ note.note }}
          </p>
        </section>
        <section>
          <h2>In the trays</h2>
          <ol v-if="undone.shown.length">
            <li v-for="step in undone.shown" :key="step.id">
              <span class="figure">{{ step.step }}</span> {{ step.what
              }}<template v-for="(fixing, i) in step.fixings" :key="i"
                >; {{ fixingWords(fixing) }}<strong v-if="fixing.tray" class="figure"> in {{ fixing.tray }}</strong></template
              ><em v-if="step.hazard">. {{ step.hazard }}</em>
            </li>
            <li v-if="undone.more">and {{ undone.more }} more on its sheet</li>
          </ol>
          <p v-else>Nothing is undone on record.</p>
        </section>
        <section v-if="waits.shown.length">
          <h2>Waiting</h2>
          <p v-for="wait in waits.shown" :key="wait.id">{{ wait.what }}: {{ wait.over ? 'over' : `until ${times.moment(wait.until)}` }}</p>
          <p v-if="waits.more">and {{ waits.more }} more</p>
        </section>
        <section v-if="questions.shown.length">
          <h2>Open questions</h2>
          <p v-for="one in questions.shown" :key="one.id">{{ one.question }}</p>
          <p v-if="questions.more">and {{ questions.more }} more</p>
        </section>
      </div>
      <section>
        <h2>Rails</h2>
        <table class="blank w-full text-left">
          <thead>
            <tr>
              <th>Rail</th>
              <th>Limits</th>
              <th>Measured at</th>
              <th>On record</th>
              <th>Off, Ω</th>
              <th>No load, V</th>
              <th>Loaded, V</th>
              <th>By</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="rail in rails.shown" :key="rail.name">
              <td class="figure font-semibold">{{ rail.name }}</td>
              <td class="figure">{{ between(rail.name) || `nominal ${volts(rail.nominalV)}` }}</td>
              <td>{{ rail.point }}</td>
              <td class="figure">{{ [offOhm(rail.name), lastRead(rail.name)].filter(Boolean).join(', ') }}</td>
              <td />
              <td />
              <td />
              <td />
            </tr>
            <tr v-for="row in rails.shown.length ? 1 : 4" :key="`blank ${row}`">
              <td v-for="column in 8" :key="column">&nbsp;</td>
            </tr>
          </tbody>
        </table>
        <p v-if="rails.more">and {{ rails.more }} more rails on its sheet</p>
      </section>
      <section class="notes">
        <h2>Notes</h2>
        <div v-for="line in 24" :key="line" class="h-7 border-b border-dotted border-gray-500" />
      </section>
      <p class="text-xs">
        Mains and stored charge kill: off, unplugged and discharged before a hand goes in; one hand at a live rail, somebody beside you. Your local codes and
        licensed or trained people decide. This page says what was on record, not that anything is safe.
      </p>
    </article>
  </div>
</template>

<style scoped>
.page {
  zoom: var(--shrunk);
  width: calc(182mm / var(--shrunk));
  min-height: calc(262mm / var(--shrunk));
}
.page h1 {
  font-size: 1.5rem;
}
.page h2 {
  font-size: 1rem;
}
.blank th,
.blank td {
  border: 1px solid #666;
  padding: 0.1rem 0.3rem;
}
.blank td {
  height: 1.75rem;
}
.blank .figure {
  white-space: nowrap;
  font-size: 0.75rem;
}
/* Where somebody writes is wider than what is read. */
.blank th:nth-child(n + 5) {
  width: 12%;
}
/* As many lines as the page has room for, four at least. */
.notes {
  flex: 1 0 9rem;
  height: 0;
  overflow: hidden;
}
</style>
