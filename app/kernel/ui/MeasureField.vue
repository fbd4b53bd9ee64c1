<script setup lang="ts">
/** A figure on the face of an instrument, typed as people write it. */
defineProps<{ label: string; hint?: string; message?: string; words?: boolean; signed?: boolean }>()
const typed = defineModel<string>({ required: true })
const id = useId()
</script>

<template>
  <FieldFrame :id="id" v-slot="{ described }" :label="label" :hint="hint" :message="message"
    ><input
      :id="id"
      v-model="typed"
      class="entry"
      :class="!words && 'reading'"
      :inputmode="words ? undefined : 'decimal'"
      autocomplete="off"
      :aria-describedby="described"
      :aria-invalid="!!message" /><MinusKey v-if="signed" :label="label" @turned="typed = turned(typed)"
  /></FieldFrame>
</template>
