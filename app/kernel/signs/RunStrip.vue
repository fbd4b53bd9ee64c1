<script setup lang="ts">
import type { StageGauge, WaitView } from '#shared/kernel/machine'
import type { Stage } from '#core/planning/stages'

/** The run: seven adjoining tiles that fill from the bottom; the machine's stage stands taller; a wait shows its sand-glass. */
const props = defineProps<{ run: StageGauge[]; current: Stage; viewed?: Stage; waits?: WaitView[]; small?: boolean }>()
defineEmits<{ view: [stage: Stage] }>()
const nextWait = computed(() => [...(props.waits ?? [])].sort((a, b) => a.until.localeCompare(b.until))[0])
const strip = useTemplateRef<HTMLElement>('strip')
// On a narrow screen the strip scrolls; the tile that is looked at comes into sight.
onMounted(() => {
  const tile = strip.value?.querySelector<HTMLElement>('[aria-pressed=true]')
  if (tile) strip.value?.scrollTo({ left: tile.offsetLeft - 40 })
})
</script>

<template>
  <div v-if="small" class="flex h-4 items-end" role="img" :aria-label="`Stage ${run.find(t => t.stage === current)?.title}`">
    <span
      v-for="tile in run"
      :key="tile.stage"
      class="relative w-4 overflow-hidden border border-edge bg-field"
      :class="tile.stage === current ? 'h-4' : 'h-2.5'"
    >
      <span class="absolute inset-x-0 bottom-0 bg-verdigris" :style="{ height: `${tile.share * 100}%` }" />
    </span>
  </div>
  <div v-else ref="strip" class="flex items-end overflow-x-auto" role="group" aria-label="The run" tabindex="-1">
    <button
      v-for="(tile, i) in run"
      :key="tile.stage"
      type="button"
      class="relative min-w-24 flex-1 overflow-hidden border border-edge bg-field text-left not-first:-ml-px"
      :class="[tile.stage === current ? 'h-16' : 'h-13', tile.stage === viewed && 'z-10 border-2 border-enamel']"
      :aria-pressed="tile.stage === viewed"
      @click="$emit('view', tile.stage)"
    >
      <span class="absolute inset-x-0 bottom-0 bg-verdigris/30 transition-[height]" :style="{ height: `${tile.share * 100}%` }" aria-hidden="true" />
      <span class="relative grid px-2 py-1">
        <span class="font-display font-semibold whitespace-nowrap" :class="tile.stage === current && 'underline decoration-2 underline-offset-4'">{{
          tile.title
        }}</span>
        <span class="flex items-baseline justify-between gap-1"
          ><SandGlass v-if="tile.stage === current && nextWait" :until="nextWait.until" class="text-sm" /><span
            v-else
            class="figure text-xs whitespace-nowrap"
            >{{ tile.of ? `${tile.done} of ${tile.of}` : '—' }}</span
          ><span class="figure hidden text-xs text-ink-2 sm:inline" aria-hidden="true">{{ i + 1 }}</span></span
        ><span v-if="tile.stage === current" class="sr-only">The machine is here</span>
      </span>
    </button>
  </div>
</template>
