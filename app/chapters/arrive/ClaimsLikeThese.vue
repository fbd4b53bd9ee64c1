<script setup lang="ts">
import { refDebounced } from '@vueuse/core'
import type { ClaimOutcomes } from '#core/identify/claim-outcomes'
import { proposedClaimKind } from '#core/identify/claim-outcomes'

/** While a claim is written: what such claims have turned out to be here, and what is worth knowing. */
const props = defineProps<{ claims: string[] }>()
const asked = refDebounced(
  computed(() => props.claims.filter(proposedClaimKind).join('\n')),
  250,
)
const { found } = useCollection<{ outcomes: ClaimOutcomes[] }>(
  () => ['claims', asked.value],
  '/api/claims/outcomes',
  () => ({ says: asked.value }),
)
</script>

<template>
  <ul v-if="asked && found?.outcomes.length" class="grid gap-1" role="status">
    <li v-for="one in found.outcomes" :key="one.kind" class="border-l-4 border-note bg-note-wash px-3 py-1.5 text-[0.9375rem]">
      {{ one.says }} {{ one.know }}
    </li>
  </ul>
</template>
