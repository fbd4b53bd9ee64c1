<script setup lang="ts">
import type { SheetOf } from '#shared/chapters/index'

/** What of this machine lies in a tank, an oven, a box or under a lamp, or will. */
const props = defineProps<{ sheet: SheetOf<'workshop' | 'cleaning'> }>()
const session = useSession()
const times = useTimes()
const clock = useClock()
const { workshop, things } = useWorkshop()
const { submitCommand: end, busy, failure } = useCommand('end-booking', () => props.sheet.tag)
const began = (from: string) => from <= clock.now.toISOString()
const result = computed(() => props.sheet.bookings.map(b => `${b.what}: ${b.thing}, ${times.moment(b.from)}`).join('; ') || 'Nothing of it is booked')
</script>

<template>
  <OneCard
    title="Tanks, ovens and lamps"
    short="Tanks and ovens"
    hint="What lies in one keeps the machine off, until you say that it is out."
    :state="sheet.bookings.length ? 'open' : 'none'"
    :result="result"
  >
    <template #aside><NuxtLink to="/workshop" class="button button-quiet">Who has what, and when</NuxtLink></template>
    <ul v-if="sheet.bookings.length" class="grid divide-y divide-line border-y border-line">
      <li v-for="one in sheet.bookings" :key="one.id" class="flex items-center gap-3 py-1.5">
        <div class="min-w-0 flex-1">
          <p class="flex flex-wrap items-center gap-x-3">
            <SandGlass v-if="began(one.from)" :until="one.until" class="text-lg" /><strong>{{ one.what }}</strong
            ><span
              >{{ one.thing }}<template v-if="one.bath">, {{ one.bath }}</template
              ><template v-if="one.maxC !== null">, at most {{ one.maxC }} °C</template></span
            >
          </p>
          <p class="hint">{{ times.moment(one.from) }} to {{ times.moment(one.until) }}{{ one.place && `, ${one.place}` }}</p>
        </div>
        <button v-if="session.may('end-booking')" type="button" class="button" :disabled="busy" @click="end({ bookingId: one.id })">
          {{ began(one.from) ? 'It is out' : 'Give it back' }}<span class="sr-only"> {{ one.what }}</span>
        </button>
      </li>
    </ul>
    <p v-if="failure" role="alert" class="text-stop">{{ failure }}</p>
    <EmptyPlace v-if="workshop && !things.length" says="No tank, oven or lamp is on record to be shared."
      ><NuxtLink to="/workshop" class="button">Say what there is</NuxtLink></EmptyPlace
    >
    <AddPanel v-if="things.length && session.may('book-thing')" v-slot="{ close }" label="Book a place" :open="!sheet.bookings.length">
      <BookingForm :tag="sheet.tag" :things="things" :parts="sheet.cleaning.parts" @done="close()" />
    </AddPanel>
  </OneCard>
</template>
