<script setup lang="ts">
/** One row of a list: its line, and behind a press the form that changes it. */
defineProps<{ name: string; may: boolean; gone?: string; word?: string }>()
const open = ref(false)
</script>

<template>
  <li class="grid gap-2 py-1.5">
    <div class="flex flex-wrap items-baseline gap-x-4">
      <slot /><span v-if="gone" class="text-ink-2">{{ gone }}</span
      ><button v-if="may" type="button" class="ml-auto min-h-6 text-sm underline max-wide:min-h-11" :aria-expanded="open" @click="open = !open">
        {{ open ? 'Close' : (word ?? 'Change') }}<span class="sr-only"> {{ name }}</span>
      </button>
    </div>
    <slot name="below" />
    <slot v-if="open" name="form" :close="() => (open = false)" />
  </li>
</template>
