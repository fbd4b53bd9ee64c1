<script setup lang="ts">
import { PhPlus, PhRows } from '@phosphor-icons/vue'
import { useDebounceFn } from '@vueuse/core'
import { lifeNames, stageNames } from '#core/planning/stages'
import { type GateVerdict, gateVerdicts, gateWords } from '#core/safety/gate'
import type { MachineSummary } from '#shared/contracts/views'

useHead({ title: 'Store' })
const api = useApi()
const session = useSession()
const route = useRoute()
const typed = ref(String(route.query.find ?? ''))
const gate = ref<GateVerdict>()
const { found, trouble, look } = useLooked(() => api.get<{ machines: MachineSummary[] }>('/api/machines', { find: typed.value }))
const lookSoon = useDebounceFn(look, 150)
watch(typed, () => {
  void lookSoon()
  void navigateTo({ query: typed.value ? { find: typed.value } : {} }, { replace: true })
})

const shown = computed(() => found.value?.machines.filter(m => !gate.value || m.gate === gate.value))
</script>

<template>
  <div class="grid gap-4">
    <header class="flex flex-wrap items-center justify-between gap-2">
      <div><h1>Store</h1><p class="text-ink-2">Every machine, on the bench or off it.</p></div>
      <span v-if="session.may('book-in')" class="flex flex-wrap gap-2"><NuxtLink to="/book-in/lot" class="button"><PhRows aria-hidden="true" />Book in a job lot</NuxtLink><NuxtLink to="/book-in" class="button button-main"><PhPlus aria-hidden="true" />Book in a machine</NuxtLink></span>
    </header>
    <div class="flex flex-wrap items-end gap-4">
      <div class="grid min-w-64 flex-1 gap-1"><label for="store-find" class="font-semibold">Find by name, claim, note or fault</label><input id="store-find" v-model="typed" type="search" class="entry" autocomplete="off"></div>
      <div role="group" aria-label="Show by gate" class="flex flex-wrap pl-px">
        <button type="button" class="choice" :aria-pressed="!gate" :class="!gate && 'bg-mat! font-semibold'" @click="gate = undefined">All</button>
        <button v-for="verdict in gateVerdicts" :key="verdict" type="button" class="choice" :aria-pressed="gate === verdict" :class="gate === verdict && 'bg-mat! font-semibold'" @click="gate = verdict">{{ gateWords[verdict].title }}</button>
      </div>
    </div>
    <p v-if="trouble" role="alert" class="text-stop">{{ trouble }}</p>
    <p v-else-if="!shown" role="status" class="hint">Fetching…</p>
    <EmptyPlace v-else-if="!shown.length" :says="typed || gate ? 'Nothing fits. Try the beginning of a word, or fewer words.' : 'No machine yet. Those that are booked in stand here.'" />
    <template v-else>
      <p class="hint" role="status">{{ shown.length === 1 ? '1 machine' : `${shown.length} machines` }}</p>
      <ul class="grid border-t border-line bg-card">
        <li v-for="machine in shown" :key="machine.tag" class="border-x border-b border-line">
          <NuxtLink :to="`/m/${machine.tag}`" class="grid items-center gap-x-4 gap-y-1 px-3 py-2 text-ink no-underline hover:bg-mat md:grid-cols-[9rem_minmax(0,2fr)_11rem_9rem_minmax(0,2fr)]">
            <TagTape :tag="machine.tag" small class="justify-self-start" />
            <span class="min-w-0"><span class="block truncate font-semibold">{{ machine.nickname || machine.name }}</span><span class="hint block truncate">{{ machine.name }}<template v-if="machine.maker">, {{ machine.maker }}</template></span></span>
            <GateSign :verdict="machine.gate" :overruled="machine.overruled" small />
            <span class="grid gap-0.5"><RunStrip :run="machine.run" :current="machine.stage" small /><span class="hint">{{ machine.life && machine.stage === 'home' ? lifeNames[machine.life].title : stageNames[machine.stage] }}</span></span>
            <span class="min-w-0 text-sm"><span v-for="fault in machine.openFaults.slice(0, 2)" :key="fault" class="block truncate">{{ fault }}</span><span class="hint block truncate">{{ machine.place }}</span></span>
          </NuxtLink>
        </li>
      </ul>
    </template>
  </div>
</template>
