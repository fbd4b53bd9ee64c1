<script setup lang="ts" generic="V extends string | number">
import { useField } from 'vee-validate'

/** Any of a few, all in sight. */
const props = defineProps<{ name: string; label: string; options: { value: V; label: string }[]; hint?: string }>()
const { value } = useField<V[]>(() => props.name)
const { first: message } = useRowErrors(() => props.name)
const id = useId()
const chosen = computed({ get: () => value.value ?? [], set: v => (value.value = v) })
</script>

<template>
  <fieldset class="grid content-start gap-1" :aria-describedby="message ? `${id}-message` : undefined">
    <legend class="font-semibold">{{ label }}</legend>
    <p v-if="hint" class="hint">{{ hint }}</p>
    <div class="flex flex-wrap gap-x-5 gap-y-1">
      <label v-for="(option, i) in options" :key="option.value" :for="`${id}-${i}`" class="flex min-h-8 items-start gap-2 pt-1"
        ><input :id="`${id}-${i}`" v-model="chosen" type="checkbox" :value="option.value" class="mt-0.5 h-5 w-5 shrink-0 accent-enamel" />{{
          option.label
        }}</label
      >
    </div>
    <p v-if="message" :id="`${id}-message`" role="alert" class="text-[0.9375rem] text-stop">{{ message }}</p>
  </fieldset>
</template>
