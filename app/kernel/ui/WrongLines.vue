<script setup lang="ts">
/** Lines of a list that could not be read, each with what would do. */
defineProps<{ wrong: readonly { line: number; text: string; says: string }[] }>()
const most = 8
</script>

<template>
  <ul v-if="wrong.length" class="grid gap-1 border-l-4 border-stop bg-stop-wash px-3 py-1">
    <li v-for="one in wrong.slice(0, most)" :key="one.line">
      <template v-if="one.line"
        ><strong>Line {{ one.line }}</strong
        >, <q>{{ one.text }}</q>:
      </template>
      {{ one.says }}
    </li>
    <li v-if="wrong.length > most">{{ wrong.length - most }} more cannot be read.</li>
  </ul>
</template>
