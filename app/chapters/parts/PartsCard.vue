<script setup lang="ts">
import { counted } from '#core/kernel/figure'
import { type NeedStops, holdsUpStart, needRank, needSays } from '#core/parts/needs'
import { heldPlaces, partConditions } from '#core/parts/ledger'
import { emptyNeed } from './emptyNeed'
import { readWouldDo, wouldDoWords } from '#core/parts/would-do'
import { typedOf } from '#core/parts/substitute/typed'
import { specWords } from '#core/parts/substitute/words'
import type { SheetOf } from '#shared/chapters/index'
import { type PartOutcome, partOutcomeNames } from '#shared/chapters/parts/index'

/** Parts this machine wants, by what hangs on them; and those that it wanted. */
const props = defineProps<{ sheet: SheetOf<'parts'> }>()
const session = useSession()
const times = useTimes()
type Part = (typeof props.sheet.parts)[number]
const inOrder = computed(() =>
  [...props.sheet.parts].sort((a, b) => Number(a.outcome !== 'wanted') - Number(b.outcome !== 'wanted') || needRank(a) - needRank(b) || a.id - b.id),
)
const beside = (part: Part) => [
  ...(part.place ? [`For ${part.place}`] : []),
  ...(part.byWhen ? [`wanted by ${times.day(part.byWhen)}`] : []),
  ...(part.seeker ? [`${part.seeker} looks for it`] : []),
]
const inForm = ({ name, quantity, stops, affects, place, workaround, byWhen, wouldDo, forFirstStart, seekerId, kind, spec }: Part) => ({
  name,
  quantity: String(quantity),
  stops,
  affects,
  place,
  workaround,
  byWhen,
  wouldDo,
  forFirstStart,
  seekerId,
  kind,
  spec: typedOf(spec),
})
const words = {
  name: 'Part',
  quantity: 'How many',
  stops: 'What it stops',
  affects: 'Which function',
  place: 'For which place',
  workaround: 'Until then',
  byWhen: 'Wanted by',
  wouldDo: 'What would do instead',
  forFirstStart: 'What does for a first start',
  seekerId: 'Who looks for it',
  kind: 'Kind of part',
  spec: 'What it is like',
}
const instead = (part: Part) => readWouldDo(part.wouldDo, part.forFirstStart).map(wouldDoWords)
type Arising = (typeof props.sheet.arising)[number]
const { submitCommand: want, busy: wanting, failure: notWanted } = useCommand('want-part', () => props.sheet.tag)
const { submitCommand: decline, busy: declining, failure: notDeclined } = useCommand('decline-part', () => props.sheet.tag)
const add = ({ name, stops, place }: Arising) => want({ name, quantity: 1, stops, place })
const ends: PartOutcome[] = ['fitted', 'not-needed']
const again: PartOutcome[] = ['wanted']
const pressNames: Record<PartOutcome, string> = { 'fitted': 'Found and fitted', 'not-needed': 'No longer needed', 'wanted': 'Needed again' }
const end = (part: Part, outcome: PartOutcome) => settle({ partId: part.id, version: part.version, outcome })
/** What is set aside for it, and how many it has with those that are fitted. */
type Held = (typeof props.sheet.held)[number]
const asideFor = (part: Part) => props.sheet.held.filter(h => h.needId === part.id && h.at === 'promised')
const given = (part: Part) => props.sheet.held.filter(h => h.needId === part.id && (h.at === 'promised' || h.at === 'fitted')).reduce((n, h) => n + h.count, 0)
const looking = ref<number>()
/** Fitted, still in it, and set aside for what is not on the list any more. */
const ledger = computed(() => props.sheet.held.filter(h => h.at !== 'promised' || !props.sheet.parts.some(p => p.id === h.needId && p.outcome === 'wanted')))
const isDonor = computed(() => props.sheet.held.some(h => h.at === 'donor') || props.sheet.gives)
const { submitCommand: meet, busy: giving, failure: notGiven, because } = useCommand('meet-need', () => props.sheet.tag)
const { submitCommand: takeOut, busy: taking, failure: notTaken } = useCommand('take-out-part', () => props.sheet.tag)
const fit = (part: Part, held: Held) => meet({ partId: part.id, heldId: held.id, version: held.version, count: held.count, to: 'fitted' })
const { submitCommand: settle, busy, failure, stale } = useCommand('settle-part', () => props.sheet.tag)
</script>

<template>
  <OneCard
    title="Parts wanted"
    :state="sheet.parts.some(p => p.outcome === 'wanted') ? 'open' : sheet.parts.length ? 'done' : 'none'"
    :result="`${counted(sheet.parts.filter(p => p.outcome === 'wanted').length, 'part')} wanted`"
    stays
  >
    <EmptyPlace v-if="!sheet.parts.length" says="No parts wanted. A part you add here appears under Parts for everybody." />
    <ul v-else class="grid divide-y divide-line">
      <ChangeableRow
        v-for="part in inOrder"
        :key="part.id"
        :name="part.name"
        :may="part.outcome === 'wanted' && session.may('change-part')"
        :gone="part.outcome === 'wanted' ? '' : partOutcomeNames[part.outcome]"
      >
        <span class="figure">{{ part.quantity }} ×</span><span :class="part.outcome === 'wanted' ? 'font-semibold' : 'text-ink-2'">{{ part.name }}</span>
        <template #below>
          <template v-if="part.outcome === 'wanted'">
            <p :class="holdsUpStart(part) ? 'text-stop' : 'text-ink-2'">{{ needSays(part) }}</p>
            <p v-if="beside(part).length || part.kind" class="hint">
              {{ [...beside(part), ...(part.kind ? [specWords(part.kind, part.spec)] : [])].filter(Boolean).join('; ') }}
            </p>
            <p v-if="instead(part).length" class="hint">Would do: {{ instead(part).join('; ') }}.</p>
            <div v-for="held in asideFor(part)" :key="held.id" class="flex flex-wrap items-center gap-2 bg-fine-wash px-3 py-1">
              <span
                ><span class="figure">{{ held.count }} ×</span> {{ held.name }} set aside{{ held.lies && `, ${held.lies}` }}</span
              >
              <template v-if="session.may('meet-need')">
                <button type="button" class="button" :disabled="giving" @click="fit(part, held)">
                  Fitted<span class="sr-only"> {{ held.name }}</span>
                </button>
                <button type="button" class="button button-quiet" :disabled="taking" @click="takeOut({ heldId: held.id, version: held.version })">
                  Back on the shelf<span class="sr-only"> {{ held.name }}</span>
                </button>
              </template>
            </div>
            <div v-if="given(part) < part.quantity">
              <button
                type="button"
                class="button button-quiet"
                :aria-expanded="looking === part.id"
                @click="looking = looking === part.id ? undefined : part.id"
              >
                {{ looking === part.id ? 'Close' : 'What is at hand' }}<span class="sr-only"> for {{ part.name }}</span>
              </button>
            </div>
            <OffersFor v-if="looking === part.id" :need="part" :tag="sheet.tag" :given="given(part)" />
          </template>
          <p v-if="session.may('settle-part')" class="flex flex-wrap gap-1">
            <button v-for="to in part.outcome === 'wanted' ? ends : again" :key="to" type="button" class="button" :disabled="busy" @click="end(part, to)">
              {{ pressNames[to] }}
            </button>
          </p>
        </template>
        <template #form="{ close }">
          <CommandForm
            command="change-part"
            :machine="sheet.tag"
            :initial="inForm(part)"
            :fixed="{ partId: part.id, version: part.version }"
            :words="words"
            label="Change what is wanted"
            submit="Save"
            keeps
            @done="close()"
          >
            <template #default="{ values }"><NeedFields :stops="values.stops as NeedStops" :kind="values.kind as Part['kind']" /></template>
          </CommandForm>
        </template>
      </ChangeableRow>
    </ul>
    <template v-if="sheet.arising.length && session.may('want-part')">
      <h3>Are these wanted?</h3>
      <ul class="grid divide-y divide-line border-y border-line">
        <li v-for="one in sheet.arising" :key="`${one.name} ${one.place}`" class="flex flex-wrap items-center gap-x-3 gap-y-1 py-1.5">
          <span class="flex-1 basis-48"
            ><span class="font-semibold">{{ one.name }}</span
            ><span class="hint">{{ one.place && `, ${one.place}` }}. {{ one.why }}</span></span
          >
          <button type="button" class="button" :disabled="wanting" @click="add(one)">
            Add to the list<span class="sr-only"> {{ one.name }}</span>
          </button>
          <button type="button" class="button button-quiet" :disabled="declining" @click="decline({ name: one.name, place: one.place })">
            Not wanted<span class="sr-only"> {{ one.name }}</span>
          </button>
        </li>
      </ul>
    </template>
    <p v-if="failure || stale || notGiven || notTaken || notWanted || notDeclined" role="alert" class="text-stop">
      {{ failure || stale?.message || notGiven || notTaken || notWanted || notDeclined }} {{ because.join(' ') }}
    </p>
    <template v-if="ledger.length">
      <h3>On record in it</h3>
      <ul class="grid divide-y divide-line">
        <li v-for="held in ledger" :key="held.id" class="flex flex-wrap items-baseline gap-x-3 py-1.5">
          <span class="figure">{{ held.count }} ×</span><span class="font-semibold">{{ held.name }}</span
          ><span class="hint"
            >{{ heldPlaces[held.at] }}; {{ partConditions[held.condition].toLowerCase() }}{{ held.lender && `; belongs to ${held.lender}` }}</span
          >
          <button
            v-if="session.may('take-out-part')"
            type="button"
            class="ml-auto text-sm underline max-wide:min-h-11"
            :disabled="taking"
            @click="takeOut({ heldId: held.id, version: held.version })"
          >
            Take out<span class="sr-only"> {{ held.name }}</span>
          </button>
        </li>
      </ul>
    </template>
    <AddPanel v-if="isDonor && session.may('hold-part')" v-slot="{ close }" label="A part that it can give"
      ><HoldForm :donor="sheet.tag" @done="close()"
    /></AddPanel>
    <AddPanel v-if="session.may('want-part')" v-slot="{ close }" label="Add a part">
      <CommandForm command="want-part" :machine="sheet.tag" :initial="emptyNeed" label="Add a part" submit="Add to the list" @done="close()"
        ><template #default="{ values }"><NeedFields :stops="values.stops as NeedStops" :kind="values.kind as Part['kind']" /></template>
      </CommandForm>
    </AddPanel>
  </OneCard>
</template>
