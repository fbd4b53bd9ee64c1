<script setup lang="ts">
import { heldPlaces, isTestedOn, partConditions } from '#core/parts/ledger'
import { needs } from '#core/parts/needs'
import { verdictLevel, verdictSays } from '#core/parts/substitute/substitute'
import { specWords } from '#core/parts/substitute/words'
import type { OfferView } from '#shared/chapters/parts/index'

/** What is at hand for a part that is wanted, the best first, with who else wants the same; set aside or fitted by a press. */
const props = defineProps<{ need: { id: number; name: string; quantity: number }; tag: string; given: number }>()
const session = useSession()
const { found, trouble } = useCollection<{ offers: OfferView[] }>(
  () => ['offers', props.need.id],
  () => `/api/parts/${props.need.id}/offers`,
)
const { submitCommand: meet, busy, failure, because, stale } = useCommand('meet-need', () => props.tag)
const left = computed(() => props.need.quantity - props.given)
const give = (held: OfferView['held'], to: 'promised' | 'fitted') =>
  meet({ partId: props.need.id, heldId: held.id, version: held.version, count: Math.min(left.value, held.count), to })
const elsewhere = (offer: OfferView) =>
  offer.alsoFor
    .slice(0, 4)
    .map(o => `${o.tag} (${needs[o.stops].title.toLowerCase()})`)
    .join(', ') + (offer.alsoFor.length > 4 ? ` and ${offer.alsoFor.length - 4} more` : '')
const sentence = (words: string) => words && `${words.charAt(0).toUpperCase()}${words.slice(1)}.`
const place = ({ at, tag, lies, condition }: OfferView['held']) =>
  [heldPlaces[at] + (tag ? `, ${tag}` : ''), ...(lies ? [lies] : []), ...(condition === 'not-looked-at' ? [] : [partConditions[condition].toLowerCase()])].join(
    ', ',
  )
</script>

<template>
  <p v-if="trouble" role="alert" class="text-stop">{{ trouble }}</p>
  <p v-else-if="!found" role="status" class="hint">Looking…</p>
  <p v-else-if="!found.offers.length" class="hint">
    Nothing at hand goes by this name, or is of this kind. What is held is under <NuxtLink :to="{ path: '/parts', query: { side: 'held' } }">Parts</NuxtLink>.
  </p>
  <ul v-else class="grid divide-y divide-line border-y border-line bg-mat px-3">
    <li v-for="offer in found.offers" :key="offer.held.id" class="grid gap-1 py-2">
      <p class="flex flex-wrap items-baseline gap-x-3">
        <LevelSign :level="verdictLevel[offer.verdict]" /><span class="font-semibold">{{ verdictSays[offer.verdict] }}</span
        ><span
          ><span class="figure">{{ offer.held.count }} ×</span> {{ offer.held.name }}</span
        ><span class="hint">{{ place(offer.held) }}</span>
      </p>
      <p class="hint">{{ offer.says }}{{ offer.held.kind ? ` ${sentence(specWords(offer.held.kind, offer.held.spec))}` : '' }}</p>
      <p v-if="offer.donorFaults.length" class="text-care">Wrong with {{ offer.held.tag }}, where it is: {{ offer.donorFaults.join('; ') }}.</p>
      <p v-if="offer.alsoFor.length" class="text-care">Also wanted by {{ elsewhere(offer) }}.</p>
      <p v-if="session.may('meet-need') && left > 0" class="flex flex-wrap gap-2">
        <template v-if="isTestedOn(offer.held, 'fitted')"
          ><span class="hint"
            >Nobody has looked at it yet: say what was found under <NuxtLink :to="{ path: '/parts', query: { side: 'held' } }">Parts</NuxtLink> first.</span
          ></template
        >
        <template v-else-if="offer.verdict !== 'does-not'">
          <button type="button" class="button" :disabled="busy" @click="give(offer.held, 'promised')">
            Set aside<span class="sr-only"> {{ offer.held.name }}</span>
          </button>
          <button type="button" class="button" :disabled="busy" @click="give(offer.held, 'fitted')">
            Fitted<span class="sr-only"> {{ offer.held.name }}</span>
          </button>
        </template>
      </p>
    </li>
  </ul>
  <div v-if="failure || stale" role="alert" class="text-stop">
    <p>{{ failure || stale?.message }}</p>
    <p v-for="reason in because" :key="reason">{{ reason }}</p>
  </div>
</template>
