<script setup lang="ts">
import type { SheetHead } from '#shared/kernel/machine'

/** What to do next with this machine, each with its reason and who can do it; then what is being waited for. */
defineProps<{ sheet: SheetHead }>()
const shownAtFirst = 4
const all = ref(false)
</script>

<template>
  <OneCard title="Next moves">
    <EmptyPlace v-if="!sheet.moves.length" :says="sheet.waits.length ? 'Nothing to do until the wait is over.' : 'Nothing is left to do.'" />
    <ol v-else class="grid divide-y divide-line">
      <li v-for="move in all ? sheet.moves : sheet.moves.slice(0, shownAtFirst)" :key="move.code + move.says" class="py-2 first:pt-0">
        <NuxtLink :to="{ query: { stage: move.stage } }" class="font-semibold text-ink">{{ move.says }}</NuxtLink>
        <p class="hint">{{ move.why }}</p>
        <p class="hint">By {{ move.who }}. <WhoCould :skill="move.skill" /></p>
      </li>
    </ol>
    <div v-if="sheet.moves.length > shownAtFirst">
      <button type="button" class="button button-quiet" @click="all = !all">{{ all ? 'Show fewer' : `Show all ${sheet.moves.length}` }}</button>
    </div>
    <ul v-if="sheet.waits.length" class="grid gap-1 border-t border-line pt-2">
      <li v-for="wait in sheet.waits" :key="wait.id" class="flex gap-2">
        <SandGlass :until="wait.until" /><span class="hint">{{ wait.what }}</span>
      </li>
    </ul>
  </OneCard>
</template>
