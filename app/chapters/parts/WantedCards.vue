<script setup lang="ts">
import { missesWithout, needStops, needs } from '#core/parts/needs'
import type { Page } from '#shared/kernel/answers'
import { OfferForm } from '../sought/index'
import type { WantedPart } from '#shared/chapters/parts/index'

/** What the machines want, by what hangs on it; whoever has one, or knows of one, says so here. */
const times = useTimes()
const session = useSession()
const offering = ref<number>()
const told = ref<number[]>([])
const page = ref(1)
const pageSize = 100
const { found, trouble } = useCollection<{ parts: Page<WantedPart> }>(
  () => ['parts', page.value],
  '/api/parts',
  () => ({ page: page.value, size: pageSize }),
)
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
  <div class="grid gap-4">
    <p v-if="trouble" role="alert" class="text-stop">{{ trouble }}</p>
    <p v-else-if="!parts" role="status" class="hint">Fetching…</p>
    <EmptyPlace v-else-if="!parts.length" says="Nothing is wanted. Parts are put on this list from a machine’s sheet, under Mend." />
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
                <span v-if="told.includes(part.id)" role="status" class="hint block">The coordinators know of it now.</span>
                <button
                  v-else-if="session.may('offer-part')"
                  type="button"
                  class="no-print text-sm underline max-wide:min-h-11"
                  :aria-expanded="offering === part.id"
                  @click="offering = offering === part.id ? undefined : part.id"
                >
                  {{ offering === part.id ? 'Close' : 'I have one, or know of one' }}<span class="sr-only"> {{ part.name }} for {{ part.tag }}</span>
                </button>
                <OfferForm v-if="offering === part.id" :part-id="part.id" :name="part.name" @done="((offering = undefined), told.push(part.id))" />
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
    <PageTurner v-if="found" v-model:page="page" :size="pageSize" :total="found.parts.total" what="parts" />
  </div>
</template>
