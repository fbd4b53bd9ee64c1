<script setup lang="ts">
/** Shows the rest of a list, where there is any. */
defineProps<{ count: number; few: number }>()
const all = defineModel<boolean>({ required: true })
</script>

<template>
  <div v-if="count > few">
    <button type="button" class="button button-quiet" :aria-expanded="all" @click="all = !all">{{ all ? 'Show fewer' : `Show all ${count}` }}</button>
  </div>
</template>
