<script setup lang="ts">
import { useFieldValue } from 'vee-validate'
import { touchesSupply } from '#core/power/mended'

/** Whether a repair touched what feeds the rails: proposed by its words until somebody says. */
const did = useFieldValue<string | undefined>('did')
const part = useFieldValue<string | undefined>('part')
const causeKind = useFieldValue<string | undefined>('causeKind')
const proposal = computed(() => (did.value?.trim() ? touchesSupply(did.value, part.value ?? '', causeKind.value ?? '') : undefined))
const options = [
  { value: true, label: 'Yes' },
  { value: false, label: 'No' },
]
</script>

<template>
  <ProposedChoice
    name="feedsRails"
    label="Did you touch anything that feeds a rail?"
    :options="options"
    :proposal="proposal"
    hint="Supply, regulator, smoothing capacitor, fuse. If so, earlier rail readings no longer count"
  />
</template>
