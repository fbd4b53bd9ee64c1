<script setup lang="ts">
import { needs } from '#core/parts/needs'
import { wouldDoWords } from '#core/parts/would-do'
import { partConditions } from '#core/parts/ledger'
import type { ErrorAnswer } from '#shared/kernel/answers'
import type { SoughtPart, SoughtView } from '#shared/chapters/sought/index'

/** What is sought and what can be spared, for anybody: read, printed, and answered line by line. */
definePageMeta({ layout: 'plain' })
const { data } = await useFetch<SoughtView | ErrorAnswer>('/api/sought', { ignoreResponseError: true })
const list = computed(() => (data.value && !('error' in data.value) ? data.value : undefined))
const event = useRequestEvent()
if (event && !list.value) event.node.res.statusCode = 404
useHead({
  title: () => (list.value ? `Parts sought and spared: ${list.value.collection}` : 'Parts sought and spared'),
  link: [
    { rel: 'alternate', type: 'application/atom+xml', title: 'Parts sought and spared', href: '/api/sought/feed.atom' },
    { rel: 'alternate', type: 'application/feed+json', title: 'Parts sought and spared', href: '/api/sought/feed.json' },
  ],
})
/** Like ones stand together by the model that they are for. */
const models = computed(() => [...new Set(list.value?.wanted.map(part => part.model))].sort((a, b) => a.localeCompare(b)))
const day = (at: string) => new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', year: 'numeric', timeZone: 'UTC' }).format(new Date(at))
const beside = (part: SoughtPart) => [
  ...(part.like ? [part.like] : []),
  needs[part.stops].says.toLowerCase(),
  ...(part.byWhen ? [`wanted by ${day(part.byWhen)}`] : []),
  `since ${day(part.since)}`,
]
</script>

<template>
  <main class="mx-auto grid max-w-4xl gap-4 p-4 py-8">
    <div v-if="!list" class="card grid gap-2">
      <h1>No list here</h1>
      <p>There is no public list of parts at this address, or it is closed just now.</p>
    </div>
    <template v-else>
      <header class="grid gap-2">
        <p class="hint">{{ list.collection }}</p>
        <h1 class="text-3xl">Parts sought and spared</h1>
        <p v-if="list.greeting" class="whitespace-pre-line">{{ list.greeting }}</p>
        <p class="hint no-print">
          To take along: <a href="/api/sought/list.csv" download>as a table (CSV)</a>, <a href="/api/sought/feed.atom">as a feed (Atom)</a>,
          <a href="/api/sought/feed.json">as a feed (JSON)</a>.
        </p>
      </header>
      <section class="card grid gap-3">
        <h2>Sought</h2>
        <p v-if="!list.wanted.length">Nothing just now.</p>
        <section v-for="model in models" :key="model" class="grid gap-1" :aria-label="`For ${model}`">
          <h3>For {{ model }}</h3>
          <ul class="grid divide-y divide-line border-y border-line">
            <li v-for="part in list.wanted.filter(one => one.model === model)" :key="part.key" class="flex flex-wrap gap-x-4 gap-y-2 py-2">
              <img
                v-if="part.picture"
                :src="`/api/sought/${part.key}/picture`"
                :alt="`Beside ${part.name}, for ${part.model}`"
                loading="lazy"
                class="h-20 w-28 border border-line object-cover"
              />
              <div class="grid flex-1 basis-64 content-start gap-0.5">
                <p>
                  <span class="figure">{{ part.count }} ×</span> <strong>{{ part.name }}</strong>
                </p>
                <p class="hint first-letter:uppercase">{{ beside(part).join('; ') }}.</p>
                <p v-if="part.wouldDo.length">Would do: {{ part.wouldDo.map(wouldDoWords).join('; ') }}.</p>
                <p v-if="part.says">{{ part.says }}</p>
              </div>
              <a :href="`/sought/${part.key}`" class="button no-print self-start"
                >I have one, or know of one<span class="sr-only"> {{ part.name }}</span></a
              >
            </li>
          </ul>
        </section>
      </section>
      <section v-if="list.spared.length" class="card grid gap-3">
        <h2>Can be spared</h2>
        <ul class="grid divide-y divide-line border-y border-line">
          <li v-for="part in list.spared" :key="part.key" class="flex flex-wrap items-baseline gap-x-4 gap-y-2 py-2">
            <p class="flex-1 basis-64">
              <span class="figure">{{ part.count }} ×</span> <strong>{{ part.name }}</strong>
              <span class="hint ml-2">{{ [part.like, partConditions[part.condition].toLowerCase()].filter(Boolean).join('; ') }}</span>
            </p>
            <a :href="`/sought/${part.key}`" class="button no-print"
              >I could use one<span class="sr-only"> {{ part.name }}</span></a
            >
          </li>
        </ul>
      </section>
    </template>
  </main>
</template>
