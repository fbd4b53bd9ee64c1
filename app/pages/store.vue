<script setup lang="ts">
import { PhDownloadSimple, PhPlus, PhRows } from '@phosphor-icons/vue'
import { refDebounced } from '@vueuse/core'
import { type Stage, lifeNames, stageNames, stages } from '#core/planning/stages'
import { type GateVerdict, gateVerdicts, gateWords } from '#core/safety/gate'

useHead({ title: 'Store' })
const session = useSession()
const route = useRoute()
const router = useRouter()
const typed = ref(String(route.query.find ?? ''))
const asked = refDebounced(typed, 150)
const gate = ref<GateVerdict | undefined>(gateVerdicts.find(v => v === route.query.gate))
const stage = ref<Stage | undefined>(stages.find(s => s === route.query.stage))
const bench = ref(route.query.bench === 'on' ? ('on' as const) : undefined)
const sort = ref(route.query.sort === 'harm' ? ('harm' as const) : undefined)
const page = ref(1)
const size = 50
// Another question begins on its first page; the address says what is asked, so that it can be kept.
const question = computed(() => {
  const narrowing = { find: asked.value.trim(), gate: gate.value, stage: stage.value, bench: bench.value, sort: sort.value }
  return Object.fromEntries(Object.entries(narrowing).filter(([, value]) => value)) as Partial<typeof narrowing>
})
watch(question, query => {
  page.value = 1
  // Not `navigateTo`: called while an earlier change of the address is under way, it takes itself for a redirect and is lost.
  void router.replace({ query })
})
const { list, trouble, busy } = useMachineList(() => ({ ...question.value, page: page.value, size }))
const csvPath = computed(() => `/api/store.csv?${new URLSearchParams(question.value).toString()}`)
const shown = computed(() => list.value?.rows)
const counted = computed(() => {
  const { total = 0, atLeast } = list.value ?? {}
  return `${total === 1 ? '1 machine' : `${total} machines`}${atLeast ? ' or more' : ''}`
})
/** One line a machine where the page is wide enough. */
const columns = 'md:grid-cols-[7.5rem_minmax(0,3fr)_10.5rem_12.5rem_minmax(0,2fr)_minmax(0,1.5fr)]'
</script>

<template>
  <div class="grid gap-3">
    <header class="flex flex-wrap items-center justify-between gap-2">
      <div>
        <h1>Store</h1>
        <p class="text-ink-2">Every machine, on the bench or off it.</p>
      </div>
      <span v-if="session.may('book-in')" class="flex flex-wrap gap-2"
        ><NuxtLink to="/book-in/lot" class="button"><PhRows aria-hidden="true" />Book in a job lot</NuxtLink
        ><NuxtLink to="/book-in" class="button button-main"><PhPlus aria-hidden="true" />Book in a machine</NuxtLink></span
      >
    </header>
    <div class="flex flex-wrap items-end gap-x-4 gap-y-2">
      <div class="grid min-w-56 flex-1 gap-1">
        <label for="store-find" class="font-semibold">Find by name, claim, note or fault</label
        ><input id="store-find" v-model="typed" type="search" class="entry" autocomplete="off" />
      </div>
      <div class="grid gap-1">
        <label for="store-stage" class="font-semibold">Stage</label
        ><select id="store-stage" v-model="stage" class="entry">
          <option :value="undefined">Any stage</option>
          <option v-for="one in stages" :key="one" :value="one">{{ stageNames[one] }}</option>
        </select>
      </div>
      <div class="grid gap-1">
        <label for="store-bench" class="font-semibold">Where</label
        ><select id="store-bench" v-model="bench" class="entry">
          <option :value="undefined">Anywhere</option>
          <option value="on">On the bench</option>
          <option value="off">Off the bench</option>
        </select>
      </div>
      <div class="grid gap-1">
        <label for="store-order" class="font-semibold">Order</label
        ><select id="store-order" v-model="sort" class="entry">
          <option :value="undefined">Newest first</option>
          <option value="harm">What gets worse first</option>
        </select>
      </div>
    </div>
    <div class="flex flex-wrap items-center gap-x-4 gap-y-2">
      <div role="group" aria-label="Show by gate" class="flex flex-wrap pl-px">
        <button type="button" class="choice" :aria-pressed="!gate" :class="!gate && 'bg-mat! font-semibold'" @click="gate = undefined">All</button>
        <button
          v-for="verdict in gateVerdicts"
          :key="verdict"
          type="button"
          class="choice"
          :aria-pressed="gate === verdict"
          :class="gate === verdict && 'bg-mat! font-semibold'"
          @click="gate = verdict"
        >
          {{ gateWords[verdict].title }}
        </button>
      </div>
      <template v-if="shown?.length">
        <p class="hint" role="status">{{ counted }}<span v-if="busy">, looking…</span></p>
        <a :href="csvPath" download class="button ml-auto md:min-h-8!"><PhDownloadSimple aria-hidden="true" />Take these away as CSV</a>
      </template>
    </div>
    <p v-if="trouble" role="alert" class="text-stop">{{ trouble }}</p>
    <p v-else-if="!shown" role="status" class="hint">Fetching…</p>
    <EmptyPlace
      v-else-if="!shown.length"
      :says="
        typed || gate || stage || bench
          ? 'Nothing fits. Try the beginning of a word, or fewer words, or a wider choice of stage, place and gate.'
          : 'No machine yet. Those that are booked in stand here.'
      "
    />
    <template v-else>
      <div>
        <div class="hint hidden gap-x-4 px-3 pb-1 text-sm md:grid" :class="columns" aria-hidden="true">
          <span>Tag</span><span>Machine</span><span>Gate</span><span>Stage</span><span>Open fault</span><span>Place</span>
        </div>
        <ul class="grid border-t border-line bg-card">
          <li v-for="machine in shown" :key="machine.tag" class="border-x border-b border-line">
            <NuxtLink
              :to="`/m/${machine.tag}`"
              class="grid items-center gap-x-4 gap-y-1 px-3 py-2 text-ink no-underline hover:bg-mat md:py-0.5"
              :class="columns"
            >
              <TagTape :tag="machine.tag" small class="justify-self-start" />
              <span class="truncate"
                ><span class="font-semibold">{{ machine.nickname || machine.name }}</span
                ><span class="hint"
                  ><template v-if="machine.nickname">&ensp;{{ machine.name }}</template
                  ><template v-if="machine.maker">, {{ machine.maker }}</template></span
                ></span
              >
              <GateSign :verdict="machine.gate" :overruled="machine.overruled" small class="whitespace-nowrap" />
              <span class="flex items-end gap-2"
                ><RunStrip :run="machine.run" :current="machine.stage" small class="shrink-0" /><span class="hint truncate text-sm">{{
                  machine.life && machine.stage === 'home' ? lifeNames[machine.life].title : stageNames[machine.stage]
                }}</span></span
              >
              <span class="truncate text-sm"
                >{{ machine.openFaults[0] }}<span v-if="machine.openFaults.length > 1" class="hint">, {{ machine.openFaults.length - 1 }} more</span></span
              >
              <span class="hint truncate text-sm">{{ machine.place }}</span>
            </NuxtLink>
          </li>
        </ul>
      </div>
      <PageTurner v-if="list" v-model:page="page" :size="size" :total="list.total" :at-least="list.atLeast" what="machines" />
    </template>
  </div>
</template>
