<script setup lang="ts">
import { counted } from '#core/kernel/figure'
import { offerKinds, offerTerms } from '#core/sharing/sought'
import type { OffersView } from '#shared/chapters/sought/index'

/** What was offered, from outside and by the house: looked over, taken up as a promise in the ledger, or forgotten. And the public list itself. */
const times = useTimes()
const { found, trouble } = useCollection<OffersView>(['offers-in'], '/api/sought/offers')
type Offer = OffersView['offers'][number]
const { submitCommand: clear, busy, failure, stale } = useCommand('clear-offer')
const terms = choicesOf(offerTerms)
const waiting = computed(() => found.value?.offers.filter(one => !one.taken) ?? [])
const groups = computed(() =>
  [
    { title: 'To be looked over', offers: waiting.value },
    { title: 'Taken up', offers: found.value?.offers.filter(one => one.taken) ?? [] },
  ].filter(group => group.offers.length),
)
const from = (offer: Offer) => [offer.ours ? `${offer.who}, of the house` : offer.who, ...(offer.reach ? [offer.reach] : []), times.moment(offer.at)].join('; ')
const root = useTemplateRef<HTMLElement>('root')
/** What was taken up or forgotten goes from its place, and its presses with it. */
async function takenUp(close: () => void) {
  close()
  await stayOnCard(root.value)
}
async function forget({ id, version }: Offer) {
  if (await clear({ offerId: id, version })) await stayOnCard(root.value)
}
const initial = { terms: 'given' as const, count: '1' as never, unitPrice: '' as never, dueBy: null, backBy: null }
</script>

<template>
  <OneCard title="Offers" hint="What people said to the list of what is sought and spared. Nothing of it is public, and nothing is sent to anybody from here.">
    <p v-if="trouble" role="alert" class="text-stop">{{ trouble }}</p>
    <p v-else-if="!found" role="status" class="hint">Fetching…</p>
    <template v-else>
      <EmptyPlace
        v-if="!found.offers.length"
        says="Nobody has offered anything yet. What comes in from the public list, or from volunteers under Wanted, will appear here."
      />
      <section v-for="group in groups" :key="group.title" class="grid gap-1" :aria-label="group.title">
        <h3>{{ group.title }}</h3>
        <ul class="grid divide-y divide-line border-y border-line">
          <li v-for="offer in group.offers" :key="offer.id" class="grid gap-1 py-2">
            <p class="flex flex-wrap items-baseline gap-x-3">
              <span>{{ offerKinds[offer.kind].title }}:</span><strong>{{ offer.name }}</strong
              ><NuxtLink v-if="offer.tag" :to="{ path: `/m/${offer.tag}`, query: { stage: 'mend', card: 'Parts wanted' } }">for {{ offer.tag }}</NuxtLink>
            </p>
            <p class="wrap-anywhere whitespace-pre-line">{{ offer.says }}</p>
            <p class="hint wrap-anywhere">{{ from(offer) }}</p>
            <div class="flex flex-wrap items-start gap-2">
              <AddPanel v-if="!offer.taken" v-slot="{ close }" :label="`Take up ${offer.who}’s offer`">
                <CommandForm
                  command="take-up-offer"
                  :initial="initial"
                  :fixed="{ offerId: offer.id, version: offer.version }"
                  :label="`Take up ${offer.who}’s offer`"
                  submit="Take it up"
                  @done="takenUp(close)"
                >
                  <template #default="{ values }">
                    <template v-if="offer.kind === 'have'">
                      <ChoiceField name="terms" label="How it comes" :options="terms" />
                      <div class="grid gap-3 sm:grid-cols-3">
                        <TextField name="count" label="How many" numeric /><DayField name="dueBy" label="Expected by" />
                        <TextField v-if="values.terms === 'bought'" name="unitPrice" label="Price of one" numeric /><DayField
                          v-if="values.terms === 'lent'"
                          name="backBy"
                          label="Back to them by"
                        />
                      </div>
                      <p class="hint">It stands in the ledger as promised to us, and is looked at when it arrives.</p>
                    </template>
                    <p v-else class="hint">Somebody gets in touch with them. It stays here until it is done with.</p>
                  </template>
                </CommandForm>
              </AddPanel>
              <button type="button" class="button button-quiet" :disabled="busy" @click="forget(offer)">
                {{ offer.taken ? 'Done with: forget it' : 'Turn down and forget' }}<span class="sr-only"> {{ offer.name }}, {{ offer.who }}</span>
              </button>
            </div>
          </li>
        </ul>
      </section>
      <p v-if="failure || stale" role="alert" class="text-stop">{{ failure || stale?.message }}</p>
      <h3 ref="root">The public list</h3>
      <p>
        <template v-if="found.board.open"
          >Anybody may read it, at <a href="/sought" target="_blank">{{ '/sought' }}</a>: what machines want whose sheet says so under Mend, and what can be
          spared.</template
        ><template v-else>It is closed: nobody outside reads it.</template>
        <span class="hint ml-2">{{ counted(waiting.length, 'offer') }} to be looked over.</span>
      </p>
      <AddPanel v-slot="{ close }" :label="found.board.open ? 'Change the public list' : 'Open the public list'">
        <CommandForm
          command="set-board"
          :initial="{ open: true, greeting: found.board.greeting }"
          :fixed="{ version: found.board.version }"
          label="The public list"
          submit="Save"
          keeps
          @done="close()"
        >
          <TickField name="open" label="Anybody may read it" /><TextField
            name="greeting"
            label="Above the list"
            :lines="3"
            hint="Who you are, and what becomes of what people write. It is public"
          />
        </CommandForm>
      </AddPanel>
    </template>
  </OneCard>
</template>
