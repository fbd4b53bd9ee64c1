<script setup lang="ts">
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
const id = useId()
const { value, message, handleBlur, needed } = useTypedField<string | number | null>(() => props.name)
</script>

<template>
  <FieldFrame :id="id" v-slot="{ described }" :label="label" :hint="hint" :message="message" :needed="needed">
    <textarea
      v-if="lines"
      :id="id"
      v-model="value"
      class="entry"
      :rows="lines"
      :aria-describedby="described"
      :aria-invalid="!!message"
      :aria-required="needed || undefined"
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
      :aria-required="needed || undefined"
      @blur="handleBlur"
    />
    <MinusKey v-if="signed" :label="label" @turned="value = turned(value)" />
    <datalist v-if="suggestions" :id="`${id}-list`"><option v-for="suggestion in suggestions" :key="suggestion" :value="suggestion" /></datalist>
    <slot :value="value" />
  </FieldFrame>
</template>
