<script setup lang="ts">
import { counted } from '#core/kernel/figure'
import { partConditions } from '#core/parts/ledger'
import { specWords } from '#core/parts/substitute/words'
import type { HeldView } from '#shared/chapters/parts/index'
import type { Page } from '#shared/kernel/answers'
import { CodeLabels } from '~/chapters/parts/index'
import { PhPrinter } from '~/kernel/signs/icons'

/** Labels with codes, several to a sheet: of the places where parts lie, or of all that lies in one of them. */
useHead({ title: 'Labels for parts' })
const { thisComputerOnly } = useMachineAddress()
const { found, trouble } = useCollection<{ places: { name: string; lines: number }[] }>(['places of parts'], '/api/parts/places')
const place = ref('')
const options = computed(() => [
  { value: '', label: 'Of every place' },
  ...(found.value?.places ?? []).map(({ name, lines }) => ({ value: name, label: `What lies in ${name} (${lines})` })),
])
const most = 100
const { found: lying } = useCollection<{ held: Page<HeldView> }>(
  () => ['held in', place.value, 1],
  '/api/parts/held',
  () => ({ lies: place.value, page: 1, size: most }),
)
const labels = computed(() =>
  place.value
    ? (lying.value?.held.rows ?? [])
        .filter(one => one.lies === place.value)
        .map(one => ({
          coded: { what: 'part' as const, uid: one.uid },
          title: `${one.count} × ${one.name}`,
          lines: [one.kind ? specWords(one.kind, one.spec) : '', partConditions[one.condition], one.lies].filter(Boolean),
        }))
    : (found.value?.places ?? []).map(({ name }) => ({ coded: { what: 'place' as const, name }, title: name, lines: [] })),
)
const more = computed(() => (place.value ? Math.max(0, (lying.value?.held.total ?? 0) - most) : 0))
const tags = computed(() => labels.value.map(({ coded }) => (coded.what === 'part' ? coded.uid : coded.name)).slice(0, most))
const print = () => window.print()
</script>

<template>
  <div class="grid max-w-5xl gap-4">
    <div class="no-print flex flex-wrap items-end gap-3">
      <h1 class="basis-full">Labels for parts</h1>
      <SelectField v-model="place" label="Labels" :options="options" /><button v-if="labels.length" type="button" class="button button-main" @click="print">
        <PhPrinter aria-hidden="true" />Print
      </button>
      <PrintLabels :kind="place ? 'part' : 'place'" :tags="tags" />
      <span class="hint"
        >{{ counted(labels.length, 'label') }}{{ more ? `; ${more} more lie there, and are labelled one by one from their own pages` : '' }}</span
      >
    </div>
    <p v-if="thisComputerOnly" class="no-print border-l-4 border-care bg-care-wash px-3 py-2">
      These codes open the address of this page, which only this computer reaches. Open the page under the address that phones use, and print it from there.
    </p>
    <p v-if="trouble" role="alert" class="text-stop">{{ trouble }}</p>
    <p v-else-if="!found" role="status" class="hint">Fetching…</p>
    <EmptyPlace v-else-if="!labels.length" says="No part on record has a place yet. Say where each lies under Parts, Held, and its place will appear here." />
    <CodeLabels v-else :labels="labels" :size="place ? 'small' : 'large'" />
  </div>
</template>
