<script setup lang="ts">
import type { SwapPart, SwapTest } from '#core/diagnosis/swap'
import { diagnosisSwap } from '#shared/tools/diagnosis/swap'

/** Swaps without a machine: parts, tests, and what explains them. */
const emit = defineEmits<{ input: [input: Record<string, unknown> | undefined] }>()
const { example } = diagnosisSwap
const parts = ref<SwapPart[]>(example.parts.map(p => ({ ...p })))
const tests = ref<SwapTest[]>(example.tests.map(t => ({ ...t, parts: [...t.parts] })))
watch([parts, tests], () => emit('input', { parts: parts.value, tests: tests.value }), { immediate: true, deep: true })
</script>

<template>
  <OneCard title="Which part is it?" hint="Press what is connected, then how it came out. A fault of its own may sit in a lead, the monitor or the tester.">
    <CautionNote about="mains" />
    <SwapBoard
      :parts="parts"
      :tests="tests"
      may-write
      may-forget
      @trial="test => (tests = [...tests, test])"
      @parts="now => (parts = now)"
      @forget="i => (tests = tests.filter((_, at) => at !== i))"
    />
    <p>
      <button type="button" class="button button-quiet" :disabled="!tests.length" @click="tests = []">No tests yet</button>
      <button type="button" class="button button-quiet" @click="((parts = []), (tests = []))">Begin with an empty board</button>
    </p>
  </OneCard>
</template>
