<script setup lang="ts" generic="V extends string | number | boolean | null | undefined">
/** One of a few on the face of an instrument. */
defineProps<{ label: string; options: { value: V; label: string }[]; hint?: string; message?: string }>()
const chosen = defineModel<V>({ required: true })
const id = useId()
</script>

<template>
  <FieldFrame :id="id" v-slot="{ described }" :label="label" :hint="hint" :message="message"
    ><select :id="id" v-model="chosen" class="entry" :aria-describedby="described">
      <option v-for="option in options" :key="String(option.value)" :value="option.value">{{ option.label }}</option>
    </select></FieldFrame
  >
</template>
