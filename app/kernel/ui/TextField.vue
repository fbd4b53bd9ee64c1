<script setup lang="ts">
import { useField } from 'vee-validate'

/** A line or several lines of text in a form. */
const props = defineProps<{
  name: string
  label: string
  hint?: string
  lines?: number
  suggestions?: string[]
  numeric?: boolean
  type?: string
  autocomplete?: string
  /** Whether the figure may be below zero; phones have no minus on their pad of figures. */
  signed?: boolean
}>()
const isNeeded = inject(neededKey, () => false)
const id = useId()
const { value, errorMessage, handleBlur, meta } = useField<string | number | null>(() => props.name, undefined, { validateOnValueUpdate: true })
const form = useFormContext()
// A message comes once the field was left or the form was sent, not while the first letters are typed.
const message = computed(() => ((meta.touched && meta.dirty) || form.sent.value ? errorMessage.value : undefined))
</script>

<template>
  <FieldFrame :id="id" v-slot="{ described }" :label="label" :hint="hint" :message="message" :needed="isNeeded(name)">
    <textarea
      v-if="lines"
      :id="id"
      v-model="value"
      class="entry"
      :rows="lines"
      :aria-describedby="described"
      :aria-invalid="!!message"
      :aria-required="isNeeded(name) || undefined"
      @blur="handleBlur"
    />
    <input
      v-else
      :id="id"
      v-model="value"
      class="entry"
      :type="type ?? 'text'"
      :class="{ reading: numeric }"
      :inputmode="numeric ? 'decimal' : undefined"
      :list="suggestions && `${id}-list`"
      :aria-describedby="described"
      :aria-invalid="!!message"
      :autocomplete="autocomplete ?? 'off'"
      :aria-required="isNeeded(name) || undefined"
      @blur="handleBlur"
    />
    <MinusKey v-if="signed" :label="label" @turned="value = turned(value)" />
    <datalist v-if="suggestions" :id="`${id}-list`"><option v-for="suggestion in suggestions" :key="suggestion" :value="suggestion" /></datalist>
    <slot :value="value" />
  </FieldFrame>
</template>
