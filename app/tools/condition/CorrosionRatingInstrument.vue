<script setup lang="ts">
import { significant } from '#core/kernel/figure'
import { rateCorrosion, ratingBands } from '#core/condition/corrosion-rating'
import { decidingLevel } from '#core/kernel/finding'
import { parseQuantity } from '#core/kernel/quantity'
import { conditionCorrosionRating } from '#shared/tools/condition/corrosion-rating'

/** Areas in, rating out, with its place among the bands. */
const emit = defineEmits<{ input: [input: Record<string, unknown> | undefined] }>()
const typed = ref(conditionCorrosionRating.example.areasPct.join(' '))
const steel = ref(conditionCorrosionRating.example.steel ?? false)
const { result, at } = useInstrument(
  () => ({
    areasPct: typed.value
      .split(/[;\s]+/)
      .filter(Boolean)
      .map(word => parseQuantity(word.replace(/%$/, ''), '', 'areasPct')),
    steel: steel.value,
  }),
  rateCorrosion,
  input => emit('input', input),
)
</script>

<template>
  <div class="grid items-start gap-4 lg:grid-cols-2">
    <OneCard title="Corroded areas">
      <FieldFrame
        id="areas"
        v-slot="{ described }"
        label="In per cent of the surface, several with a space between"
        hint="Such as 0.4 1.1"
        :message="at('areasPct')"
        ><input id="areas" v-model="typed" class="entry reading" autocomplete="off" :aria-describedby="described" :aria-invalid="!!at('areasPct')"
      /></FieldFrame>
      <label class="flex items-center gap-2"><input v-model="steel" type="checkbox" class="h-5 w-5" />Rust on steel</label>
    </OneCard>
    <OneCard title="Rating">
      <template v-if="result">
        <InstrumentFace
          :label="`ISO 10289${result.rustDegree === null ? '' : `; ISO 4628-3 Ri ${result.rustDegree}`}`"
          :figure="`${result.rating} of 10`"
          :judgement="`${significant(result.areaPct)} % of the area`"
          :level="decidingLevel(result.findings)"
        />
        <ol class="flex" aria-label="Bands of the rating">
          <li
            v-for="band in ratingBands"
            :key="band.rating"
            class="figure flex-1 border border-edge py-0.5 text-center text-sm not-first:-ml-px"
            :class="band.rating === result.rating && 'bg-ink font-bold text-card'"
            :aria-current="band.rating === result.rating || undefined"
          >
            {{ band.rating }}<span class="block text-[0.6875rem] text-inherit">{{ band.upToPct }} %</span>
          </li>
        </ol>
        <FindingList :findings="result.findings" />
      </template>
      <EmptyPlace v-else says="Type the areas; their rating will appear here." />
    </OneCard>
  </div>
</template>
