<script setup lang="ts">
import { PhArrowRight } from '@phosphor-icons/vue'
import { type Stage, stageNames, stages } from '#core/planning/stages'
import ArriveStage from '~/components/arrive/ArriveStage.vue'
import CleanStage from '~/components/clean/CleanStage.vue'
import HomeStage from '~/components/home/HomeStage.vue'
import LookStage from '~/components/look/LookStage.vue'
import MakeSafeStage from '~/components/make-safe/MakeSafeStage.vue'
import MendStage from '~/components/mend/MendStage.vue'
import ProveStage from '~/components/prove/ProveStage.vue'

const route = useRoute()
const machines = useMachines()
const session = useSession()
const tag = computed(() => String(route.params.tag))
const trouble = ref('')
const sheet = computed(() => (machines.sheet?.tag === tag.value ? machines.sheet : undefined))
useHead({ title: () => (sheet.value ? `${sheet.value.identity.nickname || sheet.value.identity.name} ${tag.value}` : tag.value) })

watch(tag, async (wanted) => {
  trouble.value = ''
  try {
    await machines.loadSheet(wanted)
  }
  catch (error) {
    trouble.value = (error as Error).message
  }
}, { immediate: true })

const stageViews = { 'arrive': ArriveStage, 'look': LookStage, 'make-safe': MakeSafeStage, 'clean': CleanStage, 'mend': MendStage, 'prove': ProveStage, 'home': HomeStage }
const viewed = computed<Stage>(() => stages.find(s => s === route.query.stage) ?? sheet.value?.stage ?? 'arrive')
const view = (stage: Stage) => navigateTo({ query: { stage } }, { replace: true })

const { submitCommand: move, busy: moving } = useCommand('move-to-stage', tag)
const { submitCommand: bench, busy: benching } = useCommand('put-on-bench', tag)

/** Opens a stage and puts the cursor into the first field of one of its forms. */
async function begin(stage: Stage, form: string) {
  await view(stage)
  await nextTick()
  const opener = [...document.querySelectorAll<HTMLElement>('main button')].find(b => b.textContent?.trim() === form && b.getAttribute('aria-expanded') === 'false')
  opener?.click()
  await nextTick()
  document.querySelector<HTMLElement>(`form[aria-label="${form}"] :is(input, textarea)`)?.focus()
}
/** Opens the stage that has the photographs, and the browser's own picker. */
async function pickPhotographs() {
  if (!['arrive', 'look'].includes(viewed.value)) await view('look')
  await nextTick()
  document.querySelector<HTMLInputElement>('main input[type=file]')?.click()
}
useShortcuts([
  ...stages.map((stage, i) => ({ key: String(i + 1), says: `Show ${stageNames[stage]}`, act: () => void view(stage) })),
  { key: 'r', says: 'Take a reading', act: () => void begin('prove', 'Take a reading') },
  { key: 'f', says: 'Report a fault', act: () => void begin('mend', 'Report a fault') },
  { key: 'p', says: 'Add photographs', act: () => void pickPhotographs() },
  { key: 'w', says: 'Start a wait', act: () => void begin('clean', 'Start a wait') },
])
</script>

<template>
  <p v-if="trouble" role="alert" class="card">{{ trouble }} <NuxtLink to="/store">Look in the store.</NuxtLink></p>
  <p v-else-if="!sheet" role="status" class="hint">Fetching the sheet…</p>
  <div v-else class="grid items-start gap-4 xl:grid-cols-[minmax(0,1fr)_18.75rem]">
    <div class="grid min-w-0 gap-4">
      <header class="grid gap-3">
        <div class="flex flex-wrap items-center gap-x-4 gap-y-1">
          <div class="min-w-0">
            <h1>{{ sheet.identity.nickname || sheet.identity.name }}</h1>
            <p class="text-ink-2">{{ sheet.identity.name }}<template v-if="sheet.identity.maker">, {{ sheet.identity.maker }}</template></p>
          </div>
          <TagTape :tag="sheet.tag" />
          <GateSign :verdict="sheet.power.inForce" :overruled="!!sheet.power.overrule" class="ml-auto" />
        </div>
        <RunStrip :run="sheet.run" :current="sheet.stage" :viewed="viewed" :waits="sheet.waits" @view="view" />
        <div class="flex flex-wrap items-center gap-3">
          <p class="hint">{{ viewed === sheet.stage ? `It is in ${stageNames[sheet.stage]}.` : `You are looking at ${stageNames[viewed]}; the machine is in ${stageNames[sheet.stage]}.` }}</p>
          <button v-if="viewed !== sheet.stage && session.may('move-to-stage')" type="button" class="button" :disabled="moving" @click="move({ stage: viewed })"><PhArrowRight aria-hidden="true" />Move to {{ stageNames[viewed] }}</button>
          <button v-if="session.may('put-on-bench')" type="button" class="button button-quiet ml-auto" :disabled="benching" @click="bench({ onBench: !sheet.onBench })">{{ sheet.onBench ? 'Take off the bench' : 'Put on the bench' }}</button>
        </div>
      </header>
      <component :is="stageViews[viewed]" :key="sheet.tag + viewed" :sheet="sheet" />
    </div>
    <aside class="grid gap-4" aria-label="Beside the machine">
      <NextMoves :sheet="sheet" />
      <OpenQuestions :sheet="sheet" />
      <HistoryList :sheet="sheet" />
    </aside>
  </div>
</template>
