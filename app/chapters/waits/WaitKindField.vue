<script setup lang="ts">
import { useFieldValue } from 'vee-validate'
import { type WaitKind, keepsOff, proposedWaitKind, waitKinds } from '#core/cleaning/wait-kinds'

/** What kind of wait it is: proposed by the words beside it until somebody chooses. */
const what = useFieldValue<string | undefined>('what')
const kind = useFieldValue<WaitKind | undefined>('kind')
const proposal = computed(() => (what.value?.trim() ? proposedWaitKind(what.value) : undefined))
const hint = computed(() => {
  if (!kind.value) return 'What it is decides what the gate hears of it.'
  const { means, gate } = waitKinds[kind.value]
  return `${means} ${keepsOff(kind.value) ? 'It keeps the machine off.' : gate ? 'The machine is guarded meanwhile.' : 'It keeps nothing off.'}`
})
</script>

<template>
  <ProposedChoice name="kind" label="What kind of wait" :options="titlesOf(waitKinds)" :proposal="proposal" :hint="hint" />
</template>
