<script setup lang="ts">
import { Combobox, ComboboxInput, ComboboxOption, ComboboxOptions } from '@headlessui/vue'
import { watchDebounced } from '@vueuse/core'
import type { MachineSummary } from '#shared/contracts/views'

/** Finds a machine by anything said of it, from everywhere, with `/`. */
const api = useApi()
const typed = ref('')
const found = ref<MachineSummary[]>([])
const trouble = ref('')
const field = useTemplateRef<{ el: HTMLInputElement }>('field')

useShortcuts([{ key: '/', says: 'Find a machine', act: () => field.value?.el.focus() }])

watchDebounced(typed, async (text) => {
  try {
    found.value = text.trim() ? (await api.get<{ machines: MachineSummary[] }>('/api/machines', { find: text })).machines.slice(0, 8) : []
    trouble.value = ''
  }
  catch (error) {
    trouble.value = (error as Error).message
  }
}, { debounce: 150 })

function open(machine: MachineSummary | null) {
  if (!machine) return
  typed.value = ''
  // The keys of the sheet should work at once.
  void nextTick(() => field.value?.el.blur())
  void navigateTo(`/m/${machine.tag}`)
}
</script>

<template>
  <Combobox :model-value="null" as="div" class="relative" @update:model-value="open">
    <ComboboxInput ref="field" class="entry w-56" aria-label="Find a machine" placeholder="Find a machine  /" :display-value="() => typed" @change="typed = ($event.target as HTMLInputElement).value" />
    <ComboboxOptions v-if="typed.trim()" class="absolute right-0 z-50 mt-1 w-96 max-w-[90vw] border border-edge bg-card shadow-lg">
      <p v-if="trouble" class="px-3 py-2 text-stop">{{ trouble }}</p>
      <p v-else-if="!found.length" class="hint px-3 py-2">Nothing found yet. Names, claims, notes and faults are searched.</p>
      <ComboboxOption v-for="machine in found" :key="machine.tag" v-slot="{ active }" :value="machine" as="template">
        <li class="flex items-center gap-2 px-3 py-1.5" :class="active && 'bg-mat'"><TagTape :tag="machine.tag" small /><span class="truncate">{{ machine.nickname || machine.name }}</span><span class="hint ml-auto whitespace-nowrap">{{ machine.name }}</span></li>
      </ComboboxOption>
    </ComboboxOptions>
  </Combobox>
</template>
