<script setup lang="ts">
import type { Finding } from '#core/kernel/finding'

/** Findings as they are shown everywhere: sign, word, sentence; reasons and source a press away. */
defineProps<{ findings: Finding[]; brief?: boolean }>()
</script>

<template>
  <ul class="grid gap-1">
    <li v-for="found in findings" :key="found.code + found.says" class="grid grid-cols-[4.25rem_1fr] items-baseline gap-2">
      <LevelSign :level="found.level" />
      <details v-if="!brief && (found.because.length || found.source)">
        <summary>{{ found.says }}</summary>
        <p v-for="fact in found.because" :key="fact" class="hint">{{ fact }}</p>
        <p v-if="found.source" class="hint italic">Source: {{ found.source }}.</p>
      </details>
      <p v-else>{{ found.says }}</p>
    </li>
  </ul>
</template>
