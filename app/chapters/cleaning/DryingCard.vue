<script setup lang="ts">
import { millisecondsInHour } from 'date-fns/constants'
import { dryingWords } from '#core/cleaning/drying'
import { counted } from '#core/kernel/figure'
import { decidingLevel } from '#core/kernel/finding'
import type { SheetOf } from '#shared/chapters/index'

/** What is laid out to dry, weighed one by one; it says when to weigh again, and when it is dry by its mass. */
const props = defineProps<{ sheet: SheetOf<'cleaning'> }>()
const session = useSession()
const times = useTimes()
const all = computed(() => props.sheet.cleaning.dryings)
const running = computed(() => all.value.filter(d => !d.endedAt))
const ended = computed(() => all.value.filter(d => d.endedAt))
const state = computed(() => (running.value.length ? 'open' : all.value.length ? 'done' : 'none'))
const result = computed(() =>
  (running.value[0] ?? ended.value.at(-1)) ? all.value.map(d => `${d.what}: ${dryingWords[d.state].toLowerCase()}`).join('; ') : 'Nothing is laid out',
)
const clock = useClock()
/** When it lay on the scales, where that was before it is typed; by drying. */
const earlier = ref<Record<number, string>>({})
const earlierAt = (id: number) => (earlier.value[id] ? (times.instantOf(earlier.value[id]) ?? null) : null)
type Drying = (typeof all.value)[number]
const pointsOf = (d: Drying) => d.weighings.map((w): [number, number] => [(Date.parse(w.at) - Date.parse(d.startedAt)) / millisecondsInHour, w.massG])
</script>

<template>
  <OneCard
    title="Drying by mass"
    short="Drying"
    hint="A few weighings show when it is dry. The machine stays off while a part is drying."
    :state="state"
    :result="result"
  >
    <section v-for="one in running" :key="one.id" class="grid gap-2" :aria-label="one.what">
      <InstrumentFace
        :label="`${one.what}, water left`"
        :figure="one.leftNowG ? `${three(Math.max(0, one.leftNowG.mid))} g` : '–'"
        :judgement="dryingWords[one.state]"
        :level="decidingLevel(one.findings)"
      />
      <p>
        <template v-if="one.dryAt">Dry at the latest {{ times.moment(one.dryAt) }}. </template>
        <strong>Weigh again {{ times.moment(one.weighAt) }}.</strong>
        <span class="hint">&ensp;{{ counted(one.weighings.length, 'weighing') }} since {{ times.moment(one.startedAt) }}.</span>
      </p>
      <LineChart
        v-if="one.weighings.length > 1"
        :series="[{ name: 'mass', points: pointsOf(one), dots: true }]"
        unit="g"
        x-unit="h"
        :told="`${one.what}: ${one.weighings.length} weighings`"
      />
      <FindingList :findings="one.findings" />
      <div v-if="session.may('weigh')" class="flex flex-wrap items-end gap-x-6 gap-y-2">
        <CommandForm
          command="weigh"
          :machine="sheet.tag"
          :initial="{ massG: '' as never }"
          :fixed="{ dryingId: one.id, weighedAt: earlierAt(one.id) }"
          label="Weigh it"
          submit="Save weighing"
          @done="delete earlier[one.id]"
          ><TextField name="massG" label="Mass in g" numeric />
          <MomentField v-if="one.id in earlier" :model-value="earlier[one.id]!" label="Weighed at" @update:model-value="at => (earlier[one.id] = at)" />
          <button v-else type="button" class="button button-quiet justify-self-start" @click="earlier[one.id] = times.localOf(clock.now)">
            Weighed earlier
          </button></CommandForm
        >
        <CommandForm
          command="end-drying"
          :machine="sheet.tag"
          :initial="{ reason: '' }"
          :fixed="{ dryingId: one.id }"
          label="Finish drying"
          submit="Finish drying"
          ><TextField v-if="one.state !== 'dry'" name="reason" label="Why finish early?" hint="The gate remembers it."
        /></CommandForm>
      </div>
    </section>
    <details v-if="ended.length">
      <summary class="font-semibold">Finished ({{ ended.length }})</summary>
      <ul>
        <li v-for="one in ended" :key="one.id">
          {{ one.what }}, {{ times.day(one.endedAt!) }}: {{ one.endedWet ? `before it was dry; ${one.endedWet}` : 'dry by its mass' }}
        </li>
      </ul>
    </details>
    <AddPanel v-if="session.may('start-drying')" v-slot="{ close }" label="Start drying" :open="!all.length">
      <CommandForm
        command="start-drying"
        :machine="sheet.tag"
        :initial="{ what: '', massG: '' as never, errorG: '0.1' as never, leftG: '0.2' as never }"
        label="Start drying"
        submit="Start drying"
        @done="close()"
      >
        <CautionNote about="wet" />
        <div class="grid gap-3 sm:grid-cols-4">
          <TextField name="what" label="What dries" /><TextField name="massG" label="Mass in g" numeric /><TextField
            name="errorG"
            label="One weighing, ± g"
            numeric
          /><TextField name="leftG" label="May be left, g" numeric />
        </div>
      </CommandForm>
    </AddPanel>
  </OneCard>
</template>
