<script setup lang="ts">
import { PhPlus, PhX } from '~/kernel/signs/icons'
import { InputError } from '#core/kernel/input-error'
import { parseQuantity } from '#core/kernel/quantity'
import { type Load, type RailsResult, judgeRails, loadWords, loads, volts } from '#core/power/rails'
import { powerRails } from '#shared/tools/power/rails'

/** A panel of rails: nominal, reading, load; each judged as it is typed. */
const emit = defineEmits<{ input: [input: Record<string, unknown> | undefined] }>()
interface Row {
  nominal: string
  reading: string
  load: Load
}
const rows = ref<Row[]>(
  powerRails.example.rails.map(rail => ({ nominal: String(rail.nominalV), reading: String(rail.readings.at(-1)!.valueV), load: rail.readings.at(-1)!.load })),
)
const result = ref<RailsResult>()
const trouble = ref<{ row: number; field: 'nominal' | 'reading'; message: string }>()

const quantityAt = (text: string, row: number, field: 'nominal' | 'reading') => {
  try {
    return parseQuantity(text, 'V')
  } catch (error) {
    trouble.value = { row, field, message: (error as Error).message }
    throw error
  }
}
watchEffect(() => {
  try {
    trouble.value = undefined
    const rails = rows.value.map((row, i) => {
      const nominalV = quantityAt(row.nominal, i, 'nominal')
      return {
        name: `${nominalV > 0 ? '+' : ''}${volts(nominalV)}`,
        nominalV,
        readings: row.reading.trim() ? [{ valueV: quantityAt(row.reading, i, 'reading'), load: row.load }] : [],
      }
    })
    result.value = judgeRails({ rails })
    emit('input', { rails })
  } catch (error) {
    if (!(error instanceof InputError)) throw error
    const row = Number(error.field.split('.')[1] ?? 0)
    trouble.value ??= { row, field: 'nominal', message: error.message }
    result.value = undefined
    emit('input', undefined)
  }
})
const at = (row: number, field: string) => (trouble.value?.row === row && trouble.value.field === field ? trouble.value.message : undefined)
</script>

<template>
  <OneCard title="Rails">
    <ul class="grid divide-y divide-line border-y border-line">
      <li v-for="(row, i) in rows" :key="i" class="grid items-start gap-3 py-3 md:grid-cols-[7rem_8rem_12rem_1fr]">
        <FieldFrame :id="`nominal-${i}`" :label="`Nominal ${i + 1}`" :message="at(i, 'nominal')"
          ><input :id="`nominal-${i}`" v-model="row.nominal" class="entry reading" inputmode="decimal" autocomplete="off" :aria-invalid="!!at(i, 'nominal')"
        /></FieldFrame>
        <FieldFrame :id="`reading-${i}`" :label="`Reading ${i + 1}`" :message="at(i, 'reading')"
          ><input :id="`reading-${i}`" v-model="row.reading" class="entry reading" inputmode="decimal" autocomplete="off" :aria-invalid="!!at(i, 'reading')"
        /></FieldFrame>
        <div class="grid gap-1">
          <label :for="`load-${i}`" class="font-semibold">Load {{ i + 1 }}</label
          ><select :id="`load-${i}`" v-model="row.load" class="entry">
            <option v-for="load in loads" :key="load" :value="load">{{ loadWords[load] }}</option>
          </select>
        </div>
        <div class="grid gap-1" aria-live="polite">
          <template v-if="result?.rails[i]"
            ><RailGauge v-bind="result.rails[i]!" :value-v="result.rails[i]!.deciding?.valueV" /><FindingList :findings="result.rails[i]!.findings"
          /></template>
          <div v-if="rows.length > 1">
            <button type="button" class="button button-quiet" @click="rows.splice(i, 1)"><PhX aria-hidden="true" />Leave out</button>
          </div>
        </div>
      </li>
    </ul>
    <div>
      <button type="button" class="button" @click="rows.push({ nominal: '', reading: '', load: 'loaded' })"><PhPlus aria-hidden="true" />Add a rail</button>
    </div>
    <FindingList v-if="result" :findings="result.findings" />
  </OneCard>
</template>
