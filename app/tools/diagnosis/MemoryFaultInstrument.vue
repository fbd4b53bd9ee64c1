<script setup lang="ts">
import { type Base, bases, writeAddress } from '#core/diagnosis/address-map'
import { readBanks, readFailures } from '#core/diagnosis/bench-maps'
import { judgeMemory } from '#core/diagnosis/memory-fault'
import { parseQuantity } from '#core/kernel/quantity'
import type { BenchMap, BenchMapOf } from '#shared/chapters/faults/index'
import { diagnosisMemoryFault } from '#shared/tools/diagnosis/memory-fault'

/** What a memory test printed: the chip by its place, or what else it is. */
const { known, blank } = defineProps<{ known?: BenchMapOf<'memory'>; blank?: boolean }>()
const emit = defineEmits<{ input: [input: Record<string, unknown> | undefined]; map: [map: BenchMap | undefined] }>()
const { example } = diagnosisMemoryFault
const base = ref<Base>(known?.base ?? 'hex')
const hex = (value: number, bits: number) => writeAddress(value, 'hex', bits)
const typed = reactive({
  widthBits: String(known?.widthBits ?? example.widthBits),
  bitsPerChip: String(known?.bitsPerChip ?? example.bitsPerChip),
  banks:
    known?.banks ??
    (blank ? '' : example.banks.map(b => `${hex(b.from, 16)} ${hex(b.to, 16)} ${b.name.replaceAll(' ', '-')}: ${b.chips.join(' ')}`).join('\n')),
  failures: blank ? '' : example.failures.map(f => `${hex(f.address, 16)} ${hex(f.expected, 8)} ${hex(f.read, 8)}`).join('\n'),
  passes: '',
  failedPasses: '',
})
const addressInData = ref(false)
const onlyAfterWaiting = ref(false)
const { result, at } = useInstrument(
  () => ({
    widthBits: parseQuantity(typed.widthBits, '', 'widthBits'),
    bitsPerChip: parseQuantity(typed.bitsPerChip, '', 'bitsPerChip'),
    banks: readBanks(typed.banks, base.value),
    failures: readFailures(typed.failures, base.value),
    addressInData: addressInData.value,
    onlyAfterWaiting: onlyAfterWaiting.value,
    ...(typed.passes.trim() ? { passes: parseQuantity(typed.passes, '', 'passes') } : {}),
    ...(typed.failedPasses.trim() ? { failedPasses: parseQuantity(typed.failedPasses, '', 'failedPasses') } : {}),
  }),
  judgeMemory,
  told => {
    emit('input', told)
    const { widthBits, bitsPerChip } = (told ?? {}) as { widthBits?: number; bitsPerChip?: number }
    emit('map', widthBits && bitsPerChip ? { kind: 'memory', base: base.value, widthBits, bitsPerChip, banks: typed.banks.trim() } : undefined)
  },
)
const names = { hex: 'Hex', octal: 'Octal', decimal: 'Decimal' } as const
const words = {
  'none': 'nothing yet',
  'cell': 'one cell',
  'chip': 'a chip',
  'data-line': 'a data line',
  'joined-bits': 'two lines joined',
  'address-line': 'an address line',
  'joined-addresses': 'two address lines joined',
  'bank': 'a whole bank',
  'refresh': 'refresh',
  'not-memory': 'not the memory',
  'unclear': 'not clear',
} as const
</script>

<template>
  <div class="grid items-start gap-4 lg:grid-cols-2">
    <OneCard title="What the test showed">
      <div class="grid grid-cols-3 gap-3">
        <SelectField v-model="base" label="Written in" :options="bases.map(value => ({ value, label: names[value] }))" />
        <MeasureField v-model="typed.widthBits" label="Bits a word" :message="at('widthBits')" />
        <MeasureField v-model="typed.bitsPerChip" label="Bits a chip" :message="at('bitsPerChip')" />
      </div>
      <FieldFrame id="failures" v-slot="{ described }" label="Address, expected, read" hint="One failure a line" :message="at('failures')">
        <textarea id="failures" v-model="typed.failures" class="entry figure" rows="6" :aria-describedby="described" :aria-invalid="!!at('failures')" />
      </FieldFrame>
      <FieldFrame
        id="banks"
        v-slot="{ described }"
        label="Banks: first, last, name: chips from bit 0"
        hint="A number after the name for interleaved banks: each second word of /2"
        :message="at('banks')"
      >
        <textarea id="banks" v-model="typed.banks" class="entry figure text-sm" rows="4" :aria-describedby="described" :aria-invalid="!!at('banks')" />
      </FieldFrame>
      <div class="flex flex-wrap gap-x-5">
        <label class="flex min-h-11 items-center gap-2"
          ><input v-model="addressInData" type="checkbox" class="h-5 w-5 accent-enamel" />Each word held its own address</label
        >
        <label class="flex min-h-11 items-center gap-2"
          ><input v-model="onlyAfterWaiting" type="checkbox" class="h-5 w-5 accent-enamel" />It failed only after standing a while</label
        >
      </div>
      <div class="grid grid-cols-2 gap-3">
        <MeasureField v-model="typed.passes" label="Passes" :message="at('passes')" /><MeasureField
          v-model="typed.failedPasses"
          label="How many failed"
          :message="at('failedPasses')"
        />
      </div>
    </OneCard>
    <OneCard title="What it is">
      <template v-if="result">
        <InstrumentFace
          label="By this pattern"
          :figure="result.chips.length === 1 && ['chip', 'cell'].includes(result.kind) ? result.chips[0]!.place : words[result.kind]"
          :judgement="words[result.kind]"
          :level="result.kind === 'none' ? 'note' : 'care'"
        />
        <FindingList :findings="result.findings" />
        <ul v-if="result.chips.length" class="grid divide-y divide-line border-y border-line" aria-label="Chips">
          <li v-for="chip in result.chips.slice(0, 16)" :key="chip.place + chip.bank" class="flex flex-wrap gap-x-4 py-1">
            <span class="figure font-semibold">{{ chip.place }}</span><span>{{ chip.bank }}</span
            ><span>bit {{ chip.bits.join(', ') }}</span
            ><span class="figure ml-auto">{{ chip.failures }}</span>
          </li>
        </ul>
        <p v-if="result.bits.length" class="hint">
          {{ result.bits.map(b => `Bit ${b.bit}: ${b.failures}${b.stuck === 'either' ? '' : `, always ${b.stuck}`}`).join('; ') }}
        </p>
      </template>
      <EmptyPlace v-else says="Enter the failures; what they have in common will appear here." />
    </OneCard>
  </div>
</template>
