<script setup lang="ts">
import { Switch, SwitchGroup, SwitchLabel } from '@headlessui/vue'
import { useField } from 'vee-validate'

/** Yes or no. */
const props = defineProps<{ name: string; label: string }>()
const { value } = useField<boolean>(() => props.name)
</script>

<template>
  <SwitchGroup as="div" class="flex items-center gap-2">
    <Switch v-model="value" class="relative h-6 w-11 shrink-0 border border-edge" :class="value ? 'bg-enamel' : 'bg-field'">
      <span class="absolute top-0.5 h-4.5 w-4.5 border border-edge bg-card transition-all" :class="value ? 'left-5.5' : 'left-0.5'" />
    </Switch>
    <SwitchLabel>{{ label }}</SwitchLabel>
  </SwitchGroup>
</template>
