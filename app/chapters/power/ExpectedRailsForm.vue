<script setup lang="ts">
import { toleranceFor } from '#core/power/tolerances'
import { threeRailMemory } from '#core/power/test-points'
import { shownRail, volts } from '#core/power/rails'
import type { ExpectedRail } from '#shared/kernel/shapes'
import type { SheetOf } from '#shared/chapters/index'

/** The rails of this machine, typed as their nominal voltages. Names and tolerances follow from them. */
const props = defineProps<{ sheet: SheetOf<'power'> }>()
defineEmits<{ done: [] }>()
const id = useId()
const typed = ref(props.sheet.expectedRails.map(r => r.nominalV).join(', '))
const points = ref<Record<string, string>>(Object.fromEntries(props.sheet.expectedRails.map(r => [r.name, r.point ?? ''])))
const rails = computed<ExpectedRail[]>(() =>
  [
    ...new Set(
      typed.value
        .replace(/−/g, '-')
        .split(/[\s,;]+/)
        .filter(Boolean),
    ),
  ].map(word => {
    const nominalV = Number(word.replace(/^\+/, '').replace(/V$/i, ''))
    const known = props.sheet.expectedRails.find(r => r.nominalV === nominalV) ?? { name: `${nominalV > 0 ? '+' : ''}${nominalV} V`, nominalV }
    const point = points.value[known.name]?.trim()
    return { ...known, point: point || undefined }
  }),
)
/** Fills in the pins of the three-rail memory, where its rails can be read without following a trace. */
function atMemory() {
  typed.value = threeRailMemory.map(r => r.nominalV).join(', ')
  points.value = { ...points.value, ...Object.fromEntries(threeRailMemory.map(r => [r.name, r.point])) }
}
</script>

<template>
  <CommandForm
    command="expect-rails"
    :machine="sheet.tag"
    :initial="{}"
    :fixed="{ rails }"
    label="Rails expected"
    submit="Save rails"
    keeps
    @done="$emit('done')"
  >
    <FieldFrame :id="id" label="Nominal voltages" hint="Such as 5, 12, -5">
      <input :id="id" v-model="typed" class="entry reading" autocomplete="off" :aria-describedby="`${id}-hint`" />
    </FieldFrame>
    <div><button type="button" class="button" @click="atMemory">At the pins of a three-rail memory chip</button></div>
    <ul class="grid gap-2">
      <li v-for="rail in rails" :key="rail.name" class="flex flex-wrap items-baseline gap-x-3">
        <template v-if="Number.isFinite(rail.nominalV) && rail.nominalV !== 0"
          ><span class="font-semibold">{{ shownRail(rail.name) }}</span
          >{{ ' ' }} <span class="hint">{{ volts(rail.nominalV) }} within {{ rail.tolerancePct ?? toleranceFor(rail.nominalV).tolerancePct }} %</span
          ><input
            v-model="points[rail.name]"
            class="entry ml-auto max-w-60"
            :aria-label="`Test point of ${rail.name}`"
            placeholder="Test point or pin"
            autocomplete="off"
            maxlength="80" /></template
        ><span v-else class="text-stop">Not a voltage</span>
      </li>
    </ul>
  </CommandForm>
</template>
