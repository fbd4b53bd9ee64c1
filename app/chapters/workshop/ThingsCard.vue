<script setup lang="ts">
import { thingKinds } from '#core/cleaning/bookings'
import type { CommandRequest } from '#shared/chapters/index'
import type { ThingView } from '#shared/chapters/workshop/index'

/** Every tank, oven, box and lamp, with the week ahead of it. */
const props = defineProps<{ things: ThingView[] }>()
const usable = computed(() => props.things.filter(t => t.active))
const session = useSession()
const times = useTimes()
const clock = useClock()
/** The calendar begins at the last midnight of the collection's clock. */
const since = computed(() => times.instantOf(`${times.localOf(clock.now).slice(0, 10)}T00:00`)!)
type Typed = Partial<CommandRequest<'add-thing'>>
const blank = { name: '', kind: undefined, place: '', roomL: '', minC: '', maxC: '', limits: '' } as unknown as Typed
const typedOf = ({ name, kind, place, roomL, minC, maxC, limits, active }: ThingView) =>
  ({ name, kind, place, roomL, minC: minC ?? '', maxC: maxC ?? '', limits, active }) as unknown as Partial<CommandRequest<'change-thing'>>
const words = { name: 'Name', kind: 'What it is', place: 'Where', roomL: 'Room', minC: 'At least', maxC: 'At most', limits: 'To mind', active: 'Still here' }
</script>

<template>
  <OneCard title="Tanks, ovens and lamps" hint="The days ahead. Two share a place only where room, warmth and bath fit.">
    <EmptyPlace
      v-if="!things.length"
      says="No shared equipment yet. Once a tank or an oven is listed here, it can be booked, here or from a machine’s sheet."
    />
    <ul v-else class="grid gap-2">
      <ChangeableRow v-for="thing in things" :key="thing.id" :name="thing.name" :may="session.may('change-thing')" :gone="thing.active ? '' : 'Gone'">
        <h3>{{ thing.name }}</h3>
        <span>{{ thingKinds[thing.kind] }}, {{ thingLimits(thing) }}</span
        ><span class="hint">{{ [thing.place, thing.limits].filter(Boolean).join('; ') }}</span>
        <template #below>
          <ThingTimeline v-if="thing.active" :thing="thing" :from="since" :days="4" class="max-wide:hidden" />
          <ul v-if="thing.bookings.length" class="grid gap-1 text-[0.9375rem]">
            <li v-for="one in thing.bookings" :key="one.id" class="flex flex-wrap items-baseline gap-x-2">
              <TagTape :tag="one.tag" small /><NuxtLink
                :to="{ path: `/m/${one.tag}`, query: { stage: 'clean' } }"
                class="inline-flex min-h-6 items-center text-ink max-wide:min-h-11"
                >{{ one.machine }}: {{ one.what }}</NuxtLink
              ><span class="hint"
                >{{ times.moment(one.from) }} to {{ times.moment(one.until) }}; {{ three(one.roomL) }} l{{ one.maxC === null ? '' : `, at most ${one.maxC} °C`
                }}{{ one.bath && `, ${one.bath}` }}; {{ one.by }}</span
              ><span v-if="one.until <= clock.now.toISOString()" class="text-care">Time is up; nobody has said it was taken out.</span>
            </li>
          </ul>
        </template>
        <template #form="{ close }">
          <CommandForm
            command="change-thing"
            :initial="typedOf(thing)"
            :fixed="{ thingId: thing.id, version: thing.version }"
            :words="words"
            :label="`Change ${thing.name}`"
            submit="Save"
            keeps
            class="bg-mat p-3"
            @done="close()"
            ><ThingFields /><TickField name="active" label="Still here"
          /></CommandForm>
        </template>
      </ChangeableRow>
    </ul>
    <AddPanel v-if="usable.length && session.may('book-thing')" v-slot="{ close }" label="Book a place"
      ><BookFromHere :things="usable" @done="close()"
    /></AddPanel>
    <AddPanel v-if="session.may('add-thing')" v-slot="{ close }" label="Add a tank, an oven or a lamp"
      ><CommandForm command="add-thing" :initial="blank" label="Add something to share" submit="Add" @done="close()"><ThingFields /></CommandForm
    ></AddPanel>
  </OneCard>
</template>
