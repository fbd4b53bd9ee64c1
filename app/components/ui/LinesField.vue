<script setup lang="ts">
import { useField, useFormErrors } from 'vee-validate'

/** A list typed one a line. */
const props = defineProps<{ name: string, label: string, hint?: string }>()
const id = useId()
const { value } = useField<string[]>(() => props.name)
const errors = useFormErrors()
const form = useFormContext()
const typed = ref((value.value ?? []).join('\n'))
watch(typed, text => (value.value = text.split('\n').map(line => line.trim()).filter(Boolean)))
const message = computed(() => (form.sent.value ? Object.entries(errors.value).find(([path]) => path === props.name || path.startsWith(`${props.name}.`) || path.startsWith(`${props.name}[`))?.[1] : undefined))
</script>

<template>
  <FieldFrame v-slot="{ described }" :id="id" :label="label" :hint="hint" :message="message">
    <textarea :id="id" v-model="typed" class="entry" rows="3" :aria-describedby="described" :aria-invalid="!!message" />
  </FieldFrame>
</template>
