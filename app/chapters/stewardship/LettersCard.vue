<script setup lang="ts">
import { millisecondsInDay } from 'date-fns/constants'
import type { SheetOf } from '#shared/chapters/index'

/** Letters to the owner: findings, estimate, and the questions that only they can answer. */
const props = defineProps<{ sheet: SheetOf<'stewardship' | 'look'> }>()
const session = useSession()
const times = useTimes()
const clock = useClock()
const answerDay = ref(times.localOf(new Date(clock.now.getTime() + 21 * millisecondsInDay)))
const answerBy = computed(() => times.instantOf(answerDay.value) ?? '')
/** What was refused elsewhere until its owner has agreed. */
const route = useRoute()
const asked = computed(() => (typeof route.query.ask === 'string' ? [route.query.ask.slice(0, 300)] : []))
const initial = computed(() => ({
  questions: [...new Set([...asked.value, ...(props.sheet.triage?.ask ?? [])])].slice(0, 8),
  photographIds: props.sheet.photographs
    .filter(p => props.sheet.damages.some(d => d.photographId === p.id))
    .slice(0, 4)
    .map(p => p.id),
  to: '',
}))
</script>

<template>
  <OneCard
    title="Letters to its owner"
    :state="sheet.stewardship.letters.length ? 'done' : 'none'"
    :result="sheet.stewardship.letters.at(-1)?.subject ?? 'No letter yet'"
    :stays="sheet.stewardship.letters.length > 0"
    hint="What is asked here is waited for; until the answer comes, it rests."
  >
    <EmptyPlace v-if="!sheet.stewardship.letters.length" says="No letter yet." />
    <ul v-else class="grid divide-y divide-line">
      <li v-for="letter in sheet.stewardship.letters" :key="letter.id" class="flex flex-wrap items-baseline gap-x-3 py-1">
        <NuxtLink :to="`/m/${sheet.tag}/letter/${letter.id}`">{{ letter.subject }}</NuxtLink><span class="hint"
          >{{ letter.by }}, {{ times.day(letter.at) }}{{ letter.sent ? '; in the outbox' : '; on its way to the outbox' }}</span
        >
      </li>
    </ul>
    <AddPanel v-if="session.may('write-to-owner')" v-slot="{ close }" label="Write to its owner" :open="asked.length > 0">
      <CommandForm
        command="write-to-owner"
        :machine="sheet.tag"
        :initial="initial"
        :fixed="{ answerBy }"
        label="Write to its owner"
        submit="Write the letter"
        @done="
          result => {
            close()
            navigateTo(`/m/${sheet.tag}/letter/${(result as { letterId: number }).letterId}`)
          }
        "
      >
        <p class="hint">The findings, the estimate and what has been spent are put in by themselves.</p>
        <LinesField name="questions" label="Questions, one a line" :rows="5" />
        <TicksField
          v-if="sheet.photographs.length"
          name="photographIds"
          label="Photographs to enclose"
          :options="sheet.photographs.map(p => ({ value: p.id, label: p.caption || p.name }))"
        />
        <div class="grid gap-3 sm:grid-cols-2">
          <TextField name="to" label="E-mail address" hint="Leave empty if the letter is printed and posted" type="email" />
          <MomentField v-model="answerDay" label="Answer by" />
        </div>
      </CommandForm>
    </AddPanel>
  </OneCard>
</template>
