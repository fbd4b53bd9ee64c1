<script setup lang="ts" generic="V extends string | number | null">
import { Listbox, ListboxButton, ListboxLabel, ListboxOption, ListboxOptions } from '@headlessui/vue'
import { PhCaretDown } from '~/kernel/signs/icons'
import { useField } from 'vee-validate'

/** One of many, from a list that opens. */
const props = defineProps<{ name: string; label: string; options: { value: V; label: string }[]; hint?: string; empty?: string }>()
const { value, errorMessage } = useField<V | undefined>(() => props.name)
const form = useFormContext()
const isNeeded = inject(neededKey, () => false)
const message = computed(() => (form.sent.value ? errorMessage.value : undefined))
const chosen = computed({ get: () => (value.value ?? null) as V, set: v => (value.value = v) })
const shown = computed(() => props.options.find(o => o.value === value.value)?.label ?? props.empty ?? 'Choose')
</script>

<template>
  <Listbox v-model="chosen" as="div" class="grid content-start gap-1">
    <ListboxLabel class="font-semibold" :class="isNeeded(name) && 'needed'">{{ label }}</ListboxLabel>
    <div class="relative">
      <ListboxButton class="entry flex items-center justify-between gap-2 text-left"
        ><span>{{ shown }}</span
        ><PhCaretDown aria-hidden="true"
      /></ListboxButton>
      <ListboxOptions class="absolute z-30 mt-1 max-h-72 w-full overflow-auto border border-edge bg-card shadow-lg">
        <ListboxOption v-for="option in options" :key="String(option.value)" v-slot="{ active, selected }" :value="option.value" as="template">
          <li class="px-3 py-1.5" :class="[active && 'bg-mat', selected && 'font-semibold']">{{ option.label }}</li>
        </ListboxOption>
      </ListboxOptions>
    </div>
    <p v-if="hint" class="hint">{{ hint }}</p>
    <p v-if="message" role="alert" class="text-[0.9375rem] text-stop">{{ message }}</p>
  </Listbox>
</template>
