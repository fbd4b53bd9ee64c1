<script setup lang="ts">
import type { ListQuery } from '~/kernel/queries/lists'

/** The machines on the bench now: tag, nickname, gate, and what each waits for. */
const shelfQuery: ListQuery = { bench: 'on', sort: 'harm', size: 60 }
const { list, trouble } = useMachineList(shelfQuery)
/** A shelf is looked over, not searched: what lies beyond is found in the store. */
const beyond = computed(() => (list.value ? list.value.total - list.value.rows.length : 0))
const route = useRoute()
</script>

<template>
  <nav aria-label="On the bench" class="grid content-start gap-1 p-2">
    <div class="flex items-center justify-between px-2 py-1">
      <h2>On the bench</h2>
      <span class="figure hint">{{ list?.total ?? '' }}</span>
    </div>
    <p v-if="!list" class="hint px-2" role="status">{{ trouble || 'Fetching…' }}</p>
    <p v-else-if="!list.rows.length" class="hint px-2">Empty. Book a machine in, or put one on the bench from its sheet.</p>
    <NuxtLink
      v-for="machine in list?.rows"
      :key="machine.tag"
      :to="`/m/${machine.tag}`"
      :aria-current="route.params.tag === machine.tag ? 'page' : undefined"
      class="grid gap-0.5 border border-transparent px-2 py-1.5 text-ink no-underline hover:border-line hover:bg-card"
      :class="route.params.tag === machine.tag && 'border-enamel! bg-card'"
    >
      <span class="flex items-center gap-2"
        ><TagTape :tag="machine.tag" small /><SandGlass v-if="machine.nextWaitAt" :until="machine.nextWaitAt" class="ml-auto text-sm"
      /></span>
      <span class="truncate leading-tight">{{ machine.nickname || machine.name }}</span>
      <GateSign :verdict="machine.gate" :overruled="machine.overruled" small />
    </NuxtLink>
    <NuxtLink v-if="beyond > 0" :to="{ path: '/store', query: { bench: 'on' } }" class="px-2 py-1.5">{{ beyond }} more in the store</NuxtLink>
  </nav>
</template>
