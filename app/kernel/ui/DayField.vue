<script setup lang="ts">
/** A day in a form; with `rough`, a month or a year will do. */
const props = defineProps<{ name: string; label: string; hint?: string; rough?: boolean }>()
const id = useId()
const { value, message, handleBlur, needed } = useTypedField<string | null>(() => props.name)
</script>

<template>
  <FieldFrame :id="id" v-slot="{ described }" :label="label" :hint="hint" :message="message" :needed="needed">
    <DayInput :id="id" v-model="value" :label="label" :rough="rough" :described="described" :invalid="!!message" :required="needed" @left="handleBlur()" />
  </FieldFrame>
</template>
