<script setup lang="ts">
import { counted } from '#core/kernel/figure'
import type { SheetOf } from '#shared/chapters/index'

/** Jumpers, switches, trimmers and pages as they were found, what was changed of them, and the way back. */
const props = defineProps<{ sheet: SheetOf<'setup'> }>()
const session = useSession()
const held = computed(() => props.sheet.setup)
const assemblies = computed(() => [...new Set(held.value.settings.map(one => one.assembly))])
const changed = computed(() => held.value.settings.filter(one => one.now !== null).length)
const result = computed(() =>
  held.value.settings.length
    ? [counted(held.value.settings.length, 'setting'), ...(changed.value ? [`${changed.value} not as found`] : [])].join(', ')
    : 'None noted',
)
const pictures = computed(() => [
  { value: null as number | null, label: 'None' },
  ...held.value.photographs.map(({ id, says }) => ({ value: id as number | null, label: says })),
])
</script>

<template>
  <OneCard
    title="Settings as found"
    :state="held.settings.length ? 'done' : 'none'"
    later
    :result="result"
    hint="Jumpers, switches, trimmers, coils, set-up pages: how each stood is written down before it is touched, so that it can be put back."
  >
    <EmptyPlace v-if="!held.settings.length" says="None noted yet. Before anything is moved: a line each, or a photograph that shows them." />
    <FindingList v-else :findings="held.findings" />
    <section v-for="assembly in assemblies" :key="assembly" class="grid gap-1" :aria-label="`Settings of ${assembly}`">
      <h3>{{ assembly }}</h3>
      <ul class="grid divide-y divide-line border-y border-line">
        <SettingRow v-for="one in held.settings.filter(s => s.assembly === assembly)" :key="one.id" :one="one" :tag="sheet.tag" />
      </ul>
    </section>
    <section v-for="sister in held.sisters" :key="sister.tag" class="grid gap-1" :aria-label="`Beside ${sister.nickname || sister.tag}`">
      <h3>Otherwise on {{ sister.nickname || sister.tag }}{{ sister.variant && `, ${sister.variant}` }}</h3>
      <ul class="grid gap-1">
        <li v-for="place in sister.places" :key="`${place.assembly} ${place.name}`">
          <span class="figure font-semibold">{{ place.name }}</span> <span class="hint">{{ place.assembly }}</span>: here {{ place.here }}, there
          {{ place.there }}.
        </li>
      </ul>
    </section>
    <AddPanel v-if="session.may('note-settings')" v-slot="{ close }" label="Note settings">
      <CommandForm
        command="note-settings"
        :machine="sheet.tag"
        :initial="{ assembly: assemblies[0] ?? '', typed: '', photographId: null }"
        label="Note settings"
        submit="Save how they stand"
        @done="close()"
      >
        <TextField name="assembly" label="On which assembly" hint="Such as Main board, or Drive A" />
        <PickField
          v-if="pictures.length > 1"
          name="photographId"
          label="On a photograph"
          :options="pictures"
          empty="None"
          hint="With one, names alone will do"
        />
        <TextField name="typed" label="How they stand" :lines="5" hint="A line each: JP1: 1-2, or SW1: 1 on, 2 off, or VR2: slot at two o’clock" />
      </CommandForm>
    </AddPanel>
  </OneCard>
</template>
