<script setup lang="ts">
/** Several lines on the face of an instrument, as people write them. */
defineProps<{ label: string; hint?: string; message?: string; rows?: number }>()
const typed = defineModel<string>({ required: true })
const id = useId()
</script>

<template>
  <FieldFrame :id="id" v-slot="{ described }" :label="label" :hint="hint" :message="message">
    <textarea :id="id" v-model="typed" class="entry" :rows="rows ?? 4" :aria-describedby="described" :aria-invalid="!!message" />
  </FieldFrame>
</template>
