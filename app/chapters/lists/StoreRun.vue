<script setup lang="ts">
import { lifeNames, stageNames, stages } from '#core/kernel/stages'
import type { ListCounts } from '#shared/chapters/lists/index'
import type { MachineSummary } from '#shared/kernel/machine'

/** The run: a length of bench for each stage, and the machines on it in the order of how far they are, each filling its tape from below. */
const props = defineProps<{ machines: MachineSummary[]; counts?: ListCounts }>()
const shareOf = (machine: MachineSummary) => machine.run.find(t => t.stage === machine.stage)?.share ?? 0
const lengths = computed(() =>
  stages.map(stage => ({
    stage,
    machines: props.machines.filter(m => m.stage === stage).sort((a, b) => shareOf(b) - shareOf(a) || a.tag.localeCompare(b.tag)),
    all: props.counts?.stage[stage],
  })),
)
const told = (machine: MachineSummary) => {
  const tile = machine.run.find(t => t.stage === machine.stage)
  return tile?.of ? `${tile.done} of ${tile.of} steps of ${tile.title}` : ''
}
</script>

<template>
  <ol class="grid gap-2" aria-label="The run">
    <li v-for="one in lengths" :key="one.stage" class="grid border border-line bg-card sm:grid-cols-[8.5rem_minmax(0,1fr)]">
      <div class="flex items-baseline justify-between gap-2 border-line bg-mat px-3 py-1.5 sm:block sm:border-r">
        <h2>{{ stageNames[one.stage] }}</h2>
        <p class="figure hint">{{ one.machines.length }}{{ one.all !== undefined && one.all > one.machines.length ? ` of ${one.all}` : '' }}</p>
      </div>
      <ul v-if="one.machines.length" class="flex flex-wrap content-start gap-1.5 p-1.5">
        <li v-for="machine in one.machines" :key="machine.tag" class="min-w-0">
          <NuxtLink
            :to="`/m/${machine.tag}`"
            :title="[machine.tag, machine.name, told(machine)].filter(Boolean).join(', ')"
            class="chip relative flex max-w-56 items-center gap-1.5 overflow-hidden border border-edge bg-field px-2 text-ink no-underline"
          >
            <span class="absolute inset-x-0 bottom-0 bg-verdigris/30" :style="{ height: `${shareOf(machine) * 100}%` }" aria-hidden="true" />
            <span class="relative flex min-w-0 items-center gap-1.5"
              ><GateSign :verdict="machine.gate" :overruled="machine.overruled" small bare class="shrink-0" /><span class="truncate">{{
                machine.nickname || machine.name
              }}</span
              ><span v-if="!machine.nickname" class="figure hint shrink-0 text-xs">{{ machine.tag.split('-').at(-1) }}</span
              ><span v-if="machine.stage === 'home' && machine.life" class="hint shrink-0 text-sm">{{ lifeNames[machine.life].title }}</span
              ><SandGlass v-if="machine.nextWaitAt" :until="machine.nextWaitAt" class="shrink-0 text-sm" /><span class="sr-only">{{
                told(machine)
              }}</span></span
            >
          </NuxtLink>
        </li>
      </ul>
      <p v-else class="hint px-3 py-2">Nothing here.</p>
    </li>
  </ol>
</template>

<style scoped>
.chip {
  min-height: 2.25rem;
}
.chip:hover {
  border-color: var(--enamel);
}
@media (width < 56.25rem) {
  .chip {
    min-height: 44px;
  }
}
</style>
