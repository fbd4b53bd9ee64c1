<script setup lang="ts">
import { PhGauge } from '@phosphor-icons/vue'
import { useField } from 'vee-validate'
import type { MeterFunction } from '#core/power/scpi'

/** Takes a figure from the meter into a field of the form around it; shown only where there is a meter. */
const props = defineProps<{ what: MeterFunction, into: string }>()
const { setValue } = useField<string>(() => props.into)
const meter = useMeter()
onMounted(() => meter.view.value ?? meter.look())

async function take() {
  const figure = await meter.read(props.what)
  if (figure !== undefined) setValue(figure)
}
</script>

<template>
  <div v-if="meter.there.value" class="grid content-end gap-1">
    <button type="button" class="button" :disabled="meter.busy.value" @click="take"><PhGauge aria-hidden="true" />{{ meter.busy.value ? 'Reading…' : 'Read from the meter' }}</button>
    <p v-if="meter.told.value" role="status" class="hint">{{ meter.told.value }}</p>
  </div>
</template>
