<script setup lang="ts">
import { boardTroubles } from '#core/simulation/simulated-board'
import type { MeterView } from '#shared/chapters/meter/index'
import { useMeter } from '../meter/index'

/** Where the meter is the stand-in: which made-up board it measures, for practice. */
const api = useApi()
const session = useSession()
const meter = useMeter()
const trouble = ref('')
const options = Object.entries(boardTroubles).map(([value, label]) => ({ value, label: label[0]!.toUpperCase() + label.slice(1) }))
const chosen = computed({ get: () => meter.view.value?.simulation?.scenario ?? '', set: scenario => void choose(scenario) })
async function choose(scenario: string) {
  trouble.value = ''
  try {
    meter.view.value = await api.send<MeterView>('/api/meter/simulation', { scenario })
  } catch (error) {
    trouble.value = (error as Error).message
  }
}
</script>

<template>
  <section v-if="meter.view.value?.simulation && session.may('begin-start')" class="card grid gap-2" aria-label="Stand-in">
    <p class="hint">
      The meter is a stand-in: it measures a made-up board with the nets of this sheet, for practice. Its readings say nothing about this machine.
    </p>
    <SelectField
      v-model="chosen"
      class="max-w-md"
      label="Condition of the made-up board"
      :options="[{ value: '', label: 'Choose' }, ...options]"
      :message="trouble"
    />
  </section>
</template>
