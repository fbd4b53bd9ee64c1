<script setup lang="ts">
import { counted } from '#core/kernel/figure'
import { type HeldPlace, heldPlaceNames, heldPlaces } from '#core/parts/ledger'
import type { HeldView } from '#shared/chapters/parts/index'
import type { Page } from '#shared/kernel/answers'
import { refDebounced } from '@vueuse/core'

/** The ledger: where every part is that the house holds, owes or waits for. */
const session = useSession()
const at = ref<HeldPlace | 'here'>('here')
const find = ref('')
const findSoon = refDebounced(find, 250)
const page = ref(1)
const size = 50
watch([at, findSoon], () => (page.value = 1))
const { found, trouble } = useCollection<{ held: Page<HeldView> }>(
  () => ['held', at.value, findSoon.value, page.value],
  '/api/parts/held',
  () => ({ at: at.value, find: findSoon.value, page: page.value, size }),
)
const asQuery = computed(() => new URLSearchParams({ at: at.value, find: findSoon.value }).toString())
const places = [{ value: 'here' as const, label: 'All that has not gone' }, ...heldPlaceNames.map(value => ({ value, label: heldPlaces[value] }))]
</script>

<template>
  <OneCard title="Held" hint="Every part is in one place: on the shelf, in a donor, fitted, lent out, on its way. Each move is kept, with who and when.">
    <div class="grid gap-3 sm:grid-cols-2">
      <MeasureField v-model="find" label="Find" words hint="By its name, its place, or whom it came from" /><SelectField
        v-model="at"
        label="Where"
        :options="places"
      />
    </div>
    <p v-if="trouble" role="alert" class="text-stop">{{ trouble }}</p>
    <p v-else-if="!found" role="status" class="hint">Fetching…</p>
    <EmptyPlace
      v-else-if="!found.held.rows.length"
      :says="
        find || at !== 'here'
          ? 'Nothing held is so called, or there.'
          : 'No part is on record yet. What lies on the shelf, in a donor or with somebody else is put down here, and offered where it is wanted.'
      "
    />
    <template v-else>
      <p class="hint">
        {{ counted(found.held.total, 'line') }}. <a :href="`/api/parts/held.csv?${asQuery}`" download>As a table (CSV)</a>;
        <NuxtLink to="/parts/labels">labels with codes</NuxtLink>;
        <NuxtLink to="/scan">scan codes</NuxtLink>
      </p>
      <ul class="grid divide-y divide-line border-y border-line">
        <HeldLine v-for="one in found.held.rows" :key="one.id" :held="one" />
      </ul>
      <PageTurner v-model:page="page" :size="size" :total="found.held.total" what="what is held" />
    </template>
    <AddPanel v-if="session.may('hold-part')" v-slot="{ close }" label="Put a part on record"><HoldForm @done="close()" /></AddPanel>
  </OneCard>
</template>
