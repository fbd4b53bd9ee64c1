<script setup lang="ts">
import { PhArrowRight, PhPrinter, PhTag } from '~/kernel/signs/icons'
import { type Stage, stageNames, stages } from '#core/kernel/stages'
import type { SheetHead } from '#shared/kernel/machine'
import { fetchedFor, stageViews } from '~/chapters/stages'

const route = useRoute()
const session = useSession()
const tag = computed(() => String(route.params.tag))

/** Which stage is looked at; until it is known where the machine is, none. */
const asked = computed(() => stages.find(s => s === route.query.stage))
const where = ref<Stage>()
const viewed = computed<Stage>(() => asked.value ?? where.value ?? 'arrive')
const shows = computed(() => (asked.value || where.value ? stageViews[viewed.value].shows : []))
const { sheet, trouble } = useSheet(tag, shows)
/** The head of the machine stays in sight while another stage of it is fetched. */
const head = shallowRef<SheetHead>()
watch(
  sheet,
  found => {
    if (found) [head.value, where.value] = [found, found.stage]
  },
  { immediate: true },
)
watch(tag, () => ([head.value, where.value] = [undefined, undefined]))
provide(
  gateKey,
  computed(() => head.value?.gate),
)
/** What the open stage needs has come. */
const ready = computed(() => sheet.value !== undefined && (asked.value ?? where.value) !== undefined && fetchedFor(sheet.value, viewed.value))
useHead({ title: () => (head.value ? `${head.value.identity.nickname || head.value.identity.name} ${tag.value}` : tag.value) })
const router = useRouter()
// Not `navigateTo`: called while an earlier change of the address is under way, it takes itself for a redirect and is lost.
/** Shows a stage; back goes to the one that was looked at before. */
const view = (stage: Stage) => (stage === viewed.value ? router.replace : router.push)({ query: { stage } })
const { runningOn } = useRunningStarts()
const start = computed(() => runningOn(tag.value))

const { submitCommand: move, busy: moving } = useCommand('move-to-stage', tag)
const { submitCommand: bench, busy: benching } = useCommand('put-on-bench', tag)

const panels = useAskedPanel()
watch(tag, () => (panels.asked.value = undefined))
/** Opens a card of a stage and puts the cursor into the first field of one of its forms. */
async function begin(stage: Stage, card: string, form: string) {
  await router.push({ query: { stage, card } })
  panels.asked.value = form
}
const sheets = useBenchSheets()
useShortcuts([
  ...stages.map((stage, i) => ({ key: String(i + 1), says: `Show ${stageNames[stage]}`, act: () => void view(stage) })),
  { key: 'r', says: 'Take a reading', act: () => (sheets.open.value = 'reading') },
  { key: 'f', says: 'Report a fault', act: () => (sheets.open.value = 'fault') },
  { key: 'p', says: 'Add photographs', act: () => (sheets.open.value = 'photograph') },
  { key: 'w', says: 'Start a wait', act: () => void begin('clean', 'Waits', 'Start a wait') },
])
</script>

<template>
  <p v-if="trouble" role="alert" class="card">{{ trouble }} <NuxtLink to="/store">Look in the store.</NuxtLink></p>
  <p v-else-if="!head" role="status" class="hint">Fetching the sheet…</p>
  <div v-else class="grid items-start gap-4 xl:grid-cols-[minmax(0,1fr)_18.75rem]">
    <div class="grid min-w-0 gap-4">
      <header class="grid gap-2">
        <div class="flex flex-wrap items-center gap-x-4 gap-y-1">
          <NuxtLink v-if="head.portrait" :to="`/m/${tag}/photo/${head.portrait.photographId}`" aria-label="The picture it is known by"
            ><MachineFace :hash="head.portrait.hash" class="h-16 w-21"
          /></NuxtLink>
          <div class="min-w-0">
            <h1>{{ head.identity.nickname || head.identity.name }}</h1>
            <p class="text-ink-2">
              {{ head.identity.name }}<template v-if="head.identity.maker">, {{ head.identity.maker }}</template
              ><template v-if="head.identity.place">; {{ head.identity.place }}</template>
            </p>
          </div>
          <TagTape :tag="head.tag" />
          <GateSign :verdict="head.gate.inForce" :overruled="head.gate.overruled" class="ml-auto" />
        </div>
        <p v-if="start" role="status" class="flex flex-wrap items-center gap-x-3 border-l-4 border-stop bg-stop-wash px-3 py-1">
          <strong>It is being started now.</strong> At the probe {{ start.atProbe }}, at the switch {{ start.atSwitch }}.
          <NuxtLink :to="`/m/${tag}/start`">Open the start</NuxtLink>
        </p>
        <RunStrip :run="head.run" :current="head.stage" :viewed="viewed" :waits="head.waits" @view="view" />
        <div class="flex flex-wrap items-center gap-x-3 gap-y-1">
          <p class="hint">
            <template v-if="viewed === head.stage">Now in</template
            ><template v-else
              ><span class="max-wide:hidden">Viewing {{ stageNames[viewed] }}; the machine</span><span class="wide:hidden">It</span> is in</template
            >
            {{ stageNames[head.stage] }}
          </p>
          <button
            v-if="viewed !== head.stage && session.may('move-to-stage')"
            type="button"
            class="button wide:min-h-8!"
            :disabled="moving"
            @click="move({ stage: viewed })"
          >
            <PhArrowRight aria-hidden="true" />Move to {{ stageNames[viewed] }}
          </button>
          <span class="ml-auto flex flex-wrap gap-1">
            <NuxtLink :to="`/m/${tag}/bench`" class="button button-quiet max-sm:hidden wide:min-h-8!"><PhPrinter aria-hidden="true" />Bench print</NuxtLink>
            <NuxtLink :to="{ path: '/labels', query: { tags: head.tag } }" class="button button-quiet wide:min-h-8!"
              ><PhTag aria-hidden="true" />Label</NuxtLink
            >
            <button
              v-if="session.may('put-on-bench')"
              type="button"
              class="button button-quiet wide:min-h-8!"
              :disabled="benching"
              @click="bench({ onBench: !head.onBench })"
            >
              {{ head.onBench ? 'Take off the bench' : 'Put on the bench' }}
            </button>
          </span>
        </div>
      </header>
      <component :is="stageViews[viewed].view" v-if="ready" :key="head.tag + viewed" :sheet="sheet" />
      <div v-else-if="sheet?.unreadable.length" role="alert" class="card grid gap-1">
        <p>
          <strong>Some of what is on record here cannot be read, so {{ stageNames[viewed] }} cannot be shown.</strong> The machine stays off until the record
          has been put right.
        </p>
        <p v-for="one in sheet.unreadable" :key="one.chapter" class="hint">{{ one.chapter }}: {{ one.says }}</p>
      </div>
      <p v-else role="status" class="hint">Fetching {{ stageNames[viewed] }}…</p>
    </div>
    <aside class="grid gap-4" aria-label="Beside the machine">
      <NextMoves :sheet="head" :viewed="viewed" />
      <OpenQuestions :sheet="head" />
      <HistoryList :sheet="head" />
    </aside>
  </div>
</template>
