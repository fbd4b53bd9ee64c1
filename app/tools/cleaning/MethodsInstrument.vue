<script setup lang="ts">
import { rankMethods } from '#core/cleaning/methods'
import { boardSchools, materials, methods, plasticSchools, soils, workings } from '#core/cleaning/words'
import { cleaningMethods } from '#shared/tools/cleaning/methods'

/** A material, a soil, whether it works: the methods ranked, each with why. */
const emit = defineEmits<{ input: [input: Record<string, unknown> | undefined] }>()
const { schools, ...asked } = cleaningMethods.example
const chosen = reactive({ ...asked, ...schools! })
const { result } = useInstrument(
  () => ({ material: chosen.material, soil: chosen.soil, works: chosen.works, schools: { boards: chosen.boards, plastic: chosen.plastic } }),
  rankMethods,
  input => emit('input', input),
)
const usable = computed(() => result.value?.ranked.filter(r => r.suits === 'suited' || r.suits === 'careful') ?? [])
const best = computed(() => usable.value[0])
</script>

<template>
  <div class="grid items-start gap-4 lg:grid-cols-[20rem_minmax(0,1fr)]">
    <OneCard title="What is cleaned">
      <SelectField v-model="chosen.material" label="Material" :options="choicesOf(materials)" />
      <SelectField v-model="chosen.soil" label="Soil" :options="choicesOf(soils)" />
      <SelectField v-model="chosen.works" label="Does it work today" :options="choicesOf(workings)" />
      <SelectField v-model="chosen.boards" label="Practice for boards" :options="titlesOf(boardSchools)" :hint="boardSchools[chosen.boards].means" />
      <SelectField
        v-model="chosen.plastic"
        label="Practice for yellowed plastic"
        :options="titlesOf(plasticSchools)"
        :hint="plasticSchools[chosen.plastic].means"
      />
    </OneCard>
    <OneCard title="How">
      <template v-if="result">
        <InstrumentFace
          :label="`${materials[chosen.material]}, ${soils[chosen.soil].toLowerCase()}`"
          :figure="best ? methods[best.method] : 'Not known'"
          :judgement="best ? (best.suits === 'suited' ? 'Suited' : 'With care') : 'Try where it cannot be seen'"
          :level="best?.suits === 'suited' ? 'fine' : 'care'"
        />
        <FindingList :findings="result.findings" />
        <div class="grid gap-2 sm:grid-cols-2">
          <CautionNote v-for="about in best?.cautions ?? []" :key="about" :about="about" />
        </div>
        <MethodList :ranked="result.ranked" />
      </template>
    </OneCard>
  </div>
</template>
