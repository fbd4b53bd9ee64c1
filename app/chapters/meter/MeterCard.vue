<script setup lang="ts">
import { type MeterFunction, meterFunctionNames, meterFunctions, meterStates } from '#core/power/scpi'
import type { Practice } from '#shared/chapters/practice/index'

/** Where the meter answers, and whether it does. */
const props = defineProps<{ practice: Practice }>()
const session = useSession()
const meter = useMeter()
const looking = ref(false)
const what = ref<MeterFunction>('dc-volts')
const shown = ref('')
watch(what, () => (shown.value = ''))
async function look() {
  looking.value = true
  await meter.look()
  looking.value = false
}
onMounted(look)
const initial = computed(() => ({ host: props.practice.meterHost, port: props.practice.meterPort ?? '' }))
const view = computed(() => meter.view.value)
</script>

<template>
  <OneCard
    title="Meter"
    beside
    :result="view && meterStates[view.state].title"
    hint="A multimeter that speaks SCPI over the network. The server reads it, not your browser."
  >
    <div v-if="view" class="flex flex-wrap items-center gap-x-4 gap-y-1" aria-live="polite">
      <span class="font-semibold" :class="view.state === 'ready' ? 'text-fine' : view.state === 'none' ? 'text-ink-2' : 'text-stop'">{{
        meterStates[view.state].title
      }}</span><span>{{ view.state === 'ready' ? view.identity : meterStates[view.state].says }}</span>
    </div>
    <p v-else role="status" class="hint">Asking it…</p>
    <p v-if="view?.tellsFunction === false" class="text-care">
      This meter does not report its function, so a turn of its knob between two readings goes unnoticed. Check its display too.
    </p>
    <div>
      <button type="button" class="button" :disabled="looking" @click="look">{{ looking ? 'Asking it…' : 'Ask again' }}</button>
    </div>
    <div v-if="view?.state === 'ready' && session.may('take-reading')" class="grid items-end gap-3 sm:grid-cols-[1fr_auto]">
      <SelectField v-model="what" label="Try it with" :options="meterFunctionNames.map(value => ({ value, label: meterFunctions[value].title }))" /><MeterTake
        :what="what"
        @taken="figure => (shown = figure)"
      />
    </div>
    <p v-if="shown" class="reading" role="status">{{ shown === 'OL' ? 'OL' : `${shown} ${meterFunctions[what].unit}` }}</p>
    <CommandForm
      v-if="session.may('set-meter')"
      command="set-meter"
      :initial="initial"
      :fixed="{ version: practice.version }"
      :words="{ host: 'Host', port: 'Port' }"
      label="Meter"
      submit="Save meter"
      keeps
      @done="look"
      ><div class="grid gap-3 sm:grid-cols-2">
        <TextField name="host" label="Host" hint="Leave empty for no meter. For practice: npm run meter, then 127.0.0.1" /><TextField
          name="port"
          label="Port"
          numeric
          hint="Usually 5025"
        /></div
    ></CommandForm>
    <dl v-else>
      <dt class="hint">Host and port</dt>
      <dd class="figure">{{ practice.meterHost || 'none' }} {{ practice.meterPort ?? '' }}</dd>
    </dl>
  </OneCard>
</template>
