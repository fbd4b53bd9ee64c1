<script setup lang="ts">
import { PhGauge } from '~/kernel/signs/icons'
import type { MeterFunction } from '#core/power/scpi'

/** Asks the meter for a figure, and says what became of it; shown only where there is a meter. */
const props = defineProps<{ what: MeterFunction; brief?: boolean; label?: string }>()
const emit = defineEmits<{ taken: [figure: string] }>()
const session = useSession()
const meter = useMeter()
onMounted(() => session.person && (meter.view.value ?? meter.look()))

async function take() {
  const figure = await meter.read(props.what)
  if (figure !== undefined) emit('taken', figure)
}
</script>

<template>
  <div v-if="session.may('take-reading') && meter.there.value" class="grid content-end gap-1">
    <button type="button" class="button justify-self-start" :disabled="meter.busy.value" @click="take">
      <PhGauge aria-hidden="true" />{{ meter.busy.value ? 'Reading…' : brief ? 'From the meter' : 'Read from the meter'
      }}<span v-if="label" class="sr-only"> {{ label }}</span>
    </button>
    <p v-if="meter.told.value" role="status" class="hint">{{ meter.told.value }}</p>
  </div>
</template>
