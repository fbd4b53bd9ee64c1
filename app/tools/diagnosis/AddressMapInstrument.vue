<script setup lang="ts">
import { type Base, bases, mapAddresses } from '#core/diagnosis/address-map'
import { InputError } from '#core/kernel/input-error'
import { parseQuantity } from '#core/kernel/quantity'
import { diagnosisAddressMap } from '#shared/tools/diagnosis/address-map'

/** A map of an address space, and an address in every way of writing it. */
const emit = defineEmits<{ input: [input: Record<string, unknown> | undefined] }>()
const { example } = diagnosisAddressMap
const typed = reactive({ bits: String(example.bits), regions: example.regions.map(r => `${r.from} ${r.to} ${r.name}`).join('\n'), ask: String(example.ask) })
const base = ref<Base>(example.base)
const { result, at } = useInstrument(
  () => ({
    bits: parseQuantity(typed.bits, '', 'bits'),
    base: base.value,
    regions: typed.regions
      .split('\n')
      .filter(line => line.trim())
      .map((line, i) => {
        const [from, to, ...name] = line.trim().split(/\s+/)
        if (!from || !to) throw new InputError('regions', line, `Line ${i + 1}: first address, last address, and what it is.`)
        return { from, to, name: name.join(' ') || `region ${i + 1}` }
      }),
    ...(typed.ask.trim() ? { ask: typed.ask } : {}),
  }),
  mapAddresses,
  told => emit('input', told),
)
const names = { hex: 'Hex', octal: 'Octal', decimal: 'Decimal' } as const
const size = (bytes: number) => (bytes % 1024 === 0 ? `${(bytes / 1024).toLocaleString('en-GB')} KB` : `${bytes.toLocaleString('en-GB')} bytes`)
const all = computed(() => [...(result.value?.regions ?? []), ...(result.value?.gaps ?? [])].sort((a, b) => a.from - b.from))
</script>

<template>
  <div class="grid items-start gap-4 lg:grid-cols-2">
    <OneCard title="The map">
      <div class="grid grid-cols-2 gap-3">
        <MeasureField v-model="typed.bits" label="Address lines" :message="at('bits')" /><SelectField
          v-model="base"
          label="Addresses are written in"
          :options="bases.map(value => ({ value, label: names[value] }))"
        />
      </div>
      <FieldFrame id="regions" v-slot="{ described }" label="First, last and what is there" hint="One region a line" :message="at('regions')">
        <textarea id="regions" v-model="typed.regions" class="entry figure" rows="6" :aria-describedby="described" :aria-invalid="!!at('regions')" />
      </FieldFrame>
      <FieldFrame id="ask" v-slot="{ described }" label="An address" hint="0x, $ or h for hex and 0o for octal, whatever the base" :message="at('ask')">
        <input id="ask" v-model="typed.ask" class="entry reading" autocomplete="off" :aria-describedby="described" :aria-invalid="!!at('ask')" />
      </FieldFrame>
    </OneCard>
    <OneCard title="Address map">
      <template v-if="result">
        <InstrumentFace
          v-if="result.asked"
          label="It lies in"
          :figure="result.asked.region"
          :judgement="`${base === 'hex' ? result.asked.octal : result.asked.hex} ${base === 'hex' ? 'octal' : 'hex'}`"
          level="note"
        />
        <dl v-if="result.asked" class="grid grid-cols-[5rem_1fr] gap-x-3">
          <template v-for="way in ['hex', 'octal', 'decimal', 'binary'] as const" :key="way">
            <dt class="hint">{{ way }}</dt>
            <dd class="figure break-all">{{ result.asked[way] }}</dd>
          </template>
        </dl>
        <ul class="grid divide-y divide-line border-y border-line">
          <li
            v-for="region in all"
            :key="`${region.from} ${region.name}`"
            class="grid grid-cols-[1fr_auto] gap-x-3 py-1"
            :class="region.name === 'nothing' && 'text-ink-2'"
          >
            <span>{{ region.name }}</span><span class="figure text-right">{{ size(region.bytes) }}</span
            ><span class="figure text-sm">{{ region.written.join(' – ') }}</span>
          </li>
        </ul>
        <FindingList :findings="result.findings" />
      </template>
      <EmptyPlace v-else says="Enter a map; what is at each address will appear here." />
    </OneCard>
  </div>
</template>
