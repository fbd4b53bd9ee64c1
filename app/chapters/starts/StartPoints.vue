<script setup lang="ts">
import { shownRail } from '#core/power/rails'
import type { StartFrame } from '#shared/chapters/starts/index'

/** The points of a start: which is probed, what was kept of each, and how to go on to another. */
defineProps<{ frame: StartFrame; may: boolean; tell: (what: Record<string, unknown>) => Promise<boolean> }>()
</script>

<template>
  <div class="card grid gap-2">
    <h2>Points</h2>
    <ul class="grid divide-y divide-line">
      <li v-for="p in frame.plan.points" :key="p.rail" class="flex flex-wrap items-center gap-x-3 gap-y-1 py-1.5">
        <span class="figure font-semibold">{{ shownRail(p.rail) }}</span><span class="hint">{{ p.point }}</span
        ><span v-if="frame.kept[p.rail] !== undefined" class="figure">{{ railFigure(frame.kept[p.rail]!) }} kept</span
        ><span v-if="p.rail === frame.rail" class="ml-auto font-semibold">Probed</span
        ><button v-else-if="may" type="button" class="button ml-auto wide:min-h-8!" @click="tell({ do: 'probe', rail: p.rail })">
          Probe {{ shownRail(p.rail) }}
        </button>
      </li>
    </ul>
    <p class="hint">Switch off before the probe moves, unless it is a clip that cannot slip.</p>
  </div>
</template>
