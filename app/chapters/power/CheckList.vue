<script setup lang="ts">
import { useField } from 'vee-validate'
import type { MachineSheet } from '#shared/chapters/index'

/** What is seen to before the switch is thrown: the lines that the records answer, and those to be ticked at the machine. */
defineProps<{ checks: MachineSheet['power']['startChecks'] }>()
const { value, errorMessage } = useField<string[]>('checked')
const form = useFormContext()
const id = useId()
const checked = computed({ get: () => value.value ?? [], set: v => (value.value = v) })
</script>

<template>
  <fieldset class="grid gap-1">
    <legend class="font-semibold">Before the switch</legend>
    <ul class="grid divide-y divide-line border-y border-line">
      <li v-for="(check, i) in checks" :key="check.code" class="grid grid-cols-[4.25rem_1fr] items-start gap-2 py-1.5">
        <LevelSign v-if="check.known !== null" :level="check.known ? 'fine' : 'stop'" />
        <input v-else :id="`${id}-${i}`" v-model="checked" type="checkbox" :value="check.code" class="mt-1 h-5 w-5 accent-enamel" />
        <component :is="check.known === null ? 'label' : 'div'" :for="check.known === null ? `${id}-${i}` : undefined" class="grid"
          ><span>{{ check.do }}</span
          ><span class="hint">{{ check.why }}</span></component
        >
      </li>
    </ul>
    <p v-if="form.sent.value && errorMessage" role="alert" class="text-[0.9375rem] text-stop">{{ errorMessage }}</p>
  </fieldset>
</template>
