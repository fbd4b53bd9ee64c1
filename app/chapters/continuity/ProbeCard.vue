<script setup lang="ts">
import { contactNames } from '#core/continuity/contact'
import type { SheetOf } from '#shared/chapters/index'

/** Probe sheets of this machine, and the wires that it keeps for life. */
const props = defineProps<{ sheet: SheetOf<'continuity'> }>()
const session = useSession()
const times = useTimes()
const all = computed(() => props.sheet.continuity)
const open = computed(() => all.value.sheets.filter(s => !s.endedAt))
const state = computed(() => (open.value.length || all.value.sheets.some(s => s.broken.length) ? 'open' : all.value.sheets.length ? 'done' : 'none'))
const found = (s: SheetOf<'continuity'>['continuity']['sheets'][number]) =>
  [
    s.broken.length && `${s.broken.length} broken`,
    s.doubtful.length && `${s.doubtful.length} in doubt`,
    s.shorts.length && `${s.shorts.length} joined that should not be`,
  ]
    .filter(Boolean)
    .join(', ') || (s.answered ? 'nothing broken so far' : '')
const result = computed(() => all.value.sheets.map(s => `${s.title}: ${s.answered} of ${s.total}; ${found(s)}`).join('; ') || 'None begun')
</script>

<template>
  <OneCard
    title="Probing and patches"
    short="Probing"
    :state="state"
    :result="result"
    hint="After battery damage: the fewest checks that prove the nets of the damaged zone, one by one. Power off, supply unplugged."
  >
    <ul v-if="all.sheets.length" class="grid divide-y divide-line border-y border-line">
      <li v-for="one in all.sheets" :key="one.id" class="grid gap-0.5 py-1.5">
        <div class="flex flex-wrap items-baseline gap-x-3">
          <NuxtLink :to="`/m/${sheet.tag}/probe/${one.id}`" class="font-semibold">{{ one.title }}</NuxtLink><span class="figure"
            >{{ one.answered }} of {{ one.total }}</span
          ><span :class="one.broken.length || one.shorts.length ? 'text-stop' : one.doubtful.length ? 'text-care' : ''">{{ found(one) }}</span
          ><span class="hint"
            >{{ one.board }}{{ one.issue && `, issue ${one.issue}` }}, {{ one.endedAt ? `ended ${times.day(one.endedAt)}` : times.day(one.startedAt) }}</span
          >
        </div>
        <p v-if="one.otherIssue" class="text-care">Its file is of another issue than this machine’s board: pins may differ.</p>
      </li>
    </ul>
    <section v-if="all.patches.length" aria-label="Wires fitted">
      <h3>Wires fitted</h3>
      <ul>
        <li v-for="wire in all.patches" :key="wire.id">
          <span class="figure font-semibold">{{ wire.a }} – {{ wire.b }}</span> on {{ wire.net }}, {{ wire.lengthMm }} mm of gauge {{ wire.awg }}:
          <span :class="wire.contact === 'joined' ? '' : 'text-stop'">{{ contactNames[wire.contact].toLowerCase() }}</span>
          <span class="hint">&ensp;{{ wire.by }}, {{ times.day(wire.at) }}</span>
        </li>
      </ul>
    </section>
    <EmptyPlace v-if="!all.boards.length && !all.sheets.length" says="No board of this model is known. With its nets, the fewest checks are worked out here.">
      <NuxtLink to="/models" class="button">Go to the models</NuxtLink>
    </EmptyPlace>
    <ul v-if="all.pictures.length" aria-label="Found on photographs">
      <li v-for="one in all.pictures" :key="one.id">
        Found on <NuxtLink :to="`/m/${sheet.tag}/photo/${one.photographId}`">{{ one.caption }}</NuxtLink><span class="hint"
          >{{ one.mirrored ? ', from its back' : '' }};
          {{ one.residualMm === null ? 'how well it fits is not known' : `fits to ${one.residualMm.toFixed(2)} mm` }}</span
        >
      </li>
    </ul>
    <AddPanel v-if="all.boards.length && all.photographs.length && session.may('register-board')" v-slot="{ close }" label="Find the board on a photograph">
      <RegisterForm :sheet="sheet" @done="close()" />
    </AddPanel>
    <AddPanel v-if="all.boards.length && session.may('begin-probe-sheet')" v-slot="{ close }" label="Begin a probe sheet" :open="!all.sheets.length">
      <BeginSheet :tag="sheet.tag" :boards="all.boards" :zones="all.zones" @done="close()" />
    </AddPanel>
  </OneCard>
</template>
