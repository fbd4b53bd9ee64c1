<script setup lang="ts">
import { PhPlus, PhX } from '~/kernel/signs/icons'
import { type Level, decidingLevel } from '#core/kernel/finding'
import { parseQuantity } from '#core/kernel/quantity'
import { discharge, hazardousEnergyJ } from '#core/power/discharge'
import { powerDischarge } from '#shared/tools/power/discharge'

/** Capacitors, what they hold, and how they are emptied. */
const emit = defineEmits<{ input: [input: Record<string, unknown> | undefined] }>()
const { example } = powerDischarge
const typed = (value: number | undefined) => (value === undefined ? '' : engineering(value, '').replace(' ', ''))
const rows = ref(
  example.capacitors.map(c => ({
    name: c.name ?? '',
    capacitance: typed(c.capacitanceF),
    voltage: typed(c.voltageV),
    bleeder: typed(c.bleederOhm),
    joined: false,
  })),
)
const tool = reactive({ resistor: '', safe: typed(example.safeVoltageV), wait: '0' })
const optional = (typed: string, unit: 'Ω' | 'V', field: string) => (typed.trim() ? parseQuantity(typed, unit, field) : undefined)
const { result, at } = useInstrument(
  () => ({
    capacitors: rows.value.map((row, i) => ({
      name: row.name.trim() || undefined,
      capacitanceF: parseQuantity(row.capacitance, 'F', `capacitors.${i}.capacitanceF`),
      voltageV: parseQuantity(row.voltage, 'V', `capacitors.${i}.voltageV`),
      joined: i > 0 && row.joined,
      bleederOhm: optional(row.bleeder, 'Ω', `capacitors.${i}.bleederOhm`),
    })),
    resistorOhm: optional(tool.resistor, 'Ω', 'resistorOhm'),
    safeVoltageV: optional(tool.safe, 'V', 'safeVoltageV'),
    waitSeconds: parseQuantity(tool.wait || '0', '', 'waitSeconds'),
  }),
  discharge,
  input => emit('input', input),
)
const judgements: Record<Level, string> = { stop: 'Do not touch', care: 'Discharge it first', fine: 'Little is held', note: 'Measure it' }
</script>

<template>
  <div class="grid items-start gap-4 lg:grid-cols-2">
    <div class="grid gap-4">
      <CautionNote about="stored-charge" />
      <OneCard title="Capacitors" hint="As on their labels: 220u, 10m, 4700 uF">
        <div v-for="(row, i) in rows" :key="i" class="grid grid-cols-2 items-start gap-2 border-l-4 border-line pl-2">
          <MeasureField v-model="row.name" label="Name" words /><button
            type="button"
            class="button button-quiet mt-7 justify-self-end"
            @click="rows.splice(i, 1)"
          >
            <PhX aria-hidden="true" />Leave out
          </button>
          <MeasureField v-model="row.capacitance" label="Capacitance" :message="at(`capacitors.${i}.capacitanceF`)" /><MeasureField
            v-model="row.voltage"
            label="Voltage"
            :message="at(`capacitors.${i}.voltageV`)"
          />
          <MeasureField v-model="row.bleeder" label="Bleeder" hint="Leave empty if none" :message="at(`capacitors.${i}.bleederOhm`)" />
          <label v-if="i > 0" class="flex items-center gap-2 self-end pb-2"
            ><input v-model="row.joined" type="checkbox" class="h-5 w-5 accent-enamel" />Joined to the one above</label
          >
        </div>
        <p v-if="at('capacitors') && !rows.length" role="alert" class="text-stop">{{ at('capacitors') }}</p>
        <div>
          <button type="button" class="button" @click="rows.push({ name: '', capacitance: '', voltage: '', bleeder: '', joined: false })">
            <PhPlus aria-hidden="true" />Add a capacitor
          </button>
        </div>
      </OneCard>
      <OneCard title="The tool"
        ><div class="grid grid-cols-2 gap-3">
          <MeasureField v-model="tool.resistor" label="Resistor" hint="Leave empty for a suggestion" :message="at('resistorOhm')" /><MeasureField
            v-model="tool.safe"
            label="Discharged at, volts"
            :message="at('safeVoltageV')"
          /><MeasureField v-model="tool.wait" label="Wait, seconds" :message="at('waitSeconds')" /></div
      ></OneCard>
    </div>
    <OneCard title="What it takes">
      <template v-if="result">
        <InstrumentFace
          label="Held in all"
          :figure="engineering(result.totalEnergyJ, 'J')"
          :judgement="judgements[decidingLevel(result.findings)]"
          :level="decidingLevel(result.findings)"
          :scale="{
            from: hazardousEnergyJ / 1000,
            log: true,
            value: result.totalEnergyJ,
            bands: [
              { to: hazardousEnergyJ, level: 'note', says: `its voltage decides` },
              { to: hazardousEnergyJ * 100, level: 'stop', says: `from ${hazardousEnergyJ} J` },
            ],
          }"
        />
        <dl class="grid grid-cols-2 gap-3">
          <div>
            <dt class="hint">Resistor</dt>
            <dd class="reading">{{ engineering(result.resistorOhm, 'Ω') }}</dd>
          </div>
          <div>
            <dt class="hint">Rated, at least</dt>
            <dd class="reading">{{ result.resistorPowerW }} W, {{ Math.ceil(result.resistorVoltageV) }} V</dd>
          </div>
        </dl>
        <table class="w-full text-left">
          <thead>
            <tr class="hint">
              <th class="font-normal">Capacitor</th>
              <th class="font-normal">Holds</th>
              <th class="font-normal">First spark</th>
              <th class="font-normal">To {{ tool.safe }} V</th>
              <th class="font-normal">After {{ tool.wait || 0 }} s</th>
            </tr>
          </thead>
          <tbody class="divide-y divide-line">
            <tr v-for="c in result.capacitors" :key="c.name">
              <td class="py-1">{{ c.name }}</td>
              <td class="figure">{{ engineering(c.energyJ, 'J') }}</td>
              <td class="figure">{{ engineering(c.peakCurrentA, 'A') }}</td>
              <td class="figure">{{ lasting(c.secondsToSafe) }}</td>
              <td class="figure">{{ engineering(c.voltageAfterWaitV, 'V') }}</td>
            </tr>
          </tbody>
        </table>
        <FindingList :findings="result.findings" />
      </template>
      <EmptyPlace v-else says="Fill in the capacitors; how to discharge them will appear here." />
    </OneCard>
  </div>
</template>
