<script setup lang="ts">
import type { BackupsView } from '#shared/chapters/practice/index'
import { useTimeoutPoll } from '@vueuse/core'

/** The backups of the collection: when the last one was made and checked, and one to be made now. */
const api = useApi()
const times = useTimes()
const { found, trouble } = useCollection<BackupsView>(['backups'], '/api/backups')
const told = shallowRef<BackupsView>()
const view = computed(() => told.value ?? found.value)
const failure = ref('')
const words = { database: 'Copying the database', photographs: 'Copying photographs', checking: 'Opening it and walking its history' }
const lookEveryMs = 500
const { resume, pause } = useTimeoutPoll(look, lookEveryMs, { immediate: false })

async function look() {
  told.value = await api.get<BackupsView>('/api/backups').catch(() => told.value)
  if (!told.value?.running) pause()
}
async function ask(method: 'POST' | 'DELETE') {
  failure.value = ''
  try {
    told.value = await api.send<BackupsView>('/api/backups', method === 'POST' ? {} : undefined, { method })
    resume()
  } catch (error) {
    failure.value = (error as Error).message
  }
}
watch(found, now => now?.running && resume())
const sizeOf = (bytes: number) => (bytes >= 1e9 ? `${(bytes / 1e9).toFixed(1)} GB` : `${Math.max(1, Math.round(bytes / 1e6))} MB`)
const schedule = computed(() =>
  view.value && view.value.everyHours > 0
    ? `One every ${view.value.everyHours} hours, the newest ${view.value.kept} are kept.`
    : 'None is made by itself: BACKUP_EVERY_HOURS is 0.',
)
</script>

<template>
  <OneCard title="Backup" beside :result="view && (view.backups[0] ? times.exact(view.backups[0].made) : 'None yet')" :hint="view && schedule">
    <p v-if="!view" role="status" class="hint">{{ trouble || 'Fetching…' }}</p>
    <template v-else>
      <p v-if="view.backups[0]" class="flex flex-wrap items-baseline gap-x-3">
        <span class="font-semibold">The last one: {{ times.exact(view.backups[0].made) }}</span
        ><span>opened and checked {{ times.exact(view.backups[0].verified) }}</span>
      </p>
      <FindingList :findings="[view.stands]" />
      <p v-if="view.unreadable.length" role="alert" class="text-stop">
        {{ view.unreadable.length === 1 ? 'One backup' : `${view.unreadable.length} backups` }} cannot be read, and cannot be counted on:
        {{ view.unreadable.slice(0, 3).join(', ') }}.
      </p>
      <p v-if="view.trouble" role="alert" class="text-stop">The try of {{ times.exact(view.trouble.at) }} came to nothing: {{ view.trouble.says }}</p>
      <div class="flex flex-wrap items-center gap-3">
        <button type="button" class="button" :disabled="!!view.running" @click="ask('POST')">{{ view.running ? 'Making one…' : 'Make a backup now' }}</button>
        <template v-if="view.running">
          <span role="status">{{ words[view.running.what] }}</span>
          <button type="button" class="button button-quiet" @click="ask('DELETE')">Cancel<span class="sr-only"> this backup</span></button>
          <progress :max="view.running.of || 1" :value="view.running.done" :aria-label="words[view.running.what]" class="min-w-40 flex-1" />
        </template>
      </div>
      <p v-if="failure" role="alert" class="text-stop">{{ failure }}</p>
      <details v-if="view.backups.length">
        <summary class="cursor-pointer">{{ view.backups.length === 1 ? 'One is there' : `${view.backups.length} are there` }}</summary>
        <ul class="grid divide-y divide-line border-y border-line text-sm">
          <li v-for="one in view.backups" :key="one.name" class="flex flex-wrap gap-x-3 py-1">
            <span class="font-semibold">{{ times.exact(one.made) }}</span><span
              >{{ one.entries }} entries, {{ one.photographs }} photographs, {{ sizeOf(one.bytes) }}</span
            ><span class="figure hint break-all">{{ one.name }}</span>
          </li>
        </ul>
      </details>
      <p class="hint">
        In <span class="figure break-all">{{ view.folder }}</span>. Lay them on another disk too. Put one back with <span class="figure">npm run restore</span>,
        into an empty folder.
      </p>
    </template>
  </OneCard>
</template>
