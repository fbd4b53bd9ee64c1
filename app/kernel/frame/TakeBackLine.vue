<script setup lang="ts">
import { PhArrowUUpLeft } from '~/kernel/signs/icons'

/** What was just done, and the press that takes it back, for a few seconds. */
const back = useTakeBack()
</script>

<template>
  <div role="status">
    <p v-if="back.offered" class="flex items-center gap-3 border border-edge bg-card py-1 pr-1 pl-3">
      <span class="line-clamp-2 min-w-0 flex-1">{{ back.offered.says }}</span>
      <button v-if="back.offered.undo" type="button" class="button wide:min-h-8!" :disabled="back.busy" @click="back.undo()">
        <PhArrowUUpLeft aria-hidden="true" />Undo
      </button>
    </p>
  </div>
</template>
