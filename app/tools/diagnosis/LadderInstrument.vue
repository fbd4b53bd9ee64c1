<script setup lang="ts">
import { climb, type MachineClass, type Observation, machineClassNames, machineClasses, observations, rungNames } from '#core/diagnosis/ladder'
import type { BenchMapOf } from '#shared/chapters/faults/index'
import { diagnosisLadder } from '#shared/tools/diagnosis/ladder'

/** What was seen and heard, pressed; the rungs from the rails up, with what each is known to be. */
const { known, blank, rails } = defineProps<{ known?: BenchMapOf<'ladder'>; blank?: boolean; rails?: Observation | null }>()
const emit = defineEmits<{ input: [input: Record<string, unknown> | undefined] }>()
const { example } = diagnosisLadder
const machine = ref<MachineClass>(known?.machine ?? example.machine)
const seen = ref<Observation[]>(rails ? [rails] : blank ? [] : [...example.seen])
const { result } = useInstrument(
  () => ({ machine: machine.value, seen: [...seen.value], ...(known?.more.length ? { more: known.more } : {}) }),
  climb,
  told => emit('input', told),
)
const toggle = (one: Observation) => (seen.value = seen.value.includes(one) ? seen.value.filter(o => o !== one) : [...seen.value, one])
const classes = machineClasses.map(value => ({ value, label: machineClassNames[value] }))
const words = { works: 'seen to work', suspect: 'under suspicion', contradicted: 'contradicts itself', unknown: 'not known' } as const
const signs = { works: '○', suspect: '?', contradicted: '!', unknown: '·' } as const
const inks = { works: 'text-fine', suspect: 'text-care', contradicted: 'text-stop', unknown: 'text-ink-2' } as const
</script>

<template>
  <div class="grid items-start gap-4 lg:grid-cols-2">
    <OneCard title="What is seen and heard">
      <SelectField v-model="machine" label="It is a" :options="classes" />
      <div class="flex flex-wrap gap-1.5" role="group" aria-label="Seen and heard">
        <button
          v-for="(says, one) in observations"
          :key="one"
          type="button"
          class="button min-h-9! px-2! py-0.5! text-left text-[0.9375rem] max-wide:min-h-11!"
          :class="seen.includes(one) && 'button-main'"
          :aria-pressed="seen.includes(one)"
          @click="toggle(one)"
        >
          {{ says }}
        </button>
      </div>
      <p v-if="rails && seen.includes(rails)" class="hint">“{{ observations[rails] }}” is as its rails were read last.</p>
      <p v-if="known?.more.length" class="hint">With {{ known.more.length === 1 ? 'a rule' : `${known.more.length} rules` }} of this model.</p>
      <p><button type="button" class="button button-quiet" :disabled="!seen.length" @click="seen = []">Nothing seen yet</button></p>
      <CautionNote about="mains" />
    </OneCard>
    <OneCard title="The ladder" hint="The first rung that was not seen to work is next, whatever the screen suggests.">
      <template v-if="result">
        <FindingList :findings="result.findings" />
        <ol class="grid divide-y divide-line border-y border-line" aria-label="Rungs">
          <li v-for="rung in result.rungs" :key="rung.rung" class="grid grid-cols-[1.5rem_1fr] py-1" :class="rung.rung === result.next?.rung && 'bg-note-wash'">
            <span :class="inks[rung.state]" class="font-semibold" aria-hidden="true">{{ signs[rung.state] }}</span>
            <div>
              <span class="font-semibold">{{ rungNames[rung.rung] }}</span>&ensp;<span :class="inks[rung.state]">{{ words[rung.state] }}</span>
              <p v-for="reason in rung.because" :key="reason" class="hint">{{ reason }}</p>
            </div>
          </li>
        </ol>
      </template>
    </OneCard>
  </div>
</template>
