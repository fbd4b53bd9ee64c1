<script setup lang="ts">
import { useField } from 'vee-validate'

/** A day in a form; with `rough`, a month or a year will do. */
const props = defineProps<{ name: string; label: string; hint?: string; rough?: boolean }>()
const isNeeded = inject(neededKey, () => false)
const id = useId()
const { value, errorMessage, handleBlur, meta } = useField<string | null>(() => props.name, undefined, { validateOnValueUpdate: true })
const form = useFormContext()
const message = computed(() => ((meta.touched && meta.dirty) || form.sent.value ? errorMessage.value : undefined))
</script>

<template>
  <FieldFrame :id="id" v-slot="{ described }" :label="label" :hint="hint" :message="message" :needed="isNeeded(name)">
    <DayInput
      :id="id"
      v-model="value"
      :label="label"
      :rough="rough"
      :described="described"
      :invalid="!!message"
      :required="isNeeded(name)"
      @left="handleBlur()"
    />
  </FieldFrame>
</template>
