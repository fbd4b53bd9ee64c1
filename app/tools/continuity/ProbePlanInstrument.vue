<script setup lang="ts">
import { type Probe, type ProbeKind, planProbes } from '#core/continuity/probe-plan'
import { readNetList } from '#core/continuity/read-net-list'
import { decidingLevel } from '#core/kernel/finding'
import { InputError } from '#core/kernel/input-error'
import { parseQuantity } from '#core/kernel/quantity'
import { continuityProbePlan } from '#shared/tools/continuity/probe-plan'

/** A board as a table, the parts that stand in the damage: the checks to make. */
const emit = defineEmits<{ input: [input: Record<string, unknown> | undefined] }>()
const { pins, zone, bridges = [] } = continuityProbePlan.example
const table = ref(['net, part, pin, x, y', ...pins.map(p => [p.net, p.part, p.pin, p.xMm, p.yMm].join(', '))].join('\n'))
const parts = ref((zone.parts ?? []).join(', '))
const between = ref(bridges.map(b => `${b.part} ${b.ohm}`).join('\n'))
const oneHop = ref(true)
const shown = ref(30)
const listed = (text: string) =>
  text
    .split(/[\s,;]+/)
    .map(word => word.trim())
    .filter(Boolean)

function board() {
  const { pins: read, problems } = readNetList(table.value)
  if (problems.length) throw new InputError('pins', table.value, `Line ${problems[0]!.line}: ${problems[0]!.message}`)
  return read
}
const bridgesTyped = () =>
  between.value
    .split('\n')
    .map(line => line.trim())
    .filter(Boolean)
    .map((line, i) => {
      const [part = '', ohm = ''] = line.split(/[\s,;]+/)
      return { part, ohm: parseQuantity(ohm, 'Ω', `bridges.${i}`) }
    })
const { result, at } = useInstrument(
  () => ({ pins: board(), zone: { parts: listed(parts.value) }, oneHop: oneHop.value, bridges: bridgesTyped() }),
  planProbes,
  input => emit('input', input),
)
const kinds: Record<ProbeKind, string> = { whole: 'joined', rail: 'joined to the rail', bridge: 'its value', short: 'not joined' }
const nets = (p: Probe) => (p.netA === p.netB ? p.netA : `${p.netA}, ${p.netB}`)
</script>

<template>
  <div class="grid items-start gap-4 lg:grid-cols-[24rem_minmax(0,1fr)]">
    <OneCard title="The board">
      <FieldFrame id="pins" v-slot="{ described }" label="Net, part, pin; x and y in mm where known" :message="at('pins') ?? at('file')">
        <textarea id="pins" v-model="table" class="entry figure text-sm" rows="10" :aria-describedby="described" :aria-invalid="!!at('pins')" />
      </FieldFrame>
      <FieldFrame id="parts" v-slot="{ described }" label="Parts in the damage" :message="at('zone')">
        <input id="parts" v-model="parts" class="entry figure" :aria-describedby="described" :aria-invalid="!!at('zone')" />
      </FieldFrame>
      <FieldFrame
        id="bridges"
        v-slot="{ described }"
        label="Resistors and printed jumpers between nets"
        hint="Part and ohms, one a line"
        :message="at('bridges')"
      >
        <textarea id="bridges" v-model="between" class="entry figure text-sm" rows="2" :aria-describedby="described" :aria-invalid="!!at('bridges')" />
      </FieldFrame>
      <label class="flex min-h-8 items-center gap-2"
        ><input v-model="oneHop" type="checkbox" class="h-5 w-5 accent-enamel" />Include nets one part further</label
      >
      <CautionNote about="mains" />
    </OneCard>
    <OneCard title="The checks">
      <template v-if="result">
        <InstrumentFace
          :label="`Checks for ${result.nets} nets${result.travelMm === null ? '' : `; the probes travel ${three(result.travelMm / 1000)} m`}`"
          :figure="String(result.probes.length)"
          :judgement="`${result.spared} spared`"
          :level="decidingLevel(result.findings)"
        />
        <table class="w-full text-left">
          <thead>
            <tr class="hint">
              <th class="py-1 pr-3 font-normal">From</th>
              <th class="py-1 pr-3 font-normal">To</th>
              <th class="py-1 pr-3 font-normal">Net</th>
              <th class="py-1 font-normal">Expected</th>
            </tr>
          </thead>
          <tbody class="divide-y divide-line">
            <tr v-for="(probe, i) in result.probes.slice(0, shown)" :key="i">
              <td class="figure py-1 pr-3 font-semibold">{{ probe.a }}</td>
              <td class="figure py-1 pr-3 font-semibold">{{ probe.b }}</td>
              <td class="figure py-1 pr-3">{{ nets(probe) }}</td>
              <td class="py-1">{{ probe.kind === 'bridge' ? `${three(probe.expectOhm!)} Ω` : kinds[probe.kind] }}</td>
            </tr>
          </tbody>
        </table>
        <button v-if="result.probes.length > shown" type="button" class="button w-fit" @click="shown += 200">{{ result.probes.length - shown }} more</button>
        <FindingList :findings="result.findings" />
      </template>
      <EmptyPlace v-else says="Choose the board and the damaged parts; the checks will appear here." />
    </OneCard>
  </div>
</template>
