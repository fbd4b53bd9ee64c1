<script setup lang="ts">
import type { MachineSheet } from '#shared/contracts/views'
import type { Stage } from '#core/planning/stages'

/** The run: seven adjoining tiles that fill from the bottom; the machine's stage stands taller; a wait shows its sand-glass. */
const props = defineProps<{ run: MachineSheet['run'], current: Stage, viewed?: Stage, waits?: MachineSheet['waits'], small?: boolean }>()
defineEmits<{ view: [stage: Stage] }>()
const nextWait = computed(() => [...props.waits ?? []].sort((a, b) => a.until.localeCompare(b.until))[0])
const told = (tile: MachineSheet['run'][number]) => `${tile.title}, ${tile.of ? `${tile.done} of ${tile.of} done` : tile.share ? 'passed' : 'nothing to do yet'}${tile.stage === props.current ? ', the machine is here' : ''}`
</script>

<template>
  <div v-if="small" class="flex h-4 items-end" role="img" :aria-label="`Stage ${run.find(t => t.stage === current)?.title}`">
    <span v-for="tile in run" :key="tile.stage" class="relative w-4 overflow-hidden border border-edge bg-field" :class="tile.stage === current ? 'h-4' : 'h-2.5'">
      <span class="absolute inset-x-0 bottom-0 bg-verdigris" :style="{ height: `${tile.share * 100}%` }" />
    </span>
  </div>
  <div v-else class="flex items-end overflow-x-auto" role="group" aria-label="The run">
    <button v-for="(tile, i) in run" :key="tile.stage" type="button" class="relative min-w-21 flex-1 overflow-hidden border border-edge bg-field text-left not-first:-ml-px" :class="[tile.stage === current ? 'h-16' : 'h-13', tile.stage === viewed && 'z-10 border-2 border-enamel']" :aria-pressed="tile.stage === viewed" :aria-label="told(tile)" @click="$emit('view', tile.stage)">
      <span class="absolute inset-x-0 bottom-0 bg-verdigris/30 transition-[height]" :style="{ height: `${tile.share * 100}%` }" aria-hidden="true" />
      <span class="relative grid px-2 py-1">
        <span class="flex items-baseline gap-1.5"><span class="figure hidden text-xs sm:inline">{{ i + 1 }}</span><span class="font-display font-semibold" :class="tile.stage === current && 'underline decoration-2 underline-offset-4'">{{ tile.title }}</span></span>
        <SandGlass v-if="tile.stage === current && nextWait" :until="nextWait.until" class="text-sm" />
        <span v-else class="figure text-xs">{{ tile.of ? `${tile.done} of ${tile.of}` : '—' }}</span>
      </span>
    </button>
  </div>
</template>
