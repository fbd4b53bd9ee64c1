<script setup lang="ts">
import { PhHandPointing, PhLightning } from '~/kernel/signs/icons'
import type { ListQuery } from '~/kernel/queries/lists'

/** The machines on the bench now, one a line: gate, name, who has it in hand, what it waits for. */
const shelfQuery: ListQuery = { bench: 'on', sort: 'harm', size: 60 }
const { list, trouble } = useMachineList(shelfQuery)
/** A shelf is looked over, not searched: what lies beyond is found in the store. */
const beyond = computed(() => (list.value ? list.value.total - list.value.rows.length : 0))
const { runningOn } = useRunningStarts()
const route = useRoute()
/** The face of the machine that the mouse or the cursor is on, beside the shelf and level with its name. */
const face = ref<{ hash: string; left: number; top: number }>()
function look(event: Event, hash: string | null) {
  const { right, top } = (event.currentTarget as HTMLElement).getBoundingClientRect()
  face.value = hash ? { hash, left: right + 12, top: Math.min(top, innerHeight - 150) } : undefined
}
const initials = (names: string) =>
  names
    .split(' and ')
    .map(name => name.replace(/[^\p{Lu}]/gu, '').slice(0, 2))
    .join(' ')
</script>

<template>
  <nav aria-label="On the bench" class="grid content-start p-2">
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
      :title="`${machine.tag}, ${machine.name}`"
      class="flex min-h-8 items-center gap-2 border border-transparent px-2 text-ink no-underline hover:border-line hover:bg-card max-wide:min-h-11"
      :class="route.params.tag === machine.tag && 'border-enamel! bg-card'"
      @mouseenter="look($event, machine.portrait)"
      @focus="look($event, machine.portrait)"
      @mouseleave="face = undefined"
      @blur="face = undefined"
    >
      <GateSign :verdict="machine.gate" :overruled="machine.overruled" small bare class="shrink-0" />
      <span class="truncate">{{ machine.nickname || machine.name }}</span>
      <span v-if="!machine.nickname" class="figure hint shrink-0 text-xs">{{ machine.tag.split('-').at(-1) }}</span>
      <span class="ml-auto flex shrink-0 items-center gap-1.5 text-sm">
        <span v-if="runningOn(machine.tag)" class="flex items-center font-semibold text-stop"
          ><PhLightning aria-hidden="true" weight="fill" /><span class="sr-only">a start is running</span></span
        >
        <span v-for="job in machine.inHand" :key="job.jobId" class="flex items-center gap-0.5 text-note" :title="`${job.by}: ${job.says}`"
          ><PhHandPointing aria-hidden="true" /><span aria-hidden="true" class="figure text-xs">{{ initials(job.by) }}</span
          ><span class="sr-only">{{ job.by }} has it in hand</span></span
        >
        <SandGlass v-if="machine.nextWaitAt" :until="machine.nextWaitAt" />
      </span>
    </NuxtLink>
    <NuxtLink v-if="beyond > 0" :to="{ path: '/store', query: { bench: 'on' } }" class="px-2 py-1.5">{{ beyond }} more in the store</NuxtLink>
    <Teleport to="body"
      ><MachineFace
        v-if="face"
        :hash="face.hash"
        class="no-print pointer-events-none fixed z-40 h-32 w-44 shadow-lg max-wide:hidden"
        :style="{ left: `${face.left}px`, top: `${face.top}px` }"
    /></Teleport>
  </nav>
</template>
