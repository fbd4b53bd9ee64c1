<script setup lang="ts">
import { PhPrinter } from '~/kernel/signs/icons'

/** One machine on one page of paper, for the bench. */
const route = useRoute()
const tag = String(route.params.tag)
useHead({ title: `Bench print ${tag}` })
const { sheet, trouble } = useSheet(tag, ['power', 'opening'])
const print = () => window.print()
</script>

<template>
  <div class="grid max-w-3xl gap-4">
    <div class="no-print flex flex-wrap items-center gap-3">
      <NuxtLink :to="`/m/${tag}`">Back to its sheet</NuxtLink
      ><button v-if="sheet" type="button" class="button button-main" @click="print"><PhPrinter aria-hidden="true" />Print</button>
    </div>
    <p v-if="trouble" role="alert" class="card">{{ trouble }}</p>
    <p v-else-if="!sheet" role="status" class="hint">Fetching the sheet…</p>
    <p v-else-if="sheet.unreadable.length" role="alert" class="card">
      Some of what is on record here cannot be read, so there is no page for the bench. The machine stays off until the record has been put right.
    </p>
    <BenchPrint v-else :sheet="sheet" />
  </div>
</template>
