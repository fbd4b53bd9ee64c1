<script setup lang="ts">
import { decidingLevel } from '#core/kernel/finding'
import { lineKindNames } from '#core/signals/judge-lines'
import { type CaptureScenario, captureScenarios, madeUpCapture } from '#core/signals/made-up'
import { signalsCapture } from '#shared/tools/signals/capture'

/** A capture from a file, or made up for practice: what each line does, and the trace. */
/** What was kept, or an empty face. */
const { kept, blank } = defineProps<{ kept?: string; blank?: boolean }>()
const emit = defineEmits<{ input: [input: Record<string, unknown> | undefined] }>()
const { capture, result, trouble, busy, read, cancel } = useCapture()
const id = useId()
const scenario = ref<CaptureScenario | ''>('')
const scenarios = [
  { value: '' as const, label: 'Choose' },
  ...Object.entries(captureScenarios).map(([value, label]) => ({ value: value as CaptureScenario, label })),
]
const largest = { read: 60_000_000, pinned: 900_000 }
const tooLarge = ref('')
const keeps = ref(true)
async function take(text: string | Promise<string>) {
  emit('input', undefined)
  await read(text)
  const whole = await text
  keeps.value = whole.length <= largest.pinned
  if (result.value && keeps.value) emit('input', { text: whole })
}
function fromFile(file: File | undefined) {
  tooLarge.value = file && file.size > largest.read ? `${file.name} is larger than 60 MB. Capture for a shorter time.` : ''
  if (file && !tooLarge.value) void take(file.text())
}
watch(scenario, name => name && void take(madeUpCapture(name)))
watch(
  () => kept,
  text => text && void take(text),
)
onMounted(() => {
  const first = kept ?? (blank ? undefined : signalsCapture.example.text)
  if (first) void take(first)
})
const rate = (hz: number) => (hz >= 1e6 ? `${three(hz / 1e6)} MHz` : hz >= 1e3 ? `${three(hz / 1e3)} kHz` : `${three(hz)} Hz`)
const words = { yes: 'yes', no: 'no sign of it', unknown: 'cannot be said' } as const
</script>

<template>
  <div class="grid gap-4">
    <OneCard v-if="!kept" title="The capture" hint="A Value Change Dump, or a table: time, then a column for each line, as levels or volts.">
      <div class="grid gap-3 md:grid-cols-2">
        <FieldFrame :id="id" v-slot="{ described }" label="From a file" :message="tooLarge || trouble"
          ><input :id="id" type="file" class="entry" :aria-describedby="described" @change="e => fromFile((e.target as HTMLInputElement).files?.[0])"
        /></FieldFrame>
        <SelectField v-model="scenario" label="Or made up, for practice" :options="scenarios" />
      </div>
      <p v-if="busy" role="status" class="flex items-center gap-3">Reading… <button type="button" class="button" @click="cancel">Cancel</button></p>
      <p v-if="!keeps" class="hint">More than {{ largest.pinned / 1000 }} kB as text: it is read and judged here, and not kept. A shorter stretch is.</p>
      <ul v-if="capture?.problems.length" class="max-h-32 overflow-auto text-stop">
        <li v-for="problem in capture.problems" :key="problem.line + problem.message">Line {{ problem.line }}: {{ problem.message }}</li>
      </ul>
    </OneCard>
    <OneCard v-if="result && capture" title="What the lines do">
      <InstrumentFace
        label="Code is being executed"
        :figure="words[result.executing]"
        :judgement="`${capture.lines.length} lines`"
        :level="decidingLevel(result.findings)"
      />
      <FindingList :findings="result.findings" />
      <SignalTrace :lines="capture.lines" :duration-s="capture.durationS" />
      <div class="relative overflow-x-auto" tabindex="0" role="region" aria-label="What each line does">
        <table class="w-full text-left">
          <thead>
            <tr class="hint">
              <th v-for="head in ['Line', 'It is', 'Rate', 'High', 'Changes', 'In step with']" :key="head" class="py-1 pr-4 font-normal">{{ head }}</th>
            </tr>
          </thead>
          <tbody class="divide-y divide-line">
            <tr v-for="(line, i) in result.lines" :key="line.name + i">
              <td class="figure py-1 pr-4 font-semibold">{{ line.name }}</td>
              <td class="py-1 pr-4">{{ lineKindNames[line.kind] }}</td>
              <td class="figure py-1 pr-4">{{ line.rateHz === null ? '' : rate(line.rateHz) }}</td>
              <td class="figure py-1 pr-4">{{ line.duty === null ? '' : `${Math.round(line.duty * 100)} %` }}</td>
              <td class="figure py-1 pr-4">{{ line.changes.toLocaleString('en-GB') }}</td>
              <td class="py-1">{{ line.inStep.map(s => `${s.with}${s.inverted ? ', the other way' : ''}`).join('; ') }}</td>
            </tr>
          </tbody>
        </table>
      </div>
    </OneCard>
  </div>
</template>
