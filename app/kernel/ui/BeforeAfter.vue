<script setup lang="ts">
/** Two pictures one over the other, with a divider that slides. */
interface Side {
  src: string
  alt: string
}
defineProps<{ left: Side; right: Side; widthPx: number; heightPx: number }>()
const divider = ref(50)
</script>

<template>
  <div class="grid gap-2">
    <div
      class="relative mx-auto max-h-[60dvh] w-full max-w-4xl overflow-hidden border border-line bg-[#20292b]"
      :style="{ aspectRatio: `${widthPx} / ${heightPx}` }"
    >
      <img :src="right.src" :alt="right.alt" class="absolute inset-0 h-full w-full object-contain" />
      <img :src="left.src" :alt="left.alt" class="absolute inset-0 h-full w-full object-contain" :style="{ clipPath: `inset(0 ${100 - divider}% 0 0)` }" />
      <span aria-hidden="true" class="absolute inset-y-0 w-0.5 bg-white outline-1 outline-black" :style="{ left: `${divider}%` }" />
    </div>
    <label class="no-print grid gap-1"
      ><span class="font-semibold">Divider</span><input v-model.number="divider" type="range" min="0" max="100" step="1" class="w-full accent-enamel"
    /></label>
  </div>
</template>
