<script setup lang="ts">
import { stageNames } from '#core/kernel/stages'
import type { MachineSummary } from '#shared/kernel/machine'

/** Machines by their faces: the picture each is known by, its name and its gate. */
defineProps<{ machines: MachineSummary[] }>()
</script>

<template>
  <ul class="grid grid-cols-[repeat(auto-fill,minmax(10.5rem,1fr))] gap-3" aria-label="Pictures">
    <li v-for="machine in machines" :key="machine.tag">
      <NuxtLink :to="`/m/${machine.tag}`" class="grid h-full content-start border border-line bg-card text-ink no-underline hover:border-enamel">
        <MachineFace v-if="machine.portrait" :hash="machine.portrait" class="aspect-4/3 w-full border-0! border-b!" />
        <span v-else class="hint grid aspect-4/3 place-items-center border-b border-line bg-mat px-3 text-center text-sm">No portrait chosen yet</span>
        <span class="grid gap-0.5 p-2">
          <span class="truncate font-semibold underline">{{ machine.nickname || machine.name }}</span>
          <span class="hint truncate text-sm">{{ machine.name }}, {{ stageNames[machine.stage] }}</span>
          <span class="flex flex-wrap items-center justify-between gap-1"
            ><GateSign :verdict="machine.gate" :overruled="machine.overruled" small /><TagTape :tag="machine.tag" small
          /></span>
        </span>
      </NuxtLink>
    </li>
  </ul>
</template>
