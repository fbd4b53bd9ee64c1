<script setup lang="ts">
import { useFieldValue, useSetFieldValue } from 'vee-validate'
import { shownRail } from '#core/power/rails'
import type { ModelView } from '#shared/chapters/models/index'

/** Beside the form that books a machine in: what the collection knows of its model, and what its sisters had. */
const props = defineProps<{ model: ModelView }>()
const weight = useFieldValue<string>('weightKg')
const setWeight = useSetFieldValue<string>('weightKg')
// What is typed stays; an empty weight is that of the model.
watch(
  () => props.model.id,
  () => {
    if (!String(weight.value ?? '').trim() && props.model.weightKg !== null) setWeight(String(props.model.weightKg))
  },
  { immediate: true },
)
const { found } = useModelPage(() => props.model.id)
const sisters = computed(() => found.value?.machines ?? [])
const troubled = computed(() => sisters.value.filter(m => m.batteryLeaked || m.faults.length))
</script>

<template>
  <div class="grid gap-2 border-l-4 border-note bg-note-wash px-3 py-2 text-[0.9375rem]" role="status">
    <p>
      <strong>Known model.</strong> {{ model.about }}<template v-if="model.madeFrom"> Made {{ yearsMade(model) }}.</template>
    </p>
    <p v-if="model.leaked" class="font-semibold text-stop">A sister’s battery leaked. Open this one first.</p>
    <p v-if="sisters.length">
      Sisters here: {{ sisters.map(m => m.nickname || m.tag).join(', ') }}{{ model.here > sisters.length ? ` and ${model.here - sisters.length} more` : '' }}.
    </p>
    <div v-if="troubled.length">
      <p class="font-semibold">What others had</p>
      <ul class="ml-5 list-disc">
        <li v-for="sister in troubled" :key="sister.tag">
          {{ sister.nickname || sister.tag }}:
          {{ [sister.batteryLeaked && 'battery leaked', ...sister.faults.map(f => `${f.symptom}${f.open ? '' : ' (closed)'}`)].filter(Boolean).join('; ') }}
        </li>
      </ul>
    </div>
    <div v-if="model.knownFaults.length">
      <p class="font-semibold">Known faults</p>
      <ul class="ml-5 list-disc">
        <li v-for="fault in model.knownFaults" :key="fault">{{ fault }}</li>
      </ul>
    </div>
    <p v-if="model.usualKit.length">Usually complete with: {{ model.usualKit.join(', ').toLowerCase() }}.</p>
    <p v-if="model.rails.length">Rails: {{ model.rails.map(r => shownRail(r.name)).join(', ') }}.</p>
  </div>
</template>
