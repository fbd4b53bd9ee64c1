<script setup lang="ts">
import { significant } from '#core/kernel/figure'
import type { CorrosionArea } from '#core/condition/corrosion-area'
import { compareVisits } from '#core/condition/corrosion-growth'
import { measureMark, shareOfPicture } from '#core/condition/marks'
import type { CorrosionView, PhotographView } from '#shared/chapters/look/index'
import type { SheetOf } from '#shared/chapters/index'
import type { useCorrosion } from '~/chapters/look/composables/useCorrosion'
import type { Drawing } from '~/chapters/look/composables/useDrawing'

/** Corrosion measured on a photograph of a machine; kept, made again, and compared with an earlier visit. */
const props = defineProps<{ sheet: SheetOf<'look'>; photograph: PhotographView; drawing: Drawing; corrosion: ReturnType<typeof useCorrosion> }>()
const session = useSession()
const times = useTimes()
const steel = ref(false)
const here = computed(() => props.sheet.corrosions.filter(c => c.photographId === props.photograph.id))
/** What has been measured on this machine, so that the next visit can be named alike. */
const known = computed(() => [...new Set(props.sheet.corrosions.map(c => c.what))])
const whole = [
  [0, 0],
  [1, 0],
  [1, 1],
  [0, 1],
] as const
const mm2 = (area: CorrosionArea) => {
  const { outline } = props.corrosion
  const of = measureMark({ form: 'polygon', points: outline.value.length ? outline.value : [...whole] }, props.photograph, props.photograph.scale).areaMm2
  return of === null ? null : (of * area.areaPct) / 100
}

/** The visit before this one to the same place. */
const before = (c: CorrosionView) =>
  props.sheet.corrosions.filter(other => other.what === c.what && takenOn(other) < takenOn(c)).sort((a, b) => (takenOn(a) < takenOn(b) ? 1 : -1))[0]
/** When the photograph was taken, which is when the surface looked like that. */
const takenOn = (c: CorrosionView) => props.sheet.photographs.find(p => p.id === c.photographId)?.takenAt || c.at
const visit = (c: CorrosionView) => ({
  at: takenOn(c),
  areaPct: c.areaPct,
  errorPct: c.errorPct,
  areaMm2: c.areaMm2,
  outlineMm2: c.outlineMm2,
  outlineShare: shareOfPicture(c.inputs.outline),
})

function repeat(c: CorrosionView) {
  steel.value = c.steel
  props.corrosion.begin(c.inputs)
  void props.corrosion.measure()
}
</script>

<template>
  <div class="grid content-start gap-4">
    <section v-if="here.length" aria-label="Measured before" class="grid gap-2">
      <article v-for="c in here" :key="c.id" class="grid gap-1 border-b border-line pb-2">
        <p class="flex flex-wrap items-baseline justify-between gap-x-2">
          <span class="font-semibold">{{ c.what }}</span><span class="figure">{{ c.areaPct.toFixed(1) }} % ± {{ c.errorPct.toFixed(1) }}</span>
        </p>
        <p class="hint">
          {{ c.rating === null ? 'No rating: the error covers several' : `Rating ${c.rating} of 10` }}{{ c.rustDegree === null ? '' : `, Ri ${c.rustDegree}`
          }}{{ c.areaMm2 === null ? '' : `, ${significant(c.areaMm2)} mm²` }} · {{ c.by }}, {{ times.day(c.at) }}
        </p>
        <FindingList v-if="before(c)" :findings="compareVisits(visit(before(c)!), visit(c)).findings" />
        <button type="button" class="button button-quiet justify-self-start" @click="repeat(c)">
          Measure it again<span class="sr-only"> for {{ c.what }}</span>
        </button>
      </article>
    </section>
    <CorrosionSteps :corrosion="corrosion" :drawing="drawing">
      <template #default="{ area }">
        <label class="flex items-center gap-2"><input v-model="steel" type="checkbox" class="h-5 w-5" />Rust on steel</label>
        <CorrosionVerdict :area="area" :steel="steel" :area-mm2="mm2(area)" />
        <CommandForm
          v-if="session.may('keep-corrosion') && corrosion.current.value"
          command="keep-corrosion"
          :machine="sheet.tag"
          :initial="{ what: '' }"
          :fixed="{ photographId: photograph.id, inputs: corrosion.inputs(), steel, areaPct: area.areaPct, errorPct: area.errorPct }"
          label="Save measurement"
          submit="Save measurement"
        >
          <TextField name="what" label="What was measured" :suggestions="known" hint="Use the same words each time, such as: lower edge, solder side" />
        </CommandForm>
      </template>
    </CorrosionSteps>
  </div>
</template>
