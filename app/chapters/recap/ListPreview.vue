<script setup lang="ts">
import { useFieldValue } from 'vee-validate'
import { counted } from '#core/kernel/figure'
import { InputError } from '#core/kernel/input-error'
import { readRecapList } from '#core/parts/recap/read-list'
import { specWords } from '#core/parts/substitute/words'

/** What is read from the list while it is typed: each place as it would be kept, and each line that cannot be read. */
const typed = useFieldValue<string>('typed')
const read = computed(() => {
  try {
    return readRecapList(String(typed.value ?? ''))
  } catch (error) {
    if (!(error instanceof InputError)) throw error
    return { capacitors: [], wrong: [{ line: 0, text: '', says: error.message }] }
  }
})
const shown = computed(() => read.value.capacitors.slice(0, 40))
const guessed = computed(() => read.value.capacitors.some(one => one.guessed.length))
</script>

<template>
  <div v-if="read.capacitors.length || read.wrong.length" class="grid gap-2" role="status">
    <WrongLines :wrong="read.wrong" />
    <template v-if="read.capacitors.length">
      <p class="font-semibold">{{ counted(read.capacitors.length, 'capacitor') }} read:</p>
      <ul class="grid gap-x-4 sm:grid-cols-2">
        <li v-for="one in shown" :key="one.place">
          <span class="figure font-semibold">{{ one.place }}</span> {{ specWords('capacitor', one.spec)
          }}<span v-if="one.note" class="hint">; {{ one.note }}</span>
        </li>
      </ul>
      <p v-if="read.capacitors.length > shown.length" class="hint">{{ read.capacitors.length - shown.length }} more.</p>
      <p v-if="guessed" class="text-care">
        Where nothing else is written, from 1 µF on it is taken for an aluminium electrolytic. Write film, tantalum or paper where it is one.
      </p>
    </template>
  </div>
</template>
