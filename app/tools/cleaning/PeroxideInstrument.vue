<script setup lang="ts">
import { type PercentKind, dilutePeroxide, handledByAnyonePct, percentKinds } from '#core/cleaning/peroxide'
import { decidingLevel } from '#core/kernel/finding'
import { cleaningPeroxide } from '#shared/tools/cleaning/peroxide'

/** Strengths in per cent or volumes, and how much a part takes. */
const emit = defineEmits<{ input: [input: Record<string, unknown> | undefined] }>()
const { haveVolumes, wantPct, areaCm2, monthsOpen } = cleaningPeroxide.example
const typed = reactive({
  havePct: '',
  haveVolumes: String(haveVolumes),
  wantPct: String(wantPct),
  wantVolumes: '',
  wantMl: '',
  areaCm2: String(areaCm2),
  layerMm: '2',
  monthsOpen: String(monthsOpen),
})
const haveIs = ref<PercentKind>('by-mass')
const wantIs = ref<PercentKind>('g-per-100ml')
const kinds = choicesOf(percentKinds)
const keptCool = ref(true)
const { result, at } = useInstrument(
  () => ({ ...figuresOf(typed), haveIs: haveIs.value, wantIs: wantIs.value, keptCool: keptCool.value }),
  dilutePeroxide,
  input => emit('input', input),
)
const judgements = { stop: 'Not for everybody', care: 'Gloves and glasses', fine: 'Weak', note: 'Weak' } as const
</script>

<template>
  <div class="grid items-start gap-4 lg:grid-cols-[22rem_minmax(0,1fr)]">
    <OneCard title="Strengths" hint="In per cent, as the label means it, or in volumes; one of the two.">
      <div class="grid grid-cols-2 gap-3">
        <MeasureField v-model="typed.havePct" label="You have, %" :message="at('havePct')" /><MeasureField
          v-model="typed.haveVolumes"
          label="or volumes"
          :message="at('haveVolumes')"
        />
        <div class="col-span-2"><SelectField v-model="haveIs" label="On its label, % means" :options="kinds" /></div>
        <MeasureField v-model="typed.wantPct" label="You want, %" :message="at('wantPct')" /><MeasureField
          v-model="typed.wantVolumes"
          label="or volumes wanted"
          :message="at('wantVolumes')"
        />
        <div class="col-span-2"><SelectField v-model="wantIs" label="Wanted, % means" :options="kinds" /></div>
        <MeasureField v-model="typed.wantMl" label="How much, ml" hint="Leave empty to work it out from the surface" :message="at('wantMl')" /><MeasureField
          v-model="typed.areaCm2"
          label="Surface, cm²"
          :message="at('areaCm2')"
        /><MeasureField v-model="typed.layerMm" label="Laid on, mm" :message="at('layerMm')" /><MeasureField
          v-model="typed.monthsOpen"
          label="Open since, months"
          hint="Leave empty if not known"
          :message="at('monthsOpen')"
        />
      </div>
      <SelectField
        v-model="keptCool"
        label="Kept"
        :options="[
          { value: true, label: 'Cool and dark' },
          { value: false, label: 'Warm, or not known' },
        ]"
      />
    </OneCard>
    <OneCard title="The mixture">
      <template v-if="result">
        <InstrumentFace
          label="Take of what you have"
          :figure="`${three(result.takeMl)} ml`"
          :judgement="judgements[decidingLevel(result.findings)]"
          :level="decidingLevel(result.findings)"
          :scale="{
            from: 0,
            value: Math.max(result.haveMassPct, result.wantMassPct),
            bands: [
              { to: handledByAnyonePct, level: 'care', says: `up to ${handledByAnyonePct} %` },
              { to: 40, level: 'stop', says: 'only people trained in it' },
            ],
          }"
        />
        <dl class="grid grid-cols-3 gap-3">
          <div>
            <dt class="hint">Water to it</dt>
            <dd class="reading">{{ three(result.waterMl) }} ml</dd>
          </div>
          <div>
            <dt class="hint">You have</dt>
            <dd class="reading">{{ three(result.haveMassPct) }} % by mass, {{ three(result.haveVolumes) }} vol</dd>
          </div>
          <div>
            <dt class="hint">It becomes</dt>
            <dd class="reading">{{ three(result.wantMassPct) }} % by mass, {{ three(result.wantVolumes) }} vol</dd>
          </div>
        </dl>
        <FindingList :findings="result.findings" />
      </template>
      <EmptyPlace v-else says="Fill in the strengths; the mixture will appear here." />
      <CautionNote about="peroxide" />
    </OneCard>
  </div>
</template>
