<script setup lang="ts">
import { toleranceFor } from '#core/power/tolerances'
import { volts } from '#core/power/rails'
import type { ExpectedRail } from '#shared/contracts/shapes'
import type { MachineSheet } from '#shared/contracts/views'

/** The rails of this machine, typed as their nominal voltages. Names and tolerances follow from them. */
const props = defineProps<{ sheet: MachineSheet }>()
defineEmits<{ done: [] }>()
const id = useId()
const typed = ref(props.sheet.expectedRails.map(r => r.nominalV).join(', '))
const rails = computed<ExpectedRail[]>(() => [...new Set(typed.value.replace(/−/g, '-').split(/[\s,;]+/).filter(Boolean))].map((word) => {
  const nominalV = Number(word.replace(/^\+/, '').replace(/V$/i, ''))
  const known = props.sheet.expectedRails.find(r => r.nominalV === nominalV)
  return known ?? { name: `${nominalV > 0 ? '+' : ''}${nominalV} V`, nominalV }
}))
</script>

<template>
  <CommandForm command="expect-rails" :machine="sheet.tag" :initial="{}" :fixed="{ rails }" label="Rails expected" submit="Expect these rails" keeps @done="$emit('done')">
    <FieldFrame :id="id" label="Nominal voltages" hint="Such as 5, 12, -5">
      <input :id="id" v-model="typed" class="entry reading" autocomplete="off" :aria-describedby="`${id}-hint`">
    </FieldFrame>
    <ul class="flex flex-wrap gap-x-5 gap-y-1"><li v-for="rail in rails" :key="rail.name"><template v-if="Number.isFinite(rail.nominalV) && rail.nominalV !== 0"><span class="font-semibold">{{ rail.name }}</span> <span class="hint">{{ volts(rail.nominalV) }} within {{ rail.tolerancePct ?? toleranceFor(rail.nominalV).tolerancePct }} %</span></template><span v-else class="text-stop">Not a voltage</span></li></ul>
  </CommandForm>
</template>
