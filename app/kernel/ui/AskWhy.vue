<script setup lang="ts">
import { PhQuestion } from '~/kernel/signs/icons'

/** A small press beside something, for how it is looked at or why it is asked; what it shows stands where there is room. */
defineProps<{ about: string }>()
const open = defineModel<boolean>({ required: true })
</script>

<template>
  <button type="button" class="grid h-6 w-6 shrink-0 place-items-center text-ink-2 max-wide:h-11 max-wide:w-11" :aria-expanded="open" @click="open = !open">
    <PhQuestion aria-hidden="true" /><span class="sr-only">{{ about }}</span>
  </button>
</template>
