<script setup lang="ts">
import { counted } from '#core/kernel/figure'
import { CodeLabels, HeldLine } from '~/chapters/parts/index'
import type { HeldView } from '#shared/chapters/parts/index'
import type { Page } from '#shared/kernel/answers'

/** What lies in one place, as its code opens it, with the label of the place. */
const name = String(useRoute().params.name)
useHead({ title: name })
const page = ref(1)
const size = 100
const { found, trouble } = useCollection<{ held: Page<HeldView> }>(
  () => ['held in', name, page.value],
  '/api/parts/held',
  () => ({ lies: name, page: page.value, size }),
)
const print = () => window.print()
</script>

<template>
  <div class="grid max-w-4xl gap-4">
    <header class="no-print flex flex-wrap items-center gap-3">
      <h1>{{ name }}</h1>
      <NuxtLink :to="{ path: '/parts', query: { side: 'held' } }">All that is held</NuxtLink><NuxtLink to="/scan">Scan</NuxtLink>
    </header>
    <p v-if="trouble" role="alert" class="text-stop">{{ trouble }}</p>
    <p v-else-if="!found" role="status" class="hint">Fetching…</p>
    <EmptyPlace v-else-if="!found.held.rows.length" says="No part on record lies here. Scan this place, then a bag, and the bag lies here." />
    <section v-else class="card grid gap-2">
      <p class="hint">{{ counted(found.held.total, 'line') }}.</p>
      <ul class="grid divide-y divide-line border-y border-line">
        <HeldLine v-for="one in found.held.rows" :key="one.id" :held="one" />
      </ul>
      <PageTurner v-model:page="page" :size="size" :total="found.held.total" what="what lies here" />
    </section>
    <p class="no-print flex flex-wrap items-center gap-3">
      <button type="button" class="button" @click="print">Print its label</button><PrintLabels kind="place" :tags="[name]" />
    </p>
    <CodeLabels :labels="[{ coded: { what: 'place', name }, title: name, lines: [] }]" size="large" />
  </div>
</template>
