<script setup lang="ts">
import { PhPlus, PhRows } from '@phosphor-icons/vue'
import { refDebounced } from '@vueuse/core'
import { lifeNames, stageNames } from '#core/planning/stages'
import { type GateVerdict, gateVerdicts, gateWords } from '#core/safety/gate'

useHead({ title: 'Store' })
const session = useSession()
const route = useRoute()
const typed = ref(String(route.query.find ?? ''))
const asked = refDebounced(typed, 150)
const gate = ref<GateVerdict | undefined>(gateVerdicts.find(v => v === route.query.gate))
const bench = ref(route.query.bench === 'on' ? ('on' as const) : undefined)
const sort = ref(route.query.sort === 'harm' ? ('harm' as const) : undefined)
const page = ref(1)
const size = 50
// Another question begins on its first page; the address says what is asked, so that it can be kept.
watch([asked, gate, bench, sort], ([find, verdict, on, by]) => {
  page.value = 1
  void navigateTo(
    { query: { ...(find ? { find } : {}), ...(verdict ? { gate: verdict } : {}), ...(on ? { bench: on } : {}), ...(by ? { sort: by } : {}) } },
    { replace: true },
  )
})
const { list, trouble, busy } = useMachineList(() => ({
  find: asked.value.trim(),
  gate: gate.value,
  bench: bench.value,
  sort: sort.value,
  page: page.value,
  size,
}))
const shown = computed(() => list.value?.rows)
const counted = computed(() => {
  const { total = 0, atLeast } = list.value ?? {}
  return `${total === 1 ? '1 machine' : `${total} machines`}${atLeast ? ' or more' : ''}`
})
/** What narrows or orders the list beyond the words and the gate, and can be let go of. */
const narrowed = computed(() => [
  ...(bench.value ? [{ says: 'On the bench', leave: () => (bench.value = undefined) }] : []),
  ...(sort.value ? [{ says: 'What gets worse first', leave: () => (sort.value = undefined) }] : []),
])
</script>

<template>
  <div class="grid gap-4">
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
    <div class="flex flex-wrap items-end gap-4">
      <div class="grid min-w-64 flex-1 gap-1">
        <label for="store-find" class="font-semibold">Find by name, claim, note or fault</label
        ><input id="store-find" v-model="typed" type="search" class="entry" autocomplete="off" />
      </div>
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
    </div>
    <p v-if="trouble" role="alert" class="text-stop">{{ trouble }}</p>
    <p v-else-if="!shown" role="status" class="hint">Fetching…</p>
    <EmptyPlace
      v-else-if="!shown.length"
      :says="typed || gate || bench ? 'Nothing fits. Try the beginning of a word, or fewer words.' : 'No machine yet. Those that are booked in stand here.'"
    />
    <template v-else>
      <p class="hint flex flex-wrap items-center gap-2" role="status">
        {{ counted }}<span v-if="busy">, looking…</span
        ><button v-for="one in narrowed" :key="one.says" type="button" class="button min-h-8!" @click="one.leave()">
          {{ one.says }} <span class="sr-only">: show all instead</span><span aria-hidden="true">×</span>
        </button>
      </p>
      <ul class="grid border-t border-line bg-card">
        <li v-for="machine in shown" :key="machine.tag" class="border-x border-b border-line">
          <NuxtLink
            :to="`/m/${machine.tag}`"
            class="grid items-center gap-x-4 gap-y-1 px-3 py-2 text-ink no-underline hover:bg-mat md:grid-cols-[9rem_minmax(0,2fr)_11rem_9rem_minmax(0,2fr)]"
          >
            <TagTape :tag="machine.tag" small class="justify-self-start" />
            <span class="min-w-0"
              ><span class="block truncate font-semibold">{{ machine.nickname || machine.name }}</span
              ><span class="hint block truncate"
                >{{ machine.name }}<template v-if="machine.maker">, {{ machine.maker }}</template></span
              ></span
            >
            <GateSign :verdict="machine.gate" :overruled="machine.overruled" small />
            <span class="grid gap-0.5"
              ><RunStrip :run="machine.run" :current="machine.stage" small /><span class="hint">{{
                machine.life && machine.stage === 'home' ? lifeNames[machine.life].title : stageNames[machine.stage]
              }}</span></span
            >
            <span class="min-w-0 text-sm"
              ><span v-for="fault in machine.openFaults.slice(0, 2)" :key="fault" class="block truncate">{{ fault }}</span
              ><span class="hint block truncate">{{ machine.place }}</span></span
            >
          </NuxtLink>
        </li>
      </ul>
      <PageTurner v-if="list" v-model:page="page" :size="size" :total="list.total" :at-least="list.atLeast" what="machines" />
    </template>
  </div>
</template>
