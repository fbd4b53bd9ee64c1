<script setup lang="ts">
import { useFieldValue } from 'vee-validate'
import { counted } from '#core/kernel/figure'
import { knownPart, organisationWords } from '#core/identify/inventory/known-parts'
import { organisationOf } from '#core/identify/inventory/judge-inventory'
import { type InventoryLine, mostLetters, readInventory } from '#core/identify/inventory/read-inventory'

/** What is read of an inventory while it is typed: each place as it would be kept, and each line that cannot be read. */
const typed = useFieldValue<string>('typed')
/** Longer lists are refused when they are sent; while they are typed their beginning is read. */
const read = computed(() => readInventory(String(typed.value ?? '').slice(0, mostLetters)))
const mostShown = 40
const shown = computed(() => read.value.lines.slice(0, mostShown))
const what = (line: InventoryLine) => {
  if (line.mounting === 'empty') return ['empty socket', line.note].filter(Boolean).join(', ')
  const organisation = organisationOf(line)
  return [knownPart(line.marking)?.says ?? 'in no table', ...(organisation ? [organisationWords(organisation)] : []), ...(line.note ? [line.note] : [])].join(
    ', ',
  )
}
</script>

<template>
  <div v-if="read.lines.length || read.wrong.length" class="grid gap-2" role="status">
    <WrongLines :wrong="read.wrong" />
    <template v-if="read.lines.length">
      <p class="font-semibold">{{ counted(read.lines.length, 'line') }} read:</p>
      <ul class="grid gap-x-4 sm:grid-cols-2">
        <li v-for="line in shown" :key="line.place">
          <span class="figure font-semibold">{{ line.place }}</span> {{ line.count > 1 ? `${line.count} × ` : '' }}{{ line.marking }}
          <span class="hint">{{ what(line) }}</span>
        </li>
      </ul>
      <p v-if="read.lines.length > shown.length" class="hint">{{ read.lines.length - shown.length }} more.</p>
    </template>
  </div>
</template>
