<script setup lang="ts">
import { PhFileCsv } from '~/kernel/signs/icons'
import { type LotField, guessColumns, lotFields } from '#core/identify/lot-columns'
import type { CsvRead, Lot } from '~/chapters/arrive/composables/useLot'

/** A file of separated values: which column is what, seen on its first rows, then into the table. */
const props = defineProps<{ lot: Lot }>()
const id = useId()
const file = shallowRef<File>()
const csv = shallowRef<CsvRead>()
const mapping = ref<(LotField | null)[]>([])
const delimiter = ref('')
const delimiters = { '': 'As found', ',': 'Comma', ';': 'Semicolon', '\t': 'Tab', '|': 'Bar' }
const previewed = 4
const fields = Object.keys(lotFields) as LotField[]
const missing = computed(() => fields.filter(f => lotFields[f].needed && !mapping.value.includes(f) && !props.lot.common.value[f]))
const found = computed(() => delimiters[(csv.value?.delimiter ?? '') as ','] ?? csv.value?.delimiter)

async function read() {
  if (!file.value) return
  csv.value = await readCsv(file.value, delimiter.value)
  mapping.value = guessColumns(csv.value.headings)
}
function choose(event: Event) {
  const input = event.target as HTMLInputElement
  file.value = input.files?.[0]
  input.value = ''
  void read()
}
watch(delimiter, read)
function take() {
  props.lot.takeIn(csv.value!, mapping.value)
  csv.value = undefined
  file.value = undefined
}
</script>

<template>
  <OneCard title="From a file" hint="Separated values with headings in the first row, from any spreadsheet.">
    <div class="flex flex-wrap items-end gap-4">
      <label class="button focus-within:outline-3 focus-within:outline-enamel" :for="`${id}-file`"
        ><PhFileCsv aria-hidden="true" />Choose a file<input
          :id="`${id}-file`"
          class="sr-only"
          type="file"
          accept=".csv,.tsv,.txt,text/csv,text/tab-separated-values"
          @change="choose"
      /></label>
      <div v-if="csv" class="grid gap-1">
        <label :for="`${id}-delimiter`" class="font-semibold">What separates</label
        ><select :id="`${id}-delimiter`" v-model="delimiter" class="entry">
          <option v-for="(name, value) in delimiters" :key="value" :value="value">
            {{ name }}{{ value === '' && found ? `: ${found.toLowerCase()}` : '' }}
          </option>
        </select>
      </div>
      <p v-if="csv" class="hint pb-2">{{ csv.name }}: {{ csv.rows.length === 1 ? '1 row' : `${csv.rows.length} rows` }}.</p>
    </div>
    <p v-if="csv?.trouble" role="alert" class="text-stop">{{ csv.trouble }}</p>
    <template v-if="csv && csv.rows.length">
      <div class="relative overflow-x-auto" tabindex="0" role="region" aria-label="First rows of the file">
        <table class="w-full text-left text-[0.9375rem]">
          <thead>
            <tr>
              <th v-for="(heading, i) in csv.headings" :key="i" class="min-w-36 px-1 py-1 align-top font-semibold">
                <label :for="`${id}-column-${i}`">{{ heading || `Column ${i + 1}` }}</label><select
                  :id="`${id}-column-${i}`"
                  v-model="mapping[i]"
                  class="entry mt-1 font-normal"
                >
                  <option :value="null">Leave it out</option>
                  <option v-for="field in fields" :key="field" :value="field" :disabled="mapping.includes(field) && mapping[i] !== field">
                    {{ lotFields[field].title }}
                  </option>
                </select>
              </th>
            </tr>
          </thead>
          <tbody class="divide-y divide-line border-y border-line">
            <tr v-for="(row, r) in csv.rows.slice(0, previewed)" :key="r">
              <td v-for="(_, i) in csv.headings" :key="i" class="px-1 py-1 align-top" :class="mapping[i] === null && 'text-ink-2 line-through'">
                {{ row[i] }}
              </td>
            </tr>
          </tbody>
        </table>
      </div>
      <p v-if="missing.length" class="text-care">
        Not in the file: {{ missing.map(f => lotFields[f].title.toLowerCase()).join(', ') }}. Choose its column, or fill it in for all.
      </p>
      <div class="flex flex-wrap gap-2">
        <button type="button" class="button button-main" @click="take">
          Put {{ csv.rows.length === 1 ? '1 row' : `${csv.rows.length} rows` }} into the table</button
        ><button type="button" class="button" @click="csv = undefined">Leave it</button>
      </div>
    </template>
  </OneCard>
</template>
