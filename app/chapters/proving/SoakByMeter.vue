<script setup lang="ts">
import { InputError } from '#core/kernel/input-error'
import { parseQuantity } from '#core/kernel/quantity'
import { readingPasses } from '#core/retest/soak-log'
import { type MeterFunction, meterFunctionNames, meterFunctions } from '#core/power/scpi'
import { useMeter } from '../meter/index'

/** Passes by the meter: a reading every so often, within its limits or not. It goes on while this page is open, and stops where the meter does. */
const props = defineProps<{ tag: string; soakId: number }>()
const meter = useMeter()
onMounted(() => meter.view.value ?? meter.look())
const { submitCommand: tally, failure } = useCommand('tally-soak', () => props.tag)
const what = ref<MeterFunction>('dc-volts')
const typed = reactive({ from: '4.75', to: '5.25', everyS: '30' })
const running = ref(false)
const last = ref('')
const options = meterFunctionNames.map(value => ({ value, label: meterFunctions[value].title }))
const unit = computed(() => meterFunctions[what.value].unit)
const read = (field: keyof typeof typed) => parseQuantity(typed[field], '', field)
const limits = computed(() => {
  try {
    const [from, to, everyS] = [read('from'), read('to'), read('everyS')]
    if (to < from) throw new InputError('to', to, 'The upper limit lies below the lower.')
    if (everyS < 5 || everyS > 3600) throw new InputError('everyS', everyS, 'Every 5 to 3600 seconds.')
    return { from, to, everyS, field: '', message: '' }
  } catch (error) {
    if (!(error instanceof InputError)) throw error
    return { from: 0, to: 0, everyS: 0, field: error.field, message: error.message }
  }
})
const at = (field: string) => (limits.value.field === field ? limits.value.message : undefined)
let timer: ReturnType<typeof setTimeout> | undefined
async function pass() {
  const figure = await meter.read(what.value)
  if (!running.value) return
  if (figure === undefined) {
    // What was not read is no pass, and no failure either.
    last.value = `The meter gave no reading: ${meter.told.value} Nothing was counted.`
    return stop()
  }
  const good = readingPasses(figure, limits.value.from, limits.value.to)
  last.value = `${figure} ${unit.value}: ${good ? 'passed' : 'failed'}.`
  await tally({ soakId: props.soakId, passes: 1, failures: good ? 0 : 1 })
  if (failure.value) return stop()
  timer = setTimeout(() => void pass(), limits.value.everyS * 1000)
}
function start() {
  running.value = true
  void pass()
}
function stop() {
  running.value = false
  clearTimeout(timer)
}
onBeforeUnmount(stop)
</script>

<template>
  <div class="grid gap-3">
    <p v-if="!meter.there.value" class="hint">No meter is set up, under Settings.</p>
    <template v-else>
      <div class="grid grid-cols-2 gap-3 sm:grid-cols-4">
        <SelectField v-model="what" label="Reading" :options="options" />
        <MeasureField v-model="typed.from" :label="`From, ${unit}`" :message="at('from')" /><MeasureField
          v-model="typed.to"
          :label="`To, ${unit}`"
          :message="at('to')"
        />
        <MeasureField v-model="typed.everyS" label="Every, seconds" :message="at('everyS')" />
      </div>
      <p class="flex flex-wrap items-center gap-3">
        <button type="button" class="button" :disabled="!running && !!limits.message" @click="running ? stop() : start()">
          {{ running ? 'Stop reading' : 'Count readings as passes' }}
        </button>
        <span v-if="last" role="status" class="hint">{{ last }}</span>
      </p>
      <p v-if="failure" role="alert" class="text-stop">{{ failure }}</p>
      <p class="hint">It counts while this page is open; what was counted is kept.</p>
    </template>
  </div>
</template>
