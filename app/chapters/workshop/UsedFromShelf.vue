<script setup lang="ts">
import { amountWords, shelfUnits, takeFrom } from '#core/cleaning/shelf'
import { InputError } from '#core/kernel/input-error'
import { parseQuantity } from '#core/kernel/quantity'

/** What a step used up, taken from the shelf when it is done. */
const uses = defineModel<{ materialId: number; amount: number }[]>({ required: true })
const { materials } = useWorkshop()
const chosen = ref<number | null>(null)
const typed = ref('')
const trouble = ref('')
const choices = computed(() => [
  { value: null, label: 'Nothing of the shelf' },
  ...materials.value.map(m => ({ value: m.id, label: `${m.name}: ${amountWords(m.amount, m.unit)}` })),
])
const material = computed(() => materials.value.find(m => m.id === chosen.value))
function add() {
  try {
    const amount = parseQuantity(typed.value, '')
    const before = uses.value.filter(u => u.materialId === chosen.value).reduce((sum, u) => sum + u.amount, 0)
    takeFrom({ ...material.value!, amount: material.value!.amount - before }, amount)
    uses.value = [...uses.value, { materialId: chosen.value!, amount }]
    ;[typed.value, trouble.value, chosen.value] = ['', '', null]
  } catch (error) {
    if (!(error instanceof InputError)) throw error
    trouble.value = error.message
  }
}
const says = (use: { materialId: number; amount: number }) => {
  const one = materials.value.find(m => m.id === use.materialId)
  return one ? `${amountWords(use.amount, one.unit)} of ${one.name}` : ''
}
const id = useId()
</script>

<template>
  <div v-if="materials.length" class="grid gap-1">
    <ul v-if="uses.length">
      <li v-for="(use, i) in uses" :key="i">
        Uses {{ says(use) }}. <button type="button" class="text-sm underline" @click="uses = uses.filter((_, at) => at !== i)">Not after all</button>
      </li>
    </ul>
    <div class="flex flex-wrap items-end gap-3">
      <SelectField v-model="chosen" label="It used up" :options="choices" class="max-w-72" />
      <template v-if="material">
        <FieldFrame :id="id" :label="`How many ${shelfUnits[material.unit]}`" class="max-w-40"
          ><input :id="id" v-model="typed" class="entry reading" inputmode="decimal" @keydown.enter.prevent="add"
        /></FieldFrame>
        <button type="button" class="button" @click="add">Take it from the shelf</button>
      </template>
    </div>
    <FindingList v-if="material" :findings="material.findings" />
    <p v-if="trouble" role="alert" class="text-stop">{{ trouble }}</p>
  </div>
</template>
