<script setup lang="ts">
import type { RankedMethod, Suits } from '#core/cleaning/methods'
import { methods } from '#core/cleaning/words'

/** Methods in their order, each with how it suits and why; what must not be stands last, and is seen. */
const props = defineProps<{ ranked: RankedMethod[] }>()
const words: Record<Suits, string> = { 'suited': 'Suited', 'careful': 'With care', 'not-known': 'Not known', 'no-use': 'No use', 'never': 'Never' }
const inks: Record<Suits, string> = { 'suited': 'text-fine', 'careful': 'text-care', 'not-known': 'text-note', 'no-use': 'text-ink-2', 'never': 'text-stop' }
const shown = computed(() => props.ranked.filter(r => r.suits !== 'no-use'))
const noUse = computed(() => props.ranked.filter(r => r.suits === 'no-use').map(r => methods[r.method].toLowerCase()))
</script>

<template>
  <ul class="grid divide-y divide-line border-y border-line" aria-label="Methods">
    <li v-for="one in shown" :key="one.method" class="grid grid-cols-[5.5rem_minmax(0,1fr)] gap-2 py-1">
      <span class="font-semibold" :class="inks[one.suits]">{{ words[one.suits] }}</span>
      <details v-if="one.findings.length">
        <summary>
          {{ methods[one.method] }}<span v-if="one.school" class="hint">, the practice here</span
          ><span v-if="one.suits === 'never'" class="hint">&ensp;{{ one.findings.find(f => f.level === 'stop')?.says }}</span>
        </summary>
        <p v-for="found in one.findings" :key="found.code + found.says" class="hint">{{ found.says }} {{ found.because.join(' ') }}</p>
      </details>
      <span v-else>{{ methods[one.method] }}</span>
    </li>
  </ul>
  <p v-if="noUse.length" class="hint">Not known to do anything about it: {{ noUse.join(', ') }}.</p>
</template>
