<script setup lang="ts">
import type { PrinterView } from '#shared/chapters/printing/index'

/** Where the label printer is, how it is, and what waits for it. */
const session = useSession()
const times = useTimes()
const { found, trouble } = useCollection<PrinterView>(['printer'], '/api/printer')
const { submitCommand: drop, busy, failure } = useCommand('drop-label')
const { submitCommand: again, failure: againFailure } = useCommand('print-again')
const printer = computed(() => ({ uri: '', version: 0, ready: false, says: '', jobs: [], ...found.value }) as PrinterView)
const words = { waiting: 'waiting', sending: 'being sent', sent: 'at the printer', printed: 'printed', held: 'held' } as const
const inks = { waiting: 'text-care', sending: 'text-note', sent: 'text-note', printed: 'text-fine', held: 'text-stop' } as const
</script>

<template>
  <OneCard
    title="Label printer"
    beside
    :result="trouble || (printer.uri ? printer.says : found && 'None')"
    hint="Any printer in the house that speaks IPP. The server asks it, never a browser."
  >
    <p v-if="trouble || failure || againFailure" role="alert" class="text-stop">{{ trouble || failure || againFailure }}</p>
    <template v-if="found">
      <p v-if="printer.uri" role="status" :class="printer.ready ? 'text-fine' : 'text-care'" class="font-semibold">{{ printer.says }}</p>
      <CommandForm
        v-if="session.may('set-printer')"
        command="set-printer"
        :initial="{ uri: printer.uri }"
        :fixed="{ version: printer.version }"
        label="Label printer"
        submit="Save printer"
        keeps
        ><TextField name="uri" label="Address" hint="ipp://printer.example/ipp/print, or nothing for none"
      /></CommandForm>
      <p v-else-if="!printer.uri" class="hint">No printer is known; labels are printed from their page.</p>
      <ul v-if="printer.jobs.length" class="grid divide-y divide-line border-y border-line" aria-label="Queue">
        <li v-for="job in printer.jobs.slice(0, 20)" :key="job.id" class="flex flex-wrap items-baseline gap-x-3 py-1">
          <span class="figure font-semibold">{{ job.tag }}</span><span>{{ job.kind === 'inside' ? 'label inside' : 'arrival label' }}</span
          ><span class="font-semibold" :class="inks[job.state]">{{ words[job.state] }}</span
          ><span v-if="job.state !== 'printed'">{{ job.says }}</span
          ><span class="hint">{{ job.by }}, {{ times.moment(job.at) }}</span>
          <button
            v-if="job.state === 'held' && session.may('print-again')"
            type="button"
            class="button ml-auto"
            :aria-label="`Print again: the label of ${job.tag}`"
            @click="again({ jobId: job.id })"
          >
            Print again
          </button>
          <button
            v-if="job.state !== 'printed' && session.may('drop-label')"
            type="button"
            class="button button-quiet"
            :class="{ 'ml-auto': job.state !== 'held' }"
            :disabled="busy"
            :aria-label="`Take it out: the label of ${job.tag}`"
            @click="drop({ jobId: job.id })"
          >
            Take it out
          </button>
        </li>
      </ul>
    </template>
  </OneCard>
</template>
