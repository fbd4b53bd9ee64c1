<script setup lang="ts">
import { type BenchMap, type FaultInstrument, faultInstrumentIds } from '#shared/chapters/faults/index'
import type { MachineSheet, SheetOf } from '#shared/chapters/index'
import { toolById } from '#shared/tools/index'
import { instruments } from '~/tools/instruments'

/** The instruments of the bench at a fault, with what is known of its model; what one says is kept as an attempt. */
const props = defineProps<{ sheet: SheetOf<'faults'>; fault: MachineSheet['faults'][number] }>()
const session = useSession()
const which = ref<FaultInstrument>('diagnosis/ladder')
const input = ref<Record<string, unknown>>()
const map = ref<BenchMap>()
watch(which, () => (input.value = map.value = undefined))
const options = faultInstrumentIds.map(value => ({ value, label: toolById(value)!.title }))
const known = computed(() => {
  const { ladder, keyboard, memory } = props.sheet.benchMaps
  return {
    'diagnosis/ladder': ladder,
    'diagnosis/keyboard-matrix': keyboard,
    'diagnosis/memory-fault': memory,
    'diagnosis/address-map': undefined,
    'signals/capture': undefined,
  }[which.value]
})
/** The ladder begins with what the rails were read to be. */
const read = computed(() => (which.value === 'diagnosis/ladder' ? { rails: props.sheet.railsOnRecord } : {}))
const keepsMap = computed(
  () => map.value && props.sheet.modelId !== null && session.may('keep-bench-map') && JSON.stringify(map.value) !== JSON.stringify(known.value),
)
const { submitCommand: keepMap, busy, failure } = useCommand('keep-bench-map', () => undefined)
</script>

<template>
  <div class="grid gap-3">
    <SelectField v-model="which" label="Instrument" :options="options" />
    <component :is="instruments[which]" :key="which" class="grid-cols-1!" blank :known="known" v-bind="read" @input="input = $event" @map="map = $event" />
    <p v-if="keepsMap" class="flex flex-wrap items-center gap-3">
      <button
        type="button"
        class="button"
        :disabled="busy"
        @click="keepMap({ modelId: sheet.modelId!, version: sheet.benchMapVersions[map!.kind] ?? 0, map: map! })"
      >
        Save this map with the model
      </button>
      <span class="hint">It will be offered at the next fault of another machine of this model.</span>
    </p>
    <p v-if="failure" role="alert" class="text-stop">{{ failure }}</p>
    <CommandForm
      v-if="input && session.may('keep-judgement')"
      command="keep-judgement"
      :machine="sheet.tag"
      :initial="{ minutes: '' as never, name: '' }"
      :fixed="{ faultId: fault.id, tool: which, input }"
      label="Save the result"
      submit="Save as an attempt"
      ><div class="grid gap-3 sm:grid-cols-[8rem_1fr]">
        <TextField name="minutes" label="Minutes" numeric /><TextField v-if="which === 'signals/capture'" name="name" label="What was captured" /></div
    ></CommandForm>
  </div>
</template>
