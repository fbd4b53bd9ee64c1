<script setup lang="ts">
import { recapByList } from '#core/parts/recap/by-lists'
import { type CapacitorSchool, capacitorSchools, dues } from '#core/parts/recap/schools'
import { partsRecap } from '#shared/tools/parts/recap'

/** A list of capacitors as it is written, and what a school changes of it. */
const emit = defineEmits<{ input: [input: Record<string, unknown> | undefined] }>()
const { example } = partsRecap
const typed = ref(example.typed)
const school = ref<CapacitorSchool>(example.school)
const started = ref(false)
const schools = titlesOf(capacitorSchools)
const { result, at } = useInstrument(
  () => ({ typed: typed.value, school: school.value, started: started.value }),
  recapByList,
  input => emit('input', input),
)
const now = computed(() => result.value?.capacitors.filter(one => one.due === 'now').length ?? 0)
</script>

<template>
  <div class="grid items-start gap-4 lg:grid-cols-2">
    <OneCard title="The list" hint="Off the board, a line for what is alike. What was guessed is looked at before it is ordered.">
      <LinesBox v-model="typed" label="Capacitors" hint="Such as C12 470u 25V radial, or C8-C11 100u 25V" :rows="8" :message="at('typed')" />
      <SelectField v-model="school" label="The school" :options="schools" />
      <label class="flex min-h-11 items-center gap-2"
        ><input v-model="started" type="checkbox" class="size-5 accent-enamel" />It has had an attended start</label
      >
    </OneCard>
    <OneCard title="What is changed">
      <template v-if="result">
        <InstrumentFace label="To change now" :figure="String(now)" :judgement="`of ${result.capacitors.length}`" :level="now ? 'care' : 'note'" />
        <ul class="grid divide-y divide-line border-y border-line">
          <li v-for="one in result.capacitors" :key="one.place" class="grid gap-0.5 py-1">
            <p class="flex flex-wrap items-baseline gap-x-3">
              <span class="figure font-semibold">{{ one.place }}</span><span>{{ one.says }}</span
              ><span class="ml-auto" :class="one.due === 'stays' ? 'text-ink-2' : 'font-semibold'">{{ dues[one.due] }}</span>
            </p>
            <p class="hint">{{ one.why }}</p>
          </li>
        </ul>
        <FindingList :findings="result.findings" />
      </template>
      <EmptyPlace v-else says="Put right what is marked, and you will see what is changed." />
    </OneCard>
  </div>
</template>
