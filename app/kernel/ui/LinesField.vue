<script setup lang="ts">
import { useField } from 'vee-validate'

/** A list typed one a line. */
const props = defineProps<{ name: string; label: string; hint?: string; rows?: number }>()
const id = useId()
const { value } = useField<string[]>(() => props.name)
const { first: message } = useRowErrors(() => props.name)
const listed = (text: string) =>
  text
    .split('\n')
    .map(line => line.trim())
    .filter(Boolean)
const typed = ref((value.value ?? []).join('\n'))
watch(typed, text => (value.value = listed(text)))
// When the form is emptied or filled anew, so is what stands here; what is being typed is left alone.
watch(value, lines => {
  if (JSON.stringify(lines ?? []) !== JSON.stringify(listed(typed.value))) typed.value = (lines ?? []).join('\n')
})
</script>

<template>
  <FieldFrame :id="id" v-slot="{ described }" :label="label" :hint="hint" :message="message">
    <textarea :id="id" v-model="typed" class="entry" :rows="rows ?? 3" :aria-describedby="described" :aria-invalid="!!message" />
  </FieldFrame>
</template>
