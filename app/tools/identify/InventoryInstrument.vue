<script setup lang="ts">
import { inventoryByList } from '#core/identify/inventory/by-list'
import { bytesWords } from '#core/identify/inventory/known-parts'
import { identifyInventory } from '#shared/tools/identify/inventory'
import { InventoryFindings } from '../../chapters/inventory/index'

/** Chips and sockets as they are read off a board, counted, and laid beside what was said. */
const emit = defineEmits<{ input: [input: Record<string, unknown> | undefined] }>()
const { example } = identifyInventory
const typed = ref(example.typed)
const claim = ref(example.claim)
const published = ref(example.published)
const { result, at } = useInstrument(
  () => ({ typed: typed.value, claim: claim.value, published: published.value }),
  inventoryByList,
  input => emit('input', input),
)
const id = useId()
</script>

<template>
  <div class="grid items-start gap-4 lg:grid-cols-2">
    <OneCard title="The board" hint="Read aloud, a line for what is alike: its place, what is printed on it, how many, and what else is seen.">
      <LinesBox v-model="typed" label="Chips and sockets" hint="Such as U1-U8 4116 socketed 8214, or U50 empty needed" :rows="9" :message="at('typed')" />
      <FieldFrame :id="id" label="What was said of it" hint="Such as 48K of memory">
        <input :id="id" v-model="claim" class="entry" autocomplete="off" maxlength="300" />
      </FieldFrame>
      <LinesBox v-model="published" label="Memory that the model was sold with" hint="A size a line, such as 48 KB" :rows="2" :message="at('published')" />
    </OneCard>
    <OneCard title="What it holds">
      <template v-if="result">
        <InstrumentFace
          label="Memory to read and write"
          :figure="bytesWords(result.ramBytes)"
          :judgement="result.romBytes ? `and ${bytesWords(result.romBytes)} to read only` : ''"
          :level="result.findings[0]?.level ?? 'note'"
        />
        <InventoryFindings :groups="result.groups" :findings="result.findings" />
      </template>
      <EmptyPlace v-else says="Put right what is marked, and you will see what it holds." />
    </OneCard>
  </div>
</template>
