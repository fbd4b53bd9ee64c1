<script setup lang="ts">
/** The machines on the bench now: tag, nickname, gate, and what each waits for. */
const machines = useMachines()
const route = useRoute()
const nextWait = (waits: { until: string }[]) => [...waits].sort((a, b) => a.until.localeCompare(b.until))[0]
</script>

<template>
  <nav aria-label="On the bench" class="grid content-start gap-1 p-2">
    <div class="flex items-center justify-between px-2 py-1">
      <h2>On the bench</h2><span class="figure hint">{{ machines.listed ? machines.onBench.length : '' }}</span>
    </div>
    <p v-if="!machines.listed" class="hint px-2" role="status">{{ machines.failure || 'Fetching…' }}</p>
    <p v-else-if="!machines.onBench.length" class="hint px-2">Empty. Book a machine in, or put one on the bench from its sheet.</p>
    <NuxtLink v-for="machine in machines.onBench" :key="machine.tag" :to="`/m/${machine.tag}`" :aria-current="route.params.tag === machine.tag ? 'page' : undefined" class="grid gap-0.5 border border-transparent px-2 py-1.5 text-ink no-underline hover:border-line hover:bg-card" :class="route.params.tag === machine.tag && 'border-enamel! bg-card'">
      <span class="flex items-center gap-2"><TagTape :tag="machine.tag" small /><SandGlass v-if="machine.waits.length" :until="nextWait(machine.waits)!.until" class="ml-auto text-sm" /></span>
      <span class="truncate leading-tight">{{ machine.nickname || machine.name }}</span>
      <GateSign :verdict="machine.gate" :overruled="machine.overruled" small />
    </NuxtLink>
  </nav>
</template>
