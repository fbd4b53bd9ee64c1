<script setup lang="ts">
/** The machine's number on a strip of masking tape, torn at both ends. */
defineProps<{ tag: string; small?: boolean }>()
</script>

<template>
  <span class="tape bg-tape figure whitespace-nowrap text-tape-ink" :class="small ? 'px-2.5 text-[0.8125rem]' : 'px-4 py-0.5 text-lg'">{{ tag }}</span>
</template>

<style scoped>
.tape {
  display: inline-block;
  font-weight: 600;
  clip-path: polygon(0 12%, 3px 30%, 1px 52%, 4px 74%, 0 100%, calc(100% - 2px) 96%, 100% 78%, calc(100% - 4px) 55%, calc(100% - 1px) 32%, calc(100% - 3px) 0);
}
@media print {
  .tape {
    clip-path: none;
    border: 1px solid #000;
  }
}
</style>
