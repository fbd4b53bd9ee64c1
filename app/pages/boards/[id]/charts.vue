<script setup lang="ts">
import { PhPrinter } from '~/kernel/signs/icons'
import { useQuery } from '@pinia/colada'
import { type PackageForm, type PinState, likelyForm, packageFormNames, packageForms } from '#core/continuity/pin-chart'
import type { PartPins, ProbeSheet } from '#shared/chapters/continuity/index'

/** Pin charts of parts of a board, filled in by a probe sheet where one is named; one to a page on paper. */
const route = useRoute()
const api = useApi()
const boardId = computed(() => Number(route.params.id))
const [tag, sheetId] = [String(route.query.machine ?? ''), Number(route.query.sheet ?? 0)]
const typed = ref(String(route.query.parts ?? ''))
const parts = computed(() => [...new Set(typed.value.split(/[\s,;]+/).filter(Boolean))])
const { data, error } = useQuery<PartPins>({
  key: () => ['board', boardId.value, 'parts', parts.value.join()],
  query: () => api.get<PartPins>(`/api/boards/${boardId.value}/parts?names=${encodeURIComponent(parts.value.join())}`),
})
const { data: sheet } = useQuery<ProbeSheet>({
  key: () => ['machine', tag, 'probe', sheetId],
  query: () => api.get<ProbeSheet>(`/api/machines/${encodeURIComponent(tag)}/probe/${sheetId}`),
  enabled: () => Boolean(tag && sheetId),
})
useHead({ title: () => (data.value ? `Pin charts, ${data.value.board}` : 'Pin charts') })

const forms = reactive<Record<string, PackageForm>>({})
/** What the sheet knows of each pin: the state of its net as a whole. */
const states = computed(() => {
  const known = new Map<string, PinState>()
  const short = new Set((sheet.value?.shorts ?? []).flatMap(s => s.nets))
  for (const { net, state, pieces } of sheet.value?.nets ?? []) for (const end of pieces.flat()) known.set(end.name, short.has(net) ? 'joined-wrongly' : state)
  return known
})
const charts = computed(() =>
  (data.value?.parts ?? []).map(({ part, pins }) => ({
    part,
    form:
      forms[part] ??
      likelyForm(
        part,
        pins.map(p => p.pin),
      ),
    pins: pins.map(p => ({ pin: p.pin, net: p.net, state: p.struck ? ('struck' as const) : (states.value.get(`${part}.${p.pin}`) ?? ('unknown' as const)) })),
  })),
)
const missing = computed(() => parts.value.filter(p => data.value && !data.value.parts.some(d => d.part === p)))
const options = packageForms.map(value => ({ value, label: packageFormNames[value] }))
const id = useId()
const print = () => window.print()
</script>

<template>
  <div class="grid max-w-5xl gap-4">
    <header class="no-print flex flex-wrap items-end justify-between gap-3">
      <div>
        <p v-if="tag && sheetId">
          <NuxtLink :to="`/m/${tag}/probe/${sheetId}`">Back to the probe sheet</NuxtLink> <TagTape :tag="tag" small class="align-middle" />
        </p>
        <h1>Pin charts</h1>
        <p class="text-ink-2">
          {{ data?.board }}{{ data?.issue && `, issue ${data.issue}` }}<template v-if="sheet">; as the sheet “{{ sheet.title }}” has them by now</template>
        </p>
      </div>
      <button type="button" class="button" :disabled="!charts.length" @click="print"><PhPrinter aria-hidden="true" />Print, one to a page</button>
    </header>
    <FieldFrame
      :id="id"
      v-slot="{ described }"
      class="no-print max-w-md"
      label="Parts"
      hint="Such as U7 U8 J1"
      :message="missing.length ? `Not on this board: ${missing.slice(0, 5).join(', ')}.` : undefined"
    >
      <input :id="id" v-model.lazy="typed" class="entry figure" autocomplete="off" :aria-describedby="described" />
    </FieldFrame>
    <p v-if="error" role="alert" class="card">{{ error.message }}</p>
    <EmptyPlace v-else-if="!parts.length" says="Name the parts whose pins you want to see, each gets a chart of its own." />
    <section v-for="chart in charts" :key="chart.part" class="card grid gap-2 break-after-page last:break-after-auto print:border-0" :aria-label="chart.part">
      <p class="hidden print:block">{{ data?.board }}{{ data?.issue && `, issue ${data.issue}` }} {{ tag && `· ${tag}` }} {{ sheet && `· ${sheet.title}` }}</p>
      <SelectField
        :model-value="chart.form"
        class="no-print max-w-56"
        label="Drawn as"
        :options="options"
        @update:model-value="form => (forms[chart.part] = form as PackageForm)"
      />
      <PinChartDrawing :part="chart.part" :form="chart.form" :pins="chart.pins" />
    </section>
  </div>
</template>
