<script setup lang="ts">
import { type PartKindName, judgeSubstitute, partKindNames, partKinds, verdictLevel } from '#core/parts/substitute/substitute'
import { readSpec, typedOf } from '#core/parts/substitute/typed'
import { specWords } from '#core/parts/substitute/words'
import { partsSubstitute } from '#shared/tools/parts/substitute'
import { SpecFields } from '~/chapters/parts/index'

/** A part that is wanted against one that is at hand. */
const emit = defineEmits<{ input: [input: Record<string, unknown> | undefined] }>()
const { example } = partsSubstitute
const kind = ref<PartKindName>(example.kind)
const wanted = ref(typedOf(example.wanted))
const offered = ref(typedOf(example.offered))
const kinds = partKindNames.map(value => ({ value, label: partKinds[value].title }))
const { result, at } = useInstrument(
  () => ({ kind: kind.value, wanted: readSpec(kind.value, wanted.value, 'wanted'), offered: readSpec(kind.value, offered.value, 'offered') }),
  judgeSubstitute,
  input => emit('input', input),
)
/** In a word, and what that word leaves open. */
const face = {
  'fits': ['Fits', 'By what is stated'],
  'note': ['Fits', 'With a note'],
  'first-start': ['Start', 'Only for a first start'],
  'not-known': ['?', 'Not known'],
  'does-not': ['No', 'Does not fit'],
} as const
const inWords = computed(() => result.value && (specWords(kind.value, readSpec(kind.value, offered.value, 'offered')) || 'Nothing is stated of it'))
</script>

<template>
  <div class="grid items-start gap-4 lg:grid-cols-3">
    <OneCard title="What is wanted">
      <SelectField v-model="kind" label="Kind of part" :options="kinds" />
      <SpecFields v-model="wanted" :kind="kind" :at="field => at(`wanted.${field}`)" />
    </OneCard>
    <OneCard title="What is at hand" hint="Off its print or its data sheet. What is left empty is not known.">
      <SpecFields v-model="offered" :kind="kind" :at="field => at(`offered.${field}`)" />
    </OneCard>
    <OneCard title="Instead of it">
      <template v-if="result">
        <InstrumentFace
          :label="partKinds[kind].title"
          :figure="face[result.verdict][0]"
          :judgement="face[result.verdict][1]"
          :level="verdictLevel[result.verdict]"
        />
        <p class="hint">{{ inWords }}.</p>
        <FindingList :findings="result.findings" />
      </template>
      <EmptyPlace v-else says="Put right what is marked, and you will see whether it will do." />
    </OneCard>
  </div>
</template>
