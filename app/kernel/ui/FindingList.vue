<script setup lang="ts">
import type { Finding } from '#core/kernel/finding'

/** Findings as they are shown everywhere: sign, word, sentence, reasons, source. */
defineProps<{ findings: Finding[]; brief?: boolean }>()
</script>

<template>
  <ul class="grid gap-2">
    <li v-for="found in findings" :key="found.code + found.says" class="grid grid-cols-[4.25rem_1fr] gap-2">
      <LevelSign :level="found.level" />
      <div>
        <p>{{ found.says }}</p>
        <template v-if="!brief">
          <p v-for="fact in found.because" :key="fact" class="hint">{{ fact }}</p>
          <p v-if="found.source" class="hint italic">Source: {{ found.source }}.</p>
        </template>
      </div>
    </li>
  </ul>
</template>
