<script setup lang="ts">
import QRCode from 'qrcode'

/** A code that a telephone reads (ISO/IEC 18004), drawn with the quiet zone of four modules that it wants. */
const props = defineProps<{ text: string }>()
const quiet = 4
const code = computed(() => QRCode.create(props.text, { errorCorrectionLevel: 'M' }).modules)
const path = computed(() =>
  Array.from({ length: code.value.size ** 2 }, (_, i) => i)
    .filter(i => code.value.data[i])
    .map(i => `M${(i % code.value.size) + quiet} ${Math.floor(i / code.value.size) + quiet}h1v1h-1z`)
    .join(''),
)
</script>

<template>
  <svg :viewBox="`0 0 ${code.size + 2 * quiet} ${code.size + 2 * quiet}`" role="img" :aria-label="`Code that opens ${text}`" shape-rendering="crispEdges">
    <rect width="100%" height="100%" fill="#fff" />
    <path :d="path" fill="#000" />
  </svg>
</template>
