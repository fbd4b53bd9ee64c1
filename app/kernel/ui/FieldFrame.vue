<script setup lang="ts">
/** Label above, hint and message below; the control in between says which of them describe it. */
defineProps<{ id: string; label: string; hint?: string; message?: string; needed?: boolean }>()
</script>

<template>
  <div class="grid max-w-full content-start gap-1">
    <label :for="id" class="font-semibold" :class="needed && 'needed'">{{ label }}</label>
    <slot :described="[hint && `${id}-hint`, message && `${id}-message`].filter(Boolean).join(' ') || undefined" />
    <p v-if="hint" :id="`${id}-hint`" class="hint wrap-anywhere">{{ hint }}</p>
    <p v-if="message" :id="`${id}-message`" role="alert" class="text-[0.9375rem] text-stop">{{ message }}</p>
  </div>
</template>
