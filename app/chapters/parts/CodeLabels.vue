<script setup lang="ts">
import { type Coded, codePath } from '#core/parts/codes'

export interface CodeLabel {
  coded: Coded
  title: string
  lines: string[]
}
/** Labels with a code, cut along their lines: small ones for bags, larger ones for boxes. */
defineProps<{ labels: CodeLabel[]; size: 'small' | 'large' }>()
const { origin } = window.location
</script>

<template>
  <ul class="labels" :class="size">
    <li v-for="label in labels" :key="codePath(label.coded)" class="label bg-white text-black">
      <QrCode :text="`${origin}${codePath(label.coded)}`" class="code" />
      <div class="grid min-w-0 content-start gap-0.5 overflow-hidden">
        <p class="line-clamp-3 leading-tight font-semibold wrap-anywhere" :class="size === 'large' && 'font-display text-2xl'">{{ label.title }}</p>
        <p v-for="line in label.lines" :key="line" class="line-clamp-2 text-xs leading-tight wrap-anywhere">{{ line }}</p>
      </div>
    </li>
  </ul>
</template>

<style scoped>
.labels {
  --w: 63mm;
  --h: 30mm;
  display: grid;
  grid-template-columns: repeat(auto-fill, var(--w));
}
.large {
  --w: 95mm;
  --h: 45mm;
}
.label {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr);
  gap: 2mm;
  width: var(--w);
  height: var(--h);
  padding: 2mm;
  overflow: hidden;
  outline: 0.2mm dashed #888;
  break-inside: avoid;
}
.code {
  width: calc(var(--h) - 4mm);
  height: calc(var(--h) - 4mm);
}
@media (width <= 26rem) {
  .labels {
    grid-template-columns: minmax(0, 1fr);
  }
  .label {
    width: auto;
  }
}
@media print {
  .labels {
    grid-template-columns: repeat(3, var(--w));
  }
  .large {
    grid-template-columns: repeat(2, var(--w));
  }
}
</style>
