<script setup lang="ts">
import { type ResourcesJudged, readCards, resourceKinds } from '#core/mend/resources'
import { mendResources } from '#shared/tools/mend/resources'

/** Cards as they are written, where they collide, and what ends it. */
defineEmits<{ input: [input: Record<string, unknown> | undefined] }>()
const cards = ref(mendResources.example.cards)
const { answer, busy, failure, start, stop, at } = useSentInstrument<object, ResourcesJudged>(mendResources.id, () => {
  // What cannot be read is told at the field, before anything is sent.
  readCards(cards.value)
  return { cards: cards.value }
})
watch(cards, () => (answer.value = undefined))
</script>

<template>
  <div class="grid items-start gap-4 lg:grid-cols-2">
    <OneCard title="The cards" hint="A line each: what it is set to stands first, what else it can be set to behind “or”. Ports and memory are hexadecimal.">
      <LinesBox v-model="cards" label="What each takes" hint="Such as Sound: irq 5 or 7; dma 1; port 220-22F or 240-24F" :rows="9" :message="at('cards')" />
      <WorkPress label="Where do they collide?" :busy="busy" :failure="failure" @start="start" @stop="stop" />
    </OneCard>
    <OneCard title="What ends it">
      <div v-if="answer" role="status" class="grid gap-3">
        <FindingList :findings="answer.findings" />
        <ul v-if="answer.changes.length" class="grid divide-y divide-line border-y border-line">
          <li v-for="change in answer.changes" :key="`${change.card} ${change.kind}`" class="flex flex-wrap gap-x-3 py-1">
            <strong>{{ change.card }}</strong><span>{{ resourceKinds[change.kind].title }}</span
            ><span class="figure">{{ change.from }} → {{ change.to }}</span>
          </li>
        </ul>
      </div>
      <EmptyPlace v-else says="Press, and you will see where they collide and which fewest changes end it." />
    </OneCard>
  </div>
</template>
