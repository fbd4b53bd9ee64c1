<script setup lang="ts" generic="V extends string | number | boolean | null">
import { RadioGroup, RadioGroupLabel, RadioGroupOption } from '@headlessui/vue'
import { useField } from 'vee-validate'

/** One of a few, all in sight. */
const props = defineProps<{ name: string; label: string; options: { value: V; label: string }[]; hint?: string; quietLabel?: boolean }>()
const { value, errorMessage } = useField<V | undefined>(() => props.name)
const form = useFormContext()
const message = computed(() => (form.sent.value ? errorMessage.value : undefined))
const id = useId()
// Headless UI wants something to compare with before anything is chosen.
// Its types leave out null, which it compares well.
const chosen = computed({ get: () => (value.value === undefined ? '' : value.value) as NonNullable<V>, set: v => (value.value = v) })
</script>

<template>
  <RadioGroup v-model="chosen" class="grid content-start gap-1" :aria-describedby="message ? `${id}-message` : undefined">
    <RadioGroupLabel as="span" :class="quietLabel ? 'hint' : 'font-semibold'">{{ label }}</RadioGroupLabel>
    <div class="flex flex-wrap gap-y-1 pl-px">
      <RadioGroupOption v-for="option in options" :key="String(option.value)" :value="option.value as NonNullable<V>" class="choice">{{
        option.label
      }}</RadioGroupOption>
    </div>
    <p v-if="hint" class="hint">{{ hint }}</p>
    <p v-if="message" :id="`${id}-message`" role="alert" class="text-[0.9375rem] text-stop">{{ message }}</p>
  </RadioGroup>
</template>
