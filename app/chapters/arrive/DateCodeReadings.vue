<script setup lang="ts">
import { readDateCode } from '#core/identify/date-code'

/** What a marking reads as, as it is typed. */
const props = defineProps<{ code: string }>()
const result = computed(() => (props.code.trim() && props.code.length <= 60 ? readDateCode({ code: props.code }) : undefined))
</script>

<template>
  <div v-if="result" aria-live="polite">
    <FindingList :findings="result.findings" brief />
    <p v-if="!result.readings.length" class="hint">{{ result.refused[0]?.says }}</p>
  </div>
</template>
