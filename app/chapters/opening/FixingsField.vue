<script setup lang="ts">
import { PhPlus, PhX } from '~/kernel/signs/icons'
import { useFieldArray } from 'vee-validate'

/** What held it: how many of which kind, and the tray cell they lie in. Large buttons count with one thumb. */
const props = defineProps<{ name: string; /** The cell that is free next. */ nextTray: string }>()
interface Row {
  count: number | string
  head: string
  lengthMm: number | string | null
  tray: string
}
const { fields, push, remove, update } = useFieldArray<Row>(() => props.name)
const heads = ['pan, cross', 'countersunk, cross', 'pan, slotted', 'countersunk, slotted', 'hexagon', 'hexagon socket', 'clip', 'spacer', 'nut']
const step = (i: number, row: Row, by: number) => update(i, { ...row, count: Math.max(1, (Number(row.count) || 0) + by) })
const add = () =>
  push({ count: 4, head: fields.value.at(-1)?.value.head ?? heads[0]!, lengthMm: fields.value.at(-1)?.value.lengthMm ?? '', tray: props.nextTray })
</script>

<template>
  <div class="grid gap-2">
    <div
      v-for="(field, i) in fields"
      :key="field.key"
      class="grid grid-cols-2 items-start gap-2 border-l-4 border-line pl-2 sm:grid-cols-[auto_1fr_6rem_6rem_auto]"
    >
      <div class="flex items-start">
        <button type="button" class="button mt-7 min-w-11 justify-center" @click="step(i, field.value, -1)">−<span class="sr-only"> one fewer</span></button
        ><TextField :name="`${name}[${i}].count`" label="How many" numeric class="w-20" /><button
          type="button"
          class="button mt-7 min-w-11 justify-center"
          @click="step(i, field.value, 1)"
        >
          +<span class="sr-only"> one more</span>
        </button>
      </div>
      <TextField :name="`${name}[${i}].head`" label="Head" :suggestions="heads" />
      <TextField :name="`${name}[${i}].lengthMm`" label="Length, mm" numeric />
      <TextField :name="`${name}[${i}].tray`" label="Tray cell" />
      <button type="button" class="button button-quiet mt-7" @click="remove(i)"><PhX aria-hidden="true" />Leave out</button>
    </div>
    <div>
      <button type="button" class="button" @click="add"><PhPlus aria-hidden="true" />Add fixings</button>
    </div>
  </div>
</template>
