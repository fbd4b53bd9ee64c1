<script setup lang="ts">
import { isAway } from '#core/condition/grades'
import type { SheetOf } from '#shared/chapters/index'

/** What of a machine is at somebody's home, since when and for what; taken along, put off, and brought back. */
const props = defineProps<{ sheet: SheetOf<'custody' | 'look'> }>()
const session = useSession()
const times = useTimes()
const clock = useClock()
const away = computed(() => props.sheet.custody.away)
const today = computed(() => times.dayOf(clock.now))
const late = computed(() => away.value.filter(one => one.backBy < today.value).length)
const here = computed(() =>
  props.sheet.assemblies
    .filter(one => !isAway(one.presence) && !away.value.some(out => out.assemblyId === one.id))
    .map(one => ({ value: one.id as number | null, label: one.name })),
)
const result = computed(() =>
  away.value.length ? `${away.value.map(one => one.assembly).join(', ')} ${away.value.length === 1 ? 'is' : 'are'} away` : 'All of it is here',
)
/** What could go into another machine: chosen first, for its form speaks of it as it stands now. */
const goes = ref('')
const going = computed(() => props.sheet.assemblies.find(one => String(one.id) === goes.value))
const canGo = computed(() => [{ value: '', label: 'Choose' }, ...here.value.map(({ value, label }) => ({ value: String(value), label }))])
const open = ref<{ id: number; act: 'back' | 'later' }>()
const turn = (id: number, act: 'back' | 'later') => (open.value = open.value?.id === id && open.value.act === act ? undefined : { id, act })
</script>

<template>
  <OneCard
    title="Away from the house"
    :state="away.length ? 'open' : 'none'"
    later
    :result="result"
    :stays="away.length > 0"
    hint="Boards and drives that somebody took along: who has them, for what, and until when."
  >
    <EmptyPlace v-if="!away.length" says="All of it is here." />
    <ul v-else class="grid divide-y divide-line border-y border-line">
      <li v-for="one in away" :key="one.id" class="grid gap-1 py-2">
        <p class="flex flex-wrap items-baseline gap-x-3">
          <span class="font-semibold">{{ one.assembly }}</span><span>{{ one.holder }} has it since {{ times.day(one.since) }}: {{ one.what }}</span
          ><span :class="one.backBy < today ? 'text-care' : 'hint'">{{ one.backBy < today ? 'was due' : 'back by' }} {{ times.day(one.backBy) }}</span>
        </p>
        <p class="flex flex-wrap gap-1">
          <button
            v-if="session.may('bring-back')"
            type="button"
            class="button"
            :aria-expanded="open?.id === one.id && open.act === 'back'"
            @click="turn(one.id, 'back')"
          >
            It is back<span class="sr-only"> {{ one.assembly }}</span>
          </button>
          <button
            v-if="session.may('put-off-return')"
            type="button"
            class="button button-quiet"
            :aria-expanded="open?.id === one.id && open.act === 'later'"
            @click="turn(one.id, 'later')"
          >
            Later<span class="sr-only"> {{ one.assembly }}</span>
          </button>
        </p>
        <CommandForm
          v-if="open?.id === one.id && open.act === 'back'"
          command="bring-back"
          :machine="sheet.tag"
          :initial="{ note: '' }"
          :fixed="{ custodyId: one.id, version: one.version }"
          :label="`${one.assembly} is back`"
          submit="It is here"
          @done="open = undefined"
          ><TextField name="note" label="What was done to it, or found" :lines="2"
        /></CommandForm>
        <CommandForm
          v-if="open?.id === one.id && open.act === 'later'"
          command="put-off-return"
          :machine="sheet.tag"
          :initial="{ backBy: one.backBy }"
          :fixed="{ custodyId: one.id, version: one.version }"
          :label="`${one.assembly} comes back later`"
          submit="Put it off"
          @done="open = undefined"
          ><DayField name="backBy" label="Back by"
        /></CommandForm>
      </li>
    </ul>
    <p v-if="late" class="text-care">{{ late === 1 ? 'One is overdue.' : `${late} are overdue.` }}</p>
    <ul v-if="sheet.custody.exchanges.length" class="grid gap-2" aria-label="Exchanged">
      <li v-for="one in sheet.custody.exchanges" :key="one.id" class="grid gap-1">
        <p>
          {{ one.assembly }} {{ one.came ? 'came from' : 'went into' }} <NuxtLink :to="`/m/${one.other}`">{{ one.other }}</NuxtLink>,
          <span class="hint">{{ times.day(one.at) }}</span>
        </p>
        <template v-if="one.came && !one.looked">
          <p class="text-care">Nobody has looked it over here.{{ one.known && ` On record there: ${one.known}.` }}</p>
          <CommandForm
            v-if="session.may('look-over-arrival')"
            command="look-over-arrival"
            :machine="sheet.tag"
            :initial="{ found: '' }"
            :fixed="{ exchangeId: one.id }"
            :label="`${one.assembly} is looked over`"
            submit="It is looked over"
            ><TextField
              name="found"
              label="What was found"
              hint="Battery, dirt and liquid, burns, what is loose; each is noted under Make safe and Damage as well"
          /></CommandForm>
        </template>
      </li>
    </ul>
    <AddPanel v-if="session.may('take-home') && here.length" v-slot="{ close }" label="Somebody takes one along">
      <CommandForm
        command="take-home"
        :machine="sheet.tag"
        :initial="{ assemblyId: null as never, holder: session.person?.name ?? '', what: '', backBy: '' }"
        label="Somebody takes one along"
        submit="It goes along"
        @done="close()"
      >
        <div class="grid gap-3 sm:grid-cols-2">
          <PickField name="assemblyId" label="Which assembly" :options="here" empty="Choose" /><TextField name="holder" label="Who takes it" />
          <TextField name="what" label="For what" hint="Such as probing the bus, with its probe sheet" /><DayField name="backBy" label="Back by" />
        </div>
      </CommandForm>
    </AddPanel>
    <AddPanel v-if="session.may('move-assembly') && here.length" v-slot="{ close }" label="One goes into another machine">
      <div class="grid gap-3">
        <p class="hint">
          With it go its grade, its damage, and what is listed of it. Both machines are proved anew, with their rails read again; photographs stay here.
        </p>
        <SelectField v-model="goes" label="Which goes" :options="canGo" />
        <CommandForm
          v-if="going"
          :key="`${going.id} ${going.version}`"
          command="move-assembly"
          :machine="sheet.tag"
          :initial="{ toTag: '', why: '' }"
          :fixed="{ assemblyId: going.id, version: going.version }"
          label="One goes into another machine"
          submit="It goes there"
          @done="((goes = ''), close())"
        >
          <div class="grid gap-3 sm:grid-cols-2">
            <TextField name="toTag" label="Into which machine, by its tag" /><TextField name="why" label="Why" hint="Such as its own is eaten through" />
          </div>
        </CommandForm>
      </div>
    </AddPanel>
  </OneCard>
</template>
