<script setup lang="ts">
import { PhPrinter } from '~/kernel/signs/icons'
import type { PrinterView, labelKinds } from '#shared/chapters/printing/index'

/** Lays labels into the queue of the printer, where there is one, and says what becomes of them. */
const props = defineProps<{ kind: (typeof labelKinds)[number]; tags: string[] }>()
const session = useSession()
const { found } = useCollection<PrinterView>(['printer'], '/api/printer')
const { submitCommand: print, busy, saved, failure } = useCommand('print-labels')
const { origin } = window.location
const mine = computed(() => (found.value?.jobs ?? []).filter(j => j.kind === props.kind && props.tags.includes(j.tag)))
const waiting = computed(() => mine.value.filter(j => j.state === 'waiting' || j.state === 'held'))
</script>

<template>
  <template v-if="found?.uri && session.may('print-labels')">
    <button type="button" class="button" :disabled="busy || !tags.length" @click="print({ kind, tags, origin })">
      <PhPrinter aria-hidden="true" />{{ tags.length > 1 ? `Send ${tags.length} to the label printer` : 'Send to the label printer' }}
    </button>
    <span v-if="failure" role="alert" class="text-stop">{{ failure }}</span>
    <span v-else-if="waiting.length" role="status" class="text-care"
      >{{ waiting[0]!.says || 'Waiting for the printer.' }}
      {{ waiting[0]!.state === 'held' ? 'A person decides, under Settings.' : 'It stays in the queue.' }}</span
    >
    <span v-else-if="saved || mine.some(j => j.state === 'sent' || j.state === 'sending')" role="status" class="text-note">At the printer.</span>
    <span v-else-if="mine.some(j => j.state === 'printed')" role="status" class="text-fine">Printed.</span>
  </template>
</template>
