<script setup lang="ts">
import { keptFree } from '#core/continuity/areas'
import type { CommandRequest } from '#shared/chapters/index'
import type { ProbeSheet } from '#shared/chapters/continuity/index'

/** The shortest wires across a broken net, drawn; each kept once it is fitted, with the reading after it. */
const props = defineProps<{ tag: string; sheetId: number; net: ProbeSheet['nets'][number]; areas: ProbeSheet['areas']; askedYet: number }>()
const session = useSession()
const current = ref('0.05')
const side = ref<'front' | 'back'>('back')
const patch = computed(() => patchOf(props.net, current.value, side.value, props.areas))
const free = computed(() => keptFree(props.areas))
const sides = [
  { value: 'back' as const, label: 'On the back' },
  { value: 'front' as const, label: 'On the front' },
]
const ends = computed(() => props.net.pieces.flat().map(e => ({ value: e.name, label: e.name })))
const initial = computed(() => {
  const wire = patch.value.plan?.wires[0]
  return {
    a: wire?.a,
    b: wire?.b,
    lengthMm: wire ? String(wire.cutMm) : '',
    awg: String(patch.value.plan?.wire.awg ?? 30),
    afterOhm: '',
  } as unknown as Partial<CommandRequest<'fit-patch'>>
})
</script>

<template>
  <AddPanel :label="`Bridge ${net.net}`">
    <div class="grid gap-3">
      <div class="grid max-w-md grid-cols-2 gap-3">
        <MeasureField v-model="current" label="Current, A" /><SelectField v-model="side" label="Route of the wires" :options="sides" />
      </div>
      <p v-if="askedYet" class="border-l-4 border-care bg-care-wash px-3 py-1">
        {{ askedYet === 1 ? 'One check of it is' : `${askedYet} checks of it are` }} not answered yet: its pieces may be fewer, and so may the wires.
      </p>
      <p v-if="patch.trouble" class="text-care">{{ patch.trouble }}</p>
      <template v-if="patch.plan && patch.pieces">
        <PatchDrawing :pieces="patch.pieces" :keep-outs="free.keepOuts" :vias="free.vias" :wires="patch.plan.wires" :mirrored="side === 'back'" />
        <ul>
          <li v-for="wire in patch.plan.wires" :key="wire.a + wire.b">
            <span class="figure font-semibold">{{ wire.a }} – {{ wire.b }}</span
            >: runs {{ wire.lengthMm }} mm, cut {{ wire.cutMm }} mm of gauge {{ patch.plan.wire.awg }}
          </li>
        </ul>
        <FindingList :findings="patch.plan.findings" />
      </template>
      <CautionNote about="solder" />
      <CommandForm
        v-if="session.may('fit-patch')"
        :key="JSON.stringify(net.pieces)"
        command="fit-patch"
        :machine="tag"
        :initial="initial"
        :fixed="{ sheetId, net: net.net }"
        label="Add a fitted wire"
        submit="Save wire"
      >
        <div class="grid gap-3 sm:grid-cols-5">
          <PickField name="a" label="From" :options="ends" /><PickField name="b" label="To" :options="ends" /><TextField
            name="lengthMm"
            label="Length, mm"
            numeric
          /><TextField name="awg" label="Gauge" numeric /><TextField name="afterOhm" label="Afterwards, Ω" hint="OL for open" />
        </div>
      </CommandForm>
    </div>
  </AddPanel>
</template>
