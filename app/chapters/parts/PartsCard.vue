<script setup lang="ts">
import { counted } from '#core/kernel/figure'
import { type NeedStops, holdsUpStart, needRank, needSays } from '#core/parts/needs'
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
const typedOf = ({ name, quantity, stops, affects, place, workaround, byWhen, seekerId }: Part) => ({
  name,
  quantity: String(quantity),
  stops,
  affects,
  place,
  workaround,
  byWhen,
  seekerId,
})
const words = {
  name: 'Part',
  quantity: 'How many',
  stops: 'What it stops',
  affects: 'Which function',
  place: 'For which place',
  workaround: 'Until then',
  byWhen: 'Wanted by',
  seekerId: 'Who looks for it',
}
const ends: PartOutcome[] = ['fitted', 'not-needed']
const again: PartOutcome[] = ['wanted']
const pressNames: Record<PartOutcome, string> = { 'fitted': 'Found and fitted', 'not-needed': 'No longer needed', 'wanted': 'Needed again' }
const end = (part: Part, outcome: PartOutcome) => settle({ partId: part.id, version: part.version, outcome })
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
            <p v-if="beside(part).length" class="hint">{{ beside(part).join('; ') }}</p>
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
            :initial="typedOf(part)"
            :fixed="{ partId: part.id, version: part.version }"
            :words="words"
            label="Change what is wanted"
            submit="Save"
            keeps
            @done="close()"
          >
            <template #default="{ values }"><NeedFields :stops="values.stops as NeedStops" /></template>
          </CommandForm>
        </template>
      </ChangeableRow>
    </ul>
    <p v-if="failure || stale" role="alert" class="text-stop">{{ failure || stale?.message }}</p>
    <AddPanel v-if="session.may('want-part')" v-slot="{ close }" label="Add a part">
      <CommandForm
        command="want-part"
        :machine="sheet.tag"
        :initial="{ name: '', quantity: '1', stops: 'no-start', affects: '', place: '', workaround: '', byWhen: null, seekerId: null }"
        label="Add a part"
        submit="Add to the list"
        @done="close()"
        ><template #default="{ values }"><NeedFields :stops="values.stops as NeedStops" /></template>
      </CommandForm>
    </AddPanel>
  </OneCard>
</template>
