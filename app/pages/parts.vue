<script setup lang="ts">
import { amountWords } from '#core/cleaning/shelf'
import { missesWithout, needStops, needs } from '#core/parts/needs'
import type { Page } from '#shared/kernel/answers'
import type { SupplyView } from '#shared/chapters/supplies/index'
import type { WantedPart } from '#shared/chapters/parts/index'

useHead({ title: 'Parts' })
const times = useTimes()
const page = ref(1)
const pageSize = 100
const { found, trouble } = useCollection<{ parts: Page<WantedPart>; supplies: SupplyView[] }>(
  () => ['parts', page.value],
  '/api/parts',
  () => ({ page: page.value, size: pageSize }),
)
const { materials } = useWorkshop()
const lowOnShelf = computed(() => materials.value.filter(m => m.wantedSince))
const parts = computed(() => found.value?.parts.rows)
const groups = computed(() =>
  needStops.map(stops => ({ title: needs[stops].group, parts: parts.value?.filter(p => p.stops === stops) ?? [] })).filter(g => g.parts.length),
)
const beside = (part: WantedPart) => [
  ...(part.place ? [`For ${part.place}`] : []),
  ...(part.affects ? [missesWithout(part.affects)] : []),
  ...(part.workaround ? [`until then: ${part.workaround}`] : []),
]
/** On a phone these stand beneath the part, and not in columns of their own. */
const beneath = (part: WantedPart) => [
  part.seeker ? `${part.seeker} looks for it` : 'Nobody looks for it yet',
  ...(part.byWhen ? [`wanted by ${times.day(part.byWhen)}`] : []),
  `since ${times.day(part.wantedAt)}`,
]
</script>

<template>
  <div class="grid max-w-5xl gap-4">
    <header>
      <h1>Parts</h1>
      <p class="text-ink-2">What the machines want, by what hangs on it, and of the same the longest wanted first.</p>
    </header>
    <p v-if="trouble" role="alert" class="text-stop">{{ trouble }}</p>
    <p v-else-if="!parts" role="status" class="hint">Fetching…</p>
    <EmptyPlace v-else-if="!parts.length && !lowOnShelf.length" says="Nothing is wanted. Parts are put on this list from a machine’s sheet, under Mend." />
    <OneCard v-for="group in groups" :key="group.title" :title="group.title">
      <div class="max-w-full overflow-x-auto">
        <table class="w-full text-left">
          <thead>
            <tr class="hint">
              <th class="py-1 pr-3 font-normal">How many</th>
              <th class="py-1 pr-3 font-normal">Part</th>
              <th class="py-1 pr-3 font-normal">For</th>
              <th class="py-1 pr-3 font-normal max-sm:hidden">Who looks</th>
              <th class="py-1 pr-3 font-normal max-sm:hidden">Wanted by</th>
              <th class="py-1 font-normal max-sm:hidden">Wanted since</th>
            </tr>
          </thead>
          <tbody class="divide-y divide-line">
            <tr v-for="part in group.parts" :key="part.id" class="align-top">
              <td class="figure py-1.5 pr-3">{{ part.quantity }} ×</td>
              <td class="py-1.5 pr-3">
                <span class="font-semibold">{{ part.name }}</span>
                <span v-if="beside(part).length" class="hint block first-letter:uppercase">{{ beside(part).join('; ') }}</span>
                <span class="hint block first-letter:uppercase sm:hidden">{{ beneath(part).join('; ') }}</span>
              </td>
              <td class="py-1.5 pr-3">
                <NuxtLink :to="{ path: `/m/${part.tag}`, query: { stage: 'mend' } }" class="inline-flex flex-wrap items-center gap-2"
                  ><TagTape :tag="part.tag" small />{{ part.machine }}</NuxtLink
                >
              </td>
              <td class="py-1.5 pr-3 max-sm:hidden">{{ part.seeker || 'Nobody yet' }}</td>
              <td class="py-1.5 pr-3 max-sm:hidden">{{ part.byWhen ? times.day(part.byWhen) : '' }}</td>
              <td class="hint py-1.5 max-sm:hidden">{{ times.day(part.wantedAt) }}</td>
            </tr>
          </tbody>
        </table>
      </div>
    </OneCard>
    <OneCard v-if="lowOnShelf.length" title="For the shelf" hint="Materials that run low.">
      <template #aside><NuxtLink to="/workshop" class="button button-quiet">The shelf</NuxtLink></template>
      <ul class="grid divide-y divide-line">
        <li v-for="one in lowOnShelf" :key="one.id" class="flex flex-wrap items-baseline gap-x-3 py-1.5">
          <span class="font-semibold">{{ one.name }}</span><span class="figure">{{ amountWords(one.amount, one.unit) }} left</span
          ><span class="hint ml-auto">{{ times.day(one.wantedSince!) }}</span>
        </li>
      </ul>
    </OneCard>
    <PageTurner v-if="found" v-model:page="page" :size="pageSize" :total="found.parts.total" what="parts" />
    <SuppliesCard v-if="found" :supplies="found.supplies" />
  </div>
</template>
