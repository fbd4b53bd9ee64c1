<script setup lang="ts">
/** Starts work that takes its time, says that it is under way, and stops it. */
defineProps<{ label: string; busy: boolean; failure?: string; disabled?: boolean; quiet?: boolean }>()
defineEmits<{ start: []; stop: [] }>()
</script>

<template>
  <div class="flex flex-wrap items-center gap-3">
    <button type="button" class="button" :class="!quiet && 'button-main'" :disabled="disabled" :aria-disabled="busy" @click="$emit('start')">
      {{ busy ? 'Working it out…' : label }}
    </button>
    <button v-if="busy" type="button" class="button button-quiet" @click="$emit('stop')">Stop</button>
    <span v-if="failure" role="alert" class="text-stop">{{ failure }}</span>
  </div>
</template>
