<script setup lang="ts">
import { PhPrinter } from '~/kernel/signs/icons'

/** Arrival labels of one machine, of those chosen, or of a whole lot: `?tags=` with commas between. */
const route = useRoute()
useHead({ title: 'Arrival labels' })
const tags = computed(() =>
  String(route.query.tags ?? '')
    .split(',')
    .map(tag => tag.trim())
    .filter(Boolean),
)
/** Asked for in pieces, as lists are. */
const pieces = computed(() => Array.from({ length: Math.ceil(tags.value.length / 100) }, (_, i) => tags.value.slice(i * 100, (i + 1) * 100)))
const { thisComputerOnly } = useMachineAddress()
const print = () => window.print()
</script>

<template>
  <div class="grid max-w-4xl gap-4">
    <div class="no-print flex flex-wrap items-center gap-3">
      <h1>Arrival labels</h1>
      <NuxtLink v-if="tags.length === 1" :to="`/m/${tags[0]}`">Back to {{ tags[0] }}</NuxtLink
      ><NuxtLink v-else to="/store">Store</NuxtLink
      ><button v-if="tags.length" type="button" class="button button-main" @click="print"><PhPrinter aria-hidden="true" />Print</button
      ><PrintLabels kind="arrival" :tags="tags" />
    </div>
    <p v-if="thisComputerOnly" class="no-print border-l-4 border-care bg-care-wash px-3 py-2">
      These codes open the address of this page, which only this computer reaches. Open the page under the address that phones use, and print it from there.
    </p>
    <EmptyPlace v-if="!tags.length" says="No machine is named. Choose some in the store, or open the labels from a machine’s sheet." />
    <ArrivalLabels v-for="(piece, i) in pieces" :key="i" :tags="piece" />
  </div>
</template>
