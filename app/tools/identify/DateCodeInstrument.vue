<script setup lang="ts">
import { defaultEarliestYear, defaultLatestYear, readDateCode } from '#core/identify/date-code'
import { identifyDateCode } from '#shared/tools/identify/date-code'

/** Type a marking, see every date it could be. */
const emit = defineEmits<{ input: [input: Record<string, unknown> | undefined] }>()
const code = ref(identifyDateCode.example.code)
const earliestYear = ref(defaultEarliestYear)
const latestYear = ref(defaultLatestYear)
const { result, at } = useInstrument(
  () => ({ code: code.value, earliestYear: Number(earliestYear.value), latestYear: Number(latestYear.value) }),
  readDateCode,
  input => emit('input', input),
)
</script>

<template>
  <div class="grid items-start gap-4 lg:grid-cols-[20rem_1fr]">
    <OneCard title="Marking">
      <FieldFrame id="code" v-slot="{ described }" label="As marked on the part" :message="at('code')"
        ><input id="code" v-model="code" class="entry reading text-3xl!" autocomplete="off" :aria-describedby="described" :aria-invalid="!!at('code')"
      /></FieldFrame>
      <div class="grid grid-cols-2 gap-3">
        <FieldFrame id="from" label="Not before" :message="at('earliestYear')"
          ><input id="from" v-model="earliestYear" class="entry figure" inputmode="numeric" :aria-invalid="!!at('earliestYear')"
        /></FieldFrame>
        <FieldFrame id="to" label="Not after" :message="at('latestYear')"
          ><input id="to" v-model="latestYear" class="entry figure" inputmode="numeric" :aria-invalid="!!at('latestYear')"
        /></FieldFrame>
      </div>
    </OneCard>
    <OneCard title="Readings" hint="Best first.">
      <div v-if="result" class="grid gap-3" aria-live="polite">
        <ol class="grid gap-2">
          <li
            v-for="(reading, i) in result.readings"
            :key="reading.format + reading.firstDay"
            class="grid gap-x-4 border-l-4 px-3 py-1 sm:grid-cols-[9rem_1fr]"
            :class="i ? 'border-line' : 'border-enamel'"
          >
            <span class="reading">{{ reading.isoWeek ?? reading.isoMonth }}</span><span
              ><span class="font-semibold first-letter:uppercase">{{ reading.says }}</span
              >, {{ reading.firstDay }} to {{ reading.lastDay }}<span class="hint block">{{ reading.because.join(' ') }}</span></span
            >
          </li>
        </ol>
        <FindingList :findings="result.findings.filter(f => f.level !== 'fine')" brief />
        <details v-if="result.refused.length" :open="!result.readings.length">
          <summary class="cursor-pointer font-semibold">Refused ({{ result.refused.length }})</summary>
          <ul class="ml-5 list-disc">
            <li v-for="refusal in result.refused" :key="refusal.says">{{ refusal.says }}</li>
          </ul>
        </details>
      </div>
      <EmptyPlace v-else says="Type a marking; what it may mean will appear here." />
    </OneCard>
  </div>
</template>
