<script setup lang="ts">
import { significant } from '#core/kernel/figure'
import type { CorrosionArea } from '#core/condition/corrosion-area'
import { rateMeasured } from '#core/condition/corrosion-rating'

/** What was found, in figures, and what to think of it. */
const props = defineProps<{ area: CorrosionArea; steel: boolean; areaMm2?: number | null }>()
const rated = computed(() => rateMeasured({ ...props.area, steel: props.steel }))
</script>

<template>
  <dl class="grid grid-cols-2 gap-x-3 gap-y-1" aria-live="polite">
    <div>
      <dt class="hint">Corroded</dt>
      <dd class="reading">{{ area.areaPct.toFixed(1) }} %</dd>
      <dd class="figure hint">± {{ area.errorPct.toFixed(1) }}</dd>
    </div>
    <div>
      <dt class="hint">ISO 10289</dt>
      <dd class="reading">{{ rated.rating === null ? 'none' : `${rated.rating} of 10` }}</dd>
    </div>
    <div v-if="areaMm2 != null">
      <dt class="hint">Area</dt>
      <dd class="reading">{{ significant(areaMm2) }} mm²</dd>
    </div>
    <div v-if="rated.rustDegree !== null">
      <dt class="hint">ISO 4628-3</dt>
      <dd class="reading">Ri {{ rated.rustDegree }}</dd>
    </div>
  </dl>
  <FindingList :findings="[...area.findings, ...rated.findings]" />
</template>
