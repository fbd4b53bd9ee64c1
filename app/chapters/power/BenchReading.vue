<script setup lang="ts">
/** A reading with one thumb: the next rail comes up by itself, judged as it is typed. */
const props = defineProps<{ tag: string }>()
const { sheet, trouble } = useSheet(() => props.tag, ['power'])
// It stays open for the next rail, and hands nothing of the sheet on to the form.
defineOptions({ inheritAttrs: false })
</script>

<template>
  <p v-if="!sheet" role="status" class="hint">{{ trouble || 'Fetching the rails…' }}</p>
  <p v-else-if="!sheet.expectedRails.length">
    No rail is expected of it. <NuxtLink :to="`/m/${tag}?stage=prove`">Say under Prove which rails it has.</NuxtLink>
  </p>
  <ReadingForm v-else :sheet="sheet" brief />
</template>
