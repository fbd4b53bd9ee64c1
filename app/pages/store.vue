<script setup lang="ts">
import { PhDownloadSimple, PhImages, PhPath, PhPlus, PhRows, PhTable } from '~/kernel/signs/icons'
import type { ListCounts } from '#shared/chapters/lists/index'

useHead({ title: 'Store' })
const session = useSession()
const { question, typed, view, page, set, narrowed, clear } = useStoreQuestion()
/** The run shows where everything stands, so more of it at once. */
const size = computed(() => (view.value === 'run' ? 100 : 50))
const { list, trouble, busy } = useMachineList(() => ({ ...question.value, page: page.value, size: size.value }))
const { found: counts } = useCollection<ListCounts>(
  () => ['lists', 'counts', JSON.stringify(question.value)],
  '/api/lists/counts',
  () => question.value,
)
const csvPath = computed(() => `/api/store.csv?${new URLSearchParams(Object.entries(question.value).map(([name, value]) => [name, String(value)])).toString()}`)
const shown = computed(() => list.value?.rows)
const counted = computed(() => {
  const { total = 0, atLeast } = list.value ?? {}
  return `${total === 1 ? '1 machine' : `${total} machines`}${atLeast ? ' or more' : ''}`
})
const order = (event: Event) => {
  const { value } = event.target as HTMLSelectElement
  set('sort', value === 'newest' ? undefined : (value as 'harm'))
}
const chosen = ref<string[]>([])
const orders = { newest: 'Newest first', oldest: 'Oldest first', harm: 'What gets worse first', name: 'By model', place: 'By place' }
</script>

<template>
  <div class="grid gap-2">
    <header class="flex flex-wrap items-center gap-x-4 gap-y-2">
      <h1>Store</h1>
      <p v-if="shown" class="hint" role="status">
        {{ counted }}<template v-if="question.find && question.sort">, best match first</template><template v-if="busy">, looking…</template>
      </p>
      <div role="group" aria-label="Shown as" class="flex flex-wrap pl-px">
        <button
          type="button"
          class="choice gap-1"
          :aria-pressed="view === 'table'"
          :class="view === 'table' && 'bg-mat! font-semibold'"
          @click="view = 'table'"
        >
          <PhTable aria-hidden="true" />Table</button
        ><button type="button" class="choice gap-1" :aria-pressed="view === 'wall'" :class="view === 'wall' && 'bg-mat! font-semibold'" @click="view = 'wall'">
          <PhImages aria-hidden="true" />Pictures</button
        ><button type="button" class="choice gap-1" :aria-pressed="view === 'run'" :class="view === 'run' && 'bg-mat! font-semibold'" @click="view = 'run'">
          <PhPath aria-hidden="true" />The run
        </button>
      </div>
      <span v-if="session.may('book-in')" class="ml-auto flex flex-wrap gap-2 max-wide:text-sm"
        ><NuxtLink to="/book-in/lot" class="button"><PhRows aria-hidden="true" />Book in a job lot</NuxtLink
        ><NuxtLink to="/book-in" class="button button-main"><PhPlus aria-hidden="true" />Book in a machine</NuxtLink></span
      >
    </header>
    <div class="flex flex-wrap items-center gap-x-3 gap-y-2">
      <label for="store-find" class="sr-only">Find by name, claim, note or fault</label
      ><input
        id="store-find"
        v-model="typed"
        type="search"
        class="entry min-w-[min(14rem,100%)]! flex-1"
        placeholder="Find by name, claim, note or fault"
        autocomplete="off"
      />
      <label for="store-order" class="sr-only">Order</label
      ><select id="store-order" class="entry w-auto!" :value="question.sort ?? 'newest'" @change="order">
        <option v-for="(title, value) in orders" :key="value" :value="value">{{ title }}</option>
      </select>
      <a v-if="shown?.length" :href="csvPath" download class="button button-quiet max-sm:hidden"><PhDownloadSimple aria-hidden="true" />Download as CSV</a>
    </div>
    <StoreFilters :question="question" :counts="counts" :narrowed="narrowed" @set="(name, value) => set(name, value as never)" @clear="clear" />
    <KeptLists :question="question" :narrowed="narrowed" />
    <p v-if="trouble" role="alert" class="text-stop">{{ trouble }}</p>
    <p v-else-if="!shown" role="status" class="hint">Fetching…</p>
    <template v-else>
      <EmptyPlace
        v-if="!shown.length"
        :says="
          narrowed
            ? 'Nothing fits. Try the beginning of a word, or fewer words, or take back one of the choices above.'
            : 'No machines yet. Those you book in will appear here.'
        "
      />
      <StoreTable v-else-if="view === 'table'" v-model:chosen="chosen" :machines="shown" />
      <StoreWall v-else-if="view === 'wall'" :machines="shown" />
      <StoreRun v-else :machines="shown" :counts="counts" />
      <PageTurner v-if="list" v-model:page="page" :size="size" :total="list.total" :at-least="list.atLeast" what="machines" />
      <ChosenMachines v-if="view === 'table'" v-model:chosen="chosen" :shown="shown.map(m => m.tag)" />
    </template>
  </div>
</template>
