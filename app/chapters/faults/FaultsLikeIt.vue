<script setup lang="ts">
import { useSetFieldValue } from 'vee-validate'
import type { SheetOf } from '#shared/chapters/index'

/** What the model is known for, and what its sisters had; a press takes the words over. */
defineProps<{ sheet: SheetOf<'faults'> }>()
const setSymptom = useSetFieldValue<string>('symptom')
</script>

<template>
  <div
    v-if="sheet.knownFaults.length || sheet.sisterFaults.length || sheet.codes.length"
    class="grid gap-1 border-l-4 border-note bg-note-wash px-3 py-2 text-[0.9375rem]"
  >
    <template v-if="sheet.knownFaults.length">
      <p class="font-semibold">Known about this model</p>
      <ul>
        <li v-for="fault in sheet.knownFaults" :key="fault">
          <button type="button" class="py-0.5 text-left underline max-wide:min-h-11" @click="setSymptom(fault)">{{ fault }}</button>
        </li>
      </ul>
    </template>
    <template v-if="sheet.sisterFaults.length">
      <p class="font-semibold">What others of this model had</p>
      <ul>
        <li v-for="fault in sheet.sisterFaults" :key="fault.tag + fault.symptom">
          <button type="button" class="py-0.5 text-left underline max-wide:min-h-11" @click="setSymptom(fault.symptom)">{{ fault.symptom }}</button>
          <span class="hint">&ensp;{{ fault.name }}; {{ fault.open ? 'still open' : fault.did ? `it was: ${fault.did}` : 'closed' }}</span>
        </li>
      </ul>
    </template>
    <details v-if="sheet.codes.length">
      <summary class="font-semibold">Its codes ({{ sheet.codes.length }})</summary>
      <ul>
        <li v-for="one in sheet.codes" :key="one.code">
          <span class="figure font-semibold">{{ one.code }}</span> {{ one.says }}
          <span v-if="one.turnedOut.length" class="hint">&ensp;turned out to be: {{ one.turnedOut.map(t => `${t.cause} (${t.tag})`).join('; ') }}</span>
        </li>
      </ul>
    </details>
  </div>
</template>
