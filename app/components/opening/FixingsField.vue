<script setup lang="ts">
import { PhPlus, PhX } from '@phosphor-icons/vue'
import { useFieldArray } from 'vee-validate'

/** What held it: how many of which kind, and the tray cell they lie in. Large buttons count with one thumb. */
const props = defineProps<{ name: string, /** The cell that is free next. */ nextTray: string }>()
interface Row { count: number | string, head: string, lengthMm: number | string | null, tray: string }
const { fields, push, remove } = useFieldArray<Row>(() => props.name)
const errors = useRowErrors(() => props.name)
const id = useId()
const heads = ['pan, cross', 'countersunk, cross', 'pan, slotted', 'countersunk, slotted', 'hexagon', 'hexagon socket', 'clip', 'spacer', 'nut']
const step = (row: Row, by: number) => (row.count = Math.max(1, (Number(row.count) || 0) + by))
const add = () => push({ count: 4, head: fields.value.at(-1)?.value.head ?? heads[0]!, lengthMm: fields.value.at(-1)?.value.lengthMm ?? '', tray: props.nextTray })
const messageAt = (i: number) => ['count', 'head', 'lengthMm', 'tray'].map(f => errors.at(i, f)).find(Boolean)
</script>

<template>
  <div class="grid gap-2">
    <datalist :id="`${id}-heads`"><option v-for="head in heads" :key="head" :value="head" /></datalist>
    <div v-for="(field, i) in fields" :key="field.key" class="grid grid-cols-2 items-end gap-2 border-l-4 border-line pl-2 sm:grid-cols-[auto_1fr_6rem_6rem_auto]">
      <div class="grid gap-1"><label :for="`${id}-count-${i}`" class="font-semibold">How many</label><span class="flex"><button type="button" class="button min-w-11 justify-center" @click="step(field.value, -1)">−<span class="sr-only"> one fewer</span></button><input :id="`${id}-count-${i}`" v-model="field.value.count" class="entry reading w-16! text-center" inputmode="numeric" autocomplete="off" :aria-invalid="!!errors.at(i, 'count')"><button type="button" class="button min-w-11 justify-center" @click="step(field.value, 1)">+<span class="sr-only"> one more</span></button></span></div>
      <div class="grid gap-1"><label :for="`${id}-head-${i}`" class="font-semibold">Head</label><input :id="`${id}-head-${i}`" v-model="field.value.head" class="entry" :list="`${id}-heads`" autocomplete="off"></div>
      <div class="grid gap-1"><label :for="`${id}-length-${i}`" class="font-semibold">Length, mm</label><input :id="`${id}-length-${i}`" v-model="field.value.lengthMm" class="entry reading" inputmode="decimal" autocomplete="off" :aria-invalid="!!errors.at(i, 'lengthMm')"></div>
      <div class="grid gap-1"><label :for="`${id}-tray-${i}`" class="font-semibold">Tray cell</label><input :id="`${id}-tray-${i}`" v-model="field.value.tray" class="entry reading" autocomplete="off"></div>
      <button type="button" class="button button-quiet" @click="remove(i)"><PhX aria-hidden="true" />Leave out</button>
      <p v-if="messageAt(i)" role="alert" class="col-span-full text-stop">{{ messageAt(i) }}</p>
    </div>
    <div><button type="button" class="button" @click="add"><PhPlus aria-hidden="true" />Add fixings</button></div>
  </div>
</template>
