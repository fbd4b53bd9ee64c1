<script setup lang="ts">
import { useIntervalFn } from '@vueuse/core'
import { acquisitionNames } from '#shared/kernel/acquisitions'
import type { Progress } from '#shared/kernel/answers'

/** A job lot: many machines from one source, typed into one table or taken from a file. */
useHead({ title: 'Book in a job lot' })
const session = useSession()
const lot = useLot()
const { lines, common, good, bad } = lot
const id = useId()
const leaveOut = ref(false)
/** What a machine of the lot became. */
interface Booked {
  tag: string
  name: string
  nickname: string
}
const booked = ref<Booked[]>([])
const { submitCommand, busy, failure, because } = useCommand('book-in-lot')
const refusedAt = ref('')
onMounted(() => !lines.value.length && lot.add())
watch(
  () => bad.value.length,
  count => {
    if (!count) leaveOut.value = false
  },
)
const counted = (n: number) => (n === 1 ? '1 machine' : `${n} machines`)

async function bookIn() {
  const rows = [...good.value]
  refusedAt.value = ''
  const { result, fields } = await submitCommand({ machines: rows.map(line => lot.readings.value.get(line.key)!.request!) })
  const [path, message] = Object.entries(fields ?? {})[0] ?? []
  const refused = path && rows[Number(path.split('.')[1])]
  if (refused) refusedAt.value = `Row ${lines.value.indexOf(refused) + 1}: ${message}`
  if (result === undefined) return
  lines.value = lines.value.filter(line => !rows.includes(line))
  leaveOut.value = false
  follow((result as { lot: string }).lot)
}

/** The lot that is being booked in: it was accepted whole, and goes on whether this page stays open or not. */
const following = ref<string>()
const changes = useChanges()
const api = useApi()
const state = ref<Progress & { booked: Booked[] }>()
const going = computed(() => state.value !== undefined && state.value.done < state.value.of && !state.value.trouble)
function follow(lot: string) {
  following.value = lot
  void look()
}
async function look() {
  const uid = following.value
  if (!uid) return
  const found = await api.get<Progress & { booked: Booked[] }>(`/api/lots/${uid}`)
  // Two answers may be on their way at once; the first that says so ends it.
  if (following.value !== uid) return
  state.value = found
  if (going.value) return
  booked.value = [...booked.value, ...state.value.booked]
  following.value = undefined
}
watch(
  () => (following.value ? changes.progress[following.value]?.done : undefined),
  done => done !== undefined && void look(),
)
// The stream may have been lost meanwhile.
useIntervalFn(() => void look(), 2_000)
</script>

<template>
  <div class="grid gap-4">
    <header>
      <p><NuxtLink to="/book-in">Book in one machine</NuxtLink></p>
      <h1>Book in a job lot</h1>
      <p class="text-ink-2">Many machines at once. What each one is can be said later; what is the same for all is said once.</p>
    </header>
    <EmptyPlace v-if="!session.may('book-in-lot')" says="Booking in is for volunteers and coordinators." />
    <template v-else>
      <section v-if="going || state?.trouble" class="card grid gap-2" aria-label="Being booked in" role="status">
        <h2>{{ state!.trouble ? 'The lot was not booked in to its end' : 'Booking in' }}</h2>
        <progress class="w-full" :value="state!.done" :max="state!.of" :aria-label="`${state!.done} of ${state!.of} booked in`" />
        <p class="figure">{{ state!.done }} of {{ state!.of }}</p>
        <p v-if="state!.trouble" role="alert" class="text-stop">{{ state!.trouble }} What was booked in stays; put the others right and book them in anew.</p>
      </section>
      <section v-if="booked.length" class="card grid gap-2" aria-label="Booked in" role="status">
        <h2>{{ counted(booked.length) }} booked in</h2>
        <p>
          <NuxtLink :to="{ path: '/labels', query: { tags: booked.map(m => m.tag).join(',') } }" class="button">Arrival labels of the lot</NuxtLink>
          <span class="hint"> They stand in the store, off the bench, until each is put there.</span>
        </p>
        <ul class="grid gap-1 sm:grid-cols-2 lg:grid-cols-3">
          <li v-for="{ tag, name, nickname } in booked" :key="tag">
            <NuxtLink :to="`/m/${tag}`" class="flex items-baseline gap-2 text-ink"
              ><TagTape :tag="tag" small /><span>{{ nickname ? `${nickname}, ${name}` : name }}</span></NuxtLink
            >
          </li>
        </ul>
      </section>
      <div class="grid items-start gap-4 lg:grid-cols-2">
        <OneCard title="The same for all" hint="A row’s own cell goes before it.">
          <div class="grid gap-3 sm:grid-cols-2">
            <div class="grid content-start gap-1">
              <label :for="`${id}-how`" class="font-semibold">How they came</label
              ><select :id="`${id}-how`" v-model="common.acquired" class="entry">
                <option v-for="(name, value) in acquisitionNames" :key="value" :value="value">{{ name }}</option>
              </select>
            </div>
            <div class="grid content-start gap-1">
              <label :for="`${id}-from`" class="font-semibold">From whom, all</label
              ><input :id="`${id}-from`" v-model="common.fromWhom" class="entry" autocomplete="off" />
            </div>
            <div class="grid content-start gap-1">
              <label :for="`${id}-owner`" class="font-semibold">Whose they are</label
              ><input :id="`${id}-owner`" v-model="common.owner" class="entry" autocomplete="off" />
            </div>
            <div class="grid content-start gap-1">
              <label :for="`${id}-place`" class="font-semibold">Where they stand</label
              ><input :id="`${id}-place`" v-model="common.place" class="entry" autocomplete="off" />
            </div>
          </div>
        </OneCard>
        <CsvPanel :lot="lot" />
      </div>
      <OneCard title="Machines" :hint="`${counted(good.length)} ready${bad.length ? `, ${bad.length} with something wrong` : ''}.`">
        <LotTable :lot="lot" />
        <p v-if="refusedAt || failure" role="alert" class="border-l-4 border-stop bg-stop-wash px-3 py-2">
          {{ refusedAt || failure }} {{ because.join(' ') }} None was booked in.
        </p>
        <label v-if="bad.length" :for="`${id}-leave`" class="flex items-center gap-2"
          ><input :id="`${id}-leave`" v-model="leaveOut" type="checkbox" class="h-5 w-5 accent-enamel" />Leave the rows with something wrong in the table, and
          book in the others</label
        >
        <div class="flex flex-wrap items-center gap-3">
          <button type="button" class="button button-main" :disabled="busy || !good.length || (bad.length > 0 && !leaveOut)" @click="bookIn">
            {{ busy ? 'Booking in…' : `Book in ${counted(good.length)}` }}</button><span v-if="bad.length && !leaveOut" class="hint"
            >Correct the rows, or choose to skip them.</span
          >
        </div>
      </OneCard>
    </template>
  </div>
</template>
