<script setup lang="ts">
import type { MeterView } from '#shared/chapters/meter/index'
import { useMeter } from '../meter/index'

/** Where the meter is the stand-in: what the simulated machine does, and its switch. A real machine has its own. */
const api = useApi()
const meter = useMeter()
const refused = ref('')
onMounted(meter.look)
const simulation = computed(() => meter.view.value?.simulation)

async function order(what: { scenario?: string; switchedOn?: boolean }) {
  refused.value = ''
  try {
    meter.view.value = await api.send<MeterView>('/api/meter/simulation', what)
  } catch (error) {
    refused.value = (error as Error).message
  }
}
</script>

<template>
  <section v-if="simulation" class="card grid gap-2 border-dashed!" aria-label="Simulated machine">
    <h2>Simulated machine</h2>
    <p class="hint">The meter is the stand-in: nothing real is on.</p>
    <SelectField
      :model-value="simulation.scenario"
      label="What it does"
      :options="simulation.scenarios.map(s => ({ value: s.name, label: `${s.name.replace('-', ' ')}: ${s.says}` }))"
      @update:model-value="scenario => order({ scenario })"
    />
    <button type="button" class="button justify-center" :aria-pressed="simulation.switchedOn" @click="order({ switchedOn: !simulation.switchedOn })">
      {{ simulation.switchedOn ? 'Its switch: off' : 'Its switch: on' }}
    </button>
    <p v-if="refused" role="alert" class="text-stop">{{ refused }}</p>
  </section>
</template>
