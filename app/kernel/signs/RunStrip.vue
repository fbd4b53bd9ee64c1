<script setup lang="ts">
import type { StageGauge, WaitView } from '#shared/kernel/machine'
import type { Stage } from '#core/kernel/stages'

/** The run: seven adjoining tiles that fill from the bottom; the machine's stage stands taller; a wait shows its sand-glass. */
const props = defineProps<{ run: StageGauge[]; current: Stage; viewed?: Stage; waits?: WaitView[]; small?: boolean }>()
defineEmits<{ view: [stage: Stage] }>()
const nextWait = computed(() => [...(props.waits ?? [])].sort((a, b) => a.until.localeCompare(b.until))[0])
</script>

<template>
  <div v-if="small" class="flex h-4 items-end" role="img" :aria-label="`Stage ${run.find(t => t.stage === current)?.title}`">
    <span
      v-for="tile in run"
      :key="tile.stage"
      class="relative w-3 overflow-hidden border border-edge bg-field"
      :class="tile.stage === current ? 'h-4' : 'h-2.5'"
    >
      <span class="absolute inset-x-0 bottom-0 bg-verdigris" :style="{ height: `${tile.share * 100}%` }" />
    </span>
  </div>
  <div v-else class="flex flex-wrap items-end" role="group" aria-label="The run">
    <button
      v-for="(tile, i) in run"
      :key="tile.stage"
      type="button"
      class="relative min-w-[3rem] flex-1 overflow-hidden border border-edge bg-field text-left not-first:-ml-px"
      :class="[tile.stage === current ? 'h-16' : 'h-13', tile.stage === viewed && 'z-10 border-2 border-enamel']"
      :aria-pressed="tile.stage === viewed"
      :title="tile.of ? `${tile.done} of ${tile.of} steps done` : 'No steps of its own'"
      @click="$emit('view', tile.stage)"
    >
      <span class="absolute inset-x-0 bottom-0 bg-verdigris/30 transition-[height]" :style="{ height: `${tile.share * 100}%` }" aria-hidden="true" />
      <span class="relative grid px-1 py-1 sm:px-2">
        <span
          class="font-display text-[0.8125rem] leading-tight font-semibold sm:text-base sm:whitespace-nowrap"
          :class="tile.stage === current && 'underline decoration-2 underline-offset-4'"
          >{{ tile.title }}</span
        >
        <span class="flex items-baseline justify-between gap-1 max-sm:hidden"
          ><SandGlass v-if="tile.stage === current && nextWait" :until="nextWait.until" class="text-sm" /><span v-else class="figure text-xs whitespace-nowrap"
            >{{ tile.of ? `${tile.done} of ${tile.of}` : '—' }}<span v-if="tile.of" class="sr-only"> steps</span></span
          ><span class="figure hidden text-xs text-ink-2 sm:inline" aria-hidden="true">{{ i + 1 }}</span></span
        ><span v-if="tile.stage === current" class="sr-only">Current stage</span>
      </span>
    </button>
  </div>
</template>
