<script setup lang="ts">
import { PhPlus, PhX } from '~/kernel/signs/icons'
import { type LotField, lotFields } from '#core/identify/lot-columns'
import { acquisitionNames } from '#shared/kernel/acquisitions'
import type { Lot, LotLine } from '~/chapters/arrive/composables/useLot'

/** Many machines in one table: a row each, read as it is typed; Enter goes down, and past the last row adds another of the same model. */
const props = defineProps<{ lot: Lot }>()
const { lines, columns, readings, known, twice, told } = props.lot
const id = useId()
const body = useTemplateRef<HTMLElement>('body')
const cellId = (line: LotLine, field: LotField) => `${id}-${line.key}-${field}`
const problemsOf = (line: LotLine) => readings.value.get(line.key)?.problems ?? []
const wrong = (line: LotLine, field: LotField) => problemsOf(line).some(p => p.field === field)
const wide: LotField[] = ['name', 'claims', 'accessories', 'fromWhom']

async function down(i: number, field: LotField) {
  if (i === lines.value.length - 1) {
    const { name, maker } = lines.value[i]!
    props.lot.add({ name, maker })
    await nextTick()
  }
  const next = lines.value[i + 1]
  if (next) body.value?.querySelector<HTMLInputElement>(`#${CSS.escape(cellId(next, field))}`)?.focus()
}
</script>

<template>
  <div class="grid gap-2">
    <datalist :id="`${id}-models`"><option v-for="model in known" :key="model.id" :value="model.name" /></datalist>
    <datalist :id="`${id}-ways`"><option v-for="way in acquisitionNames" :key="way" :value="way" /></datalist>
    <div class="relative overflow-x-auto" tabindex="0" role="region" aria-label="Machines of the lot">
      <table class="w-full text-left">
        <thead>
          <tr>
            <th class="hint px-1 font-normal">Row</th>
            <th
              v-for="field in columns"
              :key="field"
              class="px-1 py-1 text-[0.9375rem]"
              :class="wide.includes(field) ? 'min-w-36' : field === 'weightKg' ? 'min-w-16' : 'min-w-24'"
            >
              {{ lotFields[field].title }}
            </th>
            <th class="sr-only">Leave out</th>
          </tr>
        </thead>
        <tbody ref="body">
          <template v-for="(line, i) in lines" :key="line.key">
            <tr class="align-top">
              <td class="figure px-1 pt-2" :class="problemsOf(line).length ? 'text-stop' : ''">{{ i + 1 }}</td>
              <td v-for="field in columns" :key="field" class="p-px">
                <input
                  :id="cellId(line, field)"
                  v-model="line[field]"
                  class="entry px-1.5!"
                  autocomplete="off"
                  :aria-label="`${lotFields[field].title}, row ${i + 1}`"
                  :aria-invalid="wrong(line, field)"
                  :list="field === 'name' ? `${id}-models` : field === 'acquired' ? `${id}-ways` : undefined"
                  @keydown.enter.prevent="down(i, field)"
                />
              </td>
              <td>
                <button type="button" class="button button-quiet" @click="lot.remove(line.key)">
                  <PhX aria-hidden="true" /><span class="sr-only">Leave out row {{ i + 1 }}</span>
                </button>
              </td>
            </tr>
            <tr v-if="problemsOf(line).length || told.has(line.key) || twice.has(line.serial?.trim().toLowerCase())">
              <td />
              <td :colspan="columns.length" class="px-1 pb-1.5 text-[0.9375rem]">
                <p v-for="problem in problemsOf(line)" :key="problem.message" class="text-stop">{{ problem.message }}</p>
                <p v-if="told.get(line.key)?.meant" class="flex flex-wrap items-baseline gap-x-3 text-care">
                  There is a {{ told.get(line.key)!.meant!.name }} by {{ told.get(line.key)!.meant!.maker }}, spelt a little differently.
                  <button type="button" class="underline" @click="lot.isThat(line, told.get(line.key)!.meant!)">
                    It is a {{ told.get(line.key)!.meant!.name }}<span class="sr-only"> in row {{ i + 1 }}</span>
                  </button>
                </p>
                <p v-if="told.get(line.key)?.leaked" class="font-semibold text-stop">A sister’s battery leaked. Open this one first.</p>
                <p v-if="told.get(line.key)?.faults.length" class="text-ink-2">Known faults: {{ told.get(line.key)!.faults.join('; ') }}.</p>
                <p v-if="twice.has(line.serial?.trim().toLowerCase())" class="text-care">The serial number {{ line.serial }} stands in more than one row.</p>
              </td>
            </tr>
          </template>
        </tbody>
      </table>
    </div>
    <div class="flex flex-wrap items-center gap-3">
      <button type="button" class="button" @click="lot.add()"><PhPlus aria-hidden="true" />Add a row</button
      ><span class="hint"
        >Enter goes down; after the last row it adds another of the same model. Several claims or things in one cell: a semicolon between them.</span
      >
    </div>
  </div>
</template>
