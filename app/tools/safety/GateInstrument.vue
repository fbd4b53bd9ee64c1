<script setup lang="ts">
import { RadioGroup, RadioGroupLabel, RadioGroupOption } from '@headlessui/vue'
import { type ConfigurationKind, configurationKindNames, configurationKinds } from '#core/safety/configuration'
import { assessGate } from '#core/safety/gate'
import { gateWords } from '#core/safety/gate-words'
import { type PowerFactName, type PowerFacts, type School, powerFactNames, powerFacts, schoolNames, schools } from '#core/safety/power-facts'
import { safetyGate } from '#shared/tools/safety/gate'

/** All the facts on one panel, and the gate they make, under either school. */
const emit = defineEmits<{ input: [input: Record<string, unknown>] }>()
const school = ref<School>(safetyGate.example.school)
const facts = reactive<PowerFacts>({ ...safetyGate.example.facts })
const inspectedBy = ref(safetyGate.example.inspectedBy)
const kind = ref<ConfigurationKind>('whole')
const input = computed(() => ({
  school: school.value,
  facts: { ...facts },
  inspectedBy: inspectedBy.value,
  configuration: { kind: kind.value, out: kind.value === 'partly' ? ['Cards'] : [] },
}))
const result = computed(() => assessGate(input.value))
watch(input, given => emit('input', given), { immediate: true })
const options = (name: PowerFactName) => Object.entries(powerFacts[name].values)
const choose = (name: PowerFactName, value: string) => (facts[name] = value === 'not-looked' ? undefined : value)
</script>

<template>
  <div class="grid items-start gap-4 lg:grid-cols-[3fr_2fr]">
    <OneCard title="Facts">
      <RadioGroup v-model="school" class="grid gap-1"
        ><RadioGroupLabel as="span" class="font-semibold">School</RadioGroupLabel>
        <div class="flex flex-wrap pl-px">
          <RadioGroupOption v-for="one in schools" :key="one" :value="one" class="choice">{{ schoolNames[one].title }}</RadioGroupOption>
        </div>
        <p class="hint">{{ schoolNames[school].means }}</p></RadioGroup
      >
      <RadioGroup v-model="kind" class="grid gap-1"
        ><RadioGroupLabel as="span" class="font-semibold">What is connected</RadioGroupLabel>
        <div class="flex flex-wrap gap-y-1 pl-px">
          <RadioGroupOption v-for="one in configurationKindNames" :key="one" :value="one" class="choice">{{ configurationKinds[one].title }}</RadioGroupOption>
        </div>
        <p class="hint">{{ configurationKinds[kind].means }}</p></RadioGroup
      >
      <div class="grid divide-y divide-line border-y border-line">
        <RadioGroup
          v-for="name in powerFactNames"
          :key="name"
          :model-value="facts[name] ?? 'not-looked'"
          class="grid gap-1 py-2"
          @update:model-value="choose(name, $event)"
          ><RadioGroupLabel as="span" class="font-semibold">{{ powerFacts[name].title }}</RadioGroupLabel>
          <div class="flex flex-wrap gap-y-1 pl-px">
            <RadioGroupOption v-for="[value, row] in options(name)" :key="value" :value="value" class="choice">{{
              row.label
            }}</RadioGroupOption><RadioGroupOption value="not-looked" class="choice">Not looked at</RadioGroupOption>
          </div></RadioGroup
        >
      </div>
      <FieldFrame id="inspected" label="Inspected by"><input id="inspected" v-model="inspectedBy" class="entry" autocomplete="off" /></FieldFrame>
    </OneCard>
    <OneCard title="Gate" class="lg:sticky lg:top-16">
      <div aria-live="polite" class="grid gap-2">
        <GateSign :verdict="result.verdict" class="text-2xl!" />
        <p>{{ gateWords[result.verdict].means }}</p>
      </div>
      <section v-if="result.toOpen.length" class="grid gap-1">
        <h3>What would open it</h3>
        <ul class="ml-5 list-disc">
          <li v-for="one in result.toOpen" :key="one.code">
            {{ one.do }} <span class="hint">By {{ one.who }}.</span>
          </li>
        </ul>
      </section>
      <details>
        <summary class="cursor-pointer font-semibold">All findings ({{ result.findings.length }})</summary>
        <div class="pt-2"><FindingList :findings="result.findings" /></div>
      </details>
    </OneCard>
  </div>
</template>
