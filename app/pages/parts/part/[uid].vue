<script setup lang="ts">
import { CodeLabels, HeldLine } from '~/chapters/parts/index'
import { partConditions } from '#core/parts/ledger'
import { specWords } from '#core/parts/substitute/words'
import type { HeldView } from '#shared/chapters/parts/index'

/** One line of the ledger, as its code opens it, with its label. */
const uid = String(useRoute().params.uid)
const { found, trouble } = useCollection<{ held: HeldView }>(
  () => ['part', uid],
  () => `/api/parts/part/${encodeURIComponent(uid)}`,
)
const held = computed(() => found.value?.held)
useHead({ title: () => held.value?.name ?? 'Part' })
const label = computed(
  () =>
    held.value && {
      coded: { what: 'part' as const, uid },
      title: `${held.value.count} × ${held.value.name}`,
      lines: [held.value.kind ? specWords(held.value.kind, held.value.spec) : '', partConditions[held.value.condition], held.value.lies].filter(Boolean),
    },
)
const print = () => window.print()
</script>

<template>
  <div class="grid max-w-3xl gap-4">
    <header class="no-print flex flex-wrap items-center gap-3">
      <h1>{{ held?.name ?? 'Part' }}</h1>
      <NuxtLink :to="{ path: '/parts', query: { side: 'held' } }">All that is held</NuxtLink><NuxtLink to="/scan">Scan another</NuxtLink>
    </header>
    <p v-if="trouble" role="alert" class="text-stop">{{ trouble }}</p>
    <p v-else-if="!held" role="status" class="hint">Fetching…</p>
    <template v-else>
      <ul class="card no-print">
        <HeldLine :held="held" />
      </ul>
      <p v-if="held.tag" class="no-print">
        <NuxtLink :to="{ path: `/m/${held.tag}`, query: { stage: 'mend' } }" class="inline-flex items-center gap-2"
          ><TagTape :tag="held.tag" small />its machine</NuxtLink
        >
      </p>
      <p v-if="held.lies" class="no-print">
        <NuxtLink :to="`/parts/place/${encodeURIComponent(held.lies)}`">What else lies in {{ held.lies }}</NuxtLink>
      </p>
      <p class="no-print flex flex-wrap items-center gap-3">
        <button type="button" class="button" @click="print">Print its label</button><PrintLabels kind="part" :tags="[uid]" />
      </p>
      <CodeLabels v-if="label" :labels="[label]" size="small" />
    </template>
  </div>
</template>
