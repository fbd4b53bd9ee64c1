<script setup lang="ts">
/** Turns the pages of a list; not there while everything fits on one. */
const props = defineProps<{ total: number; size: number; what: string; atLeast?: boolean }>()
const page = defineModel<number>('page', { required: true })
const pages = computed(() => Math.max(1, Math.ceil(props.total / props.size)))
const from = computed(() => (page.value - 1) * props.size + 1)
watch(pages, last => page.value > last && (page.value = last))
</script>

<template>
  <nav v-if="pages > 1" :aria-label="`Pages of ${what}`" class="flex flex-wrap items-center gap-2">
    <button type="button" class="button" :disabled="page <= 1" @click="page--">Before</button>
    <span class="figure" role="status">{{ from }} to {{ Math.min(total, page * size) }} of {{ total }}{{ atLeast ? ' and more' : '' }}</span>
    <button type="button" class="button" :disabled="page >= pages" @click="page++">After</button>
  </nav>
</template>
