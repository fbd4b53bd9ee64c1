<script setup lang="ts" generic="V extends string | number | boolean | null">
import { RadioGroup, RadioGroupLabel, RadioGroupOption } from '@headlessui/vue'
import { useField } from 'vee-validate'

/** One of a few, all in sight; `row` puts the label beside them, and the hint behind a press. */
const props = defineProps<{ name: string; label: string; options: { value: V; label: string }[]; hint?: string; quietLabel?: boolean; row?: boolean }>()
const { value, errorMessage } = useField<V | undefined>(() => props.name)
const form = useFormContext()
const message = computed(() => (form.sent.value ? errorMessage.value : undefined))
const id = useId()
const hinted = ref(false)
// Headless UI wants something to compare with before anything is chosen.
// Its types leave out null, which it compares well.
const chosen = computed({ get: () => (value.value === undefined ? '' : value.value) as NonNullable<V>, set: v => (value.value = v) })
</script>

<template>
  <RadioGroup
    v-model="chosen"
    class="grid content-start gap-1"
    :class="row && 'dense py-px sm:grid-cols-[11.25rem_minmax(0,1fr)] sm:gap-0 sm:items-center'"
    :aria-describedby="message ? `${id}-message` : undefined"
  >
    <span class="flex items-center gap-1">
      <RadioGroupLabel as="span" :class="quietLabel ? 'hint' : row ? 'text-[0.9375rem] leading-tight font-semibold' : 'leading-tight font-semibold'">{{
        label
      }}</RadioGroupLabel>
      <AskWhy v-if="row && hint" v-model="hinted" :about="`How to look at ${label}`" />
    </span>
    <div class="flex flex-wrap gap-y-1 pl-px">
      <RadioGroupOption v-for="option in options" :key="String(option.value)" :value="option.value as NonNullable<V>" class="choice">{{
        option.label
      }}</RadioGroupOption>
    </div>
    <p v-if="hint && (!row || hinted)" class="hint" :class="row && 'sm:col-span-2'">{{ hint }}</p>
    <p v-if="message" :id="`${id}-message`" role="alert" class="text-[0.9375rem] text-stop" :class="row && 'sm:col-span-2'">{{ message }}</p>
  </RadioGroup>
</template>

<style scoped>
@media (width >= 56.25rem) {
  .dense :deep(.choice) {
    min-height: 1.75rem;
    padding-inline: 0.3rem;
    font-size: 0.875rem;
  }
}
</style>
