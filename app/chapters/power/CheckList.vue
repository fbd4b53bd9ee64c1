<script setup lang="ts">
import { useField } from 'vee-validate'
import type { MachineSheet } from '#shared/chapters/index'

/** What is seen to before the switch is thrown: the lines that the records answer, and those to be ticked at the machine. */
const props = defineProps<{ checks: MachineSheet['power']['startChecks'] }>()
const { value, errorMessage } = useField<string[]>('checked')
const form = useFormContext()
const id = useId()
/** What the records answer stands first, the unanswered worst; then what is ticked at the machine. */
const inOrder = computed(() => [...props.checks].sort((a, b) => place(a.known) - place(b.known)))
const place = (known: boolean | null) => (known === null ? 2 : Number(known))
const asked = ref<string>()
const checked = computed({ get: () => value.value ?? [], set: v => (value.value = v) })
</script>

<template>
  <fieldset class="grid gap-1">
    <legend class="font-semibold">Before the switch</legend>
    <ul class="grid divide-y divide-line border-y border-line">
      <li
        v-for="(check, i) in inOrder"
        :key="check.code"
        class="grid items-baseline gap-x-2 py-0.5"
        :class="check.known === null ? 'grid-cols-[1.25rem_minmax(0,1fr)_auto]' : 'grid-cols-[4.25rem_minmax(0,1fr)_auto]'"
      >
        <LevelSign v-if="check.known !== null" :level="check.known ? 'fine' : 'stop'" />
        <input v-else :id="`${id}-${i}`" v-model="checked" type="checkbox" :value="check.code" class="mt-0.5 h-5 w-5 accent-enamel" />
        <component :is="check.known === null ? 'label' : 'span'" :for="check.known === null ? `${id}-${i}` : undefined" class="leading-snug">{{
          check.do
        }}</component>
        <AskWhy :model-value="asked === check.code" :about="`Why: ${check.do}`" @update:model-value="asked = $event ? check.code : undefined" />
        <p v-if="asked === check.code" class="hint col-start-2">{{ check.why }}</p>
      </li>
    </ul>
    <p v-if="form.sent.value && errorMessage" role="alert" class="text-[0.9375rem] text-stop">{{ errorMessage }}</p>
  </fieldset>
</template>
