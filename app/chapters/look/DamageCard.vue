<script setup lang="ts">
import { counted } from '#core/kernel/figure'
import { damageKinds, severityNames } from '#core/condition/damage'
import type { SheetOf } from '#shared/chapters/index'

/** Damage as found: kind, place, extent, severity. */
defineProps<{ sheet: SheetOf<'look'> }>()
const session = useSession()
const severityInk = { slight: 'text-note', clear: 'text-care', severe: 'text-stop' }
</script>

<template>
  <OneCard
    title="Damage"
    :state="sheet.damages.length ? 'done' : 'open'"
    :result="counted(sheet.damages.length, 'mark')"
    stays
    hint="Look under the battery, the keyboard connector and the sockets, on both sides of the board."
  >
    <CautionNote about="battery" />
    <EmptyPlace v-if="!sheet.damages.length" says="No damage recorded. Record it as you find it; do not undo anything yet." />
    <ul v-else class="grid divide-y divide-line">
      <li v-for="damage in sheet.damages" :key="damage.id" class="flex flex-wrap items-center gap-x-3 py-1.5">
        <DamageGlyph :kind="damage.kind" /><span class="font-semibold">{{ damageKinds[damage.kind] }}</span
        ><span :class="severityInk[damage.severity]">{{ severityNames[damage.severity] }}</span
        ><span>{{ [damage.assembly, damage.where].filter(Boolean).join(', ') }}</span
        ><span class="hint">{{ damage.extent }}</span
        ><NuxtLink v-if="damage.photographId" :to="`/m/${sheet.tag}/photo/${damage.photographId}`" class="ml-auto text-sm">On its photograph</NuxtLink
        ><PatinaLine :tag="sheet.tag" :damage="damage" class="w-full" />
      </li>
    </ul>
    <AddPanel v-if="session.may('record-damage')" v-slot="{ close }" label="Record damage">
      <CommandForm
        command="record-damage"
        :machine="sheet.tag"
        :initial="{ assemblyId: null, kind: undefined, where: '', extent: '', severity: undefined }"
        label="Record damage"
        submit="Save"
        @done="close()"
      >
        <ChoiceField name="kind" label="Kind" :options="choicesOf(damageKinds)" />
        <div class="grid gap-3 sm:grid-cols-2">
          <PickField name="assemblyId" label="On which assembly" :options="assemblyChoices(sheet)" /><TextField name="where" label="Where exactly" /><TextField
            name="extent"
            label="Extent"
            hint="Such as 40 mm, or 300 mm²"
          /><ChoiceField name="severity" label="Severity" :options="choicesOf(severityNames)" />
        </div>
      </CommandForm>
    </AddPanel>
  </OneCard>
</template>
