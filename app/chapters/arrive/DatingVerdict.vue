<script setup lang="ts">
import type { DatingResult } from '#core/identify/dating'

/** When a machine was made, what that rests on, and which parts were left out and why. */
defineProps<{ dating: DatingResult }>()
</script>

<template>
  <div class="grid gap-3">
    <p v-if="dating.likelyQuarter" class="flex flex-wrap items-baseline gap-x-3">
      <span class="reading">{{ dating.likelyQuarter.replace('-', ' ') }}</span><span class="hint">most likely quarter of manufacture</span>
    </p>
    <ClientOnly><DatingStrip v-if="dating.used.length + dating.leftOut.length > 1" :dating="dating" /></ClientOnly>
    <FindingList :findings="dating.findings" />
    <div v-if="dating.leftOut.length">
      <h3>Left out</h3>
      <ul class="ml-5 list-disc">
        <li v-for="part in dating.leftOut" :key="part.code + part.place">
          <span class="figure">{{ part.code }}</span><template v-if="part.place"> on {{ part.place }}</template
          >: <span class="hint">{{ part.why }}</span>
        </li>
      </ul>
    </div>
  </div>
</template>
