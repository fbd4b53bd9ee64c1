<script setup lang="ts">
import { counted } from '#core/kernel/figure'
import type { SheetOf } from '#shared/chapters/index'
import { partOutcomeNames } from '#shared/chapters/parts/index'

/** Parts this machine wants, those that stop a start marked. */
const props = defineProps<{ sheet: SheetOf<'parts'> }>()
const session = useSession()
const { submitCommand: settle, busy, failure, stale } = useCommand('settle-part', () => props.sheet.tag)
</script>

<template>
  <OneCard
    title="Parts wanted"
    :state="sheet.parts.some(p => p.outcome === 'wanted') ? 'open' : sheet.parts.length ? 'done' : 'none'"
    :result="`${counted(sheet.parts.filter(p => p.outcome === 'wanted').length, 'part')} wanted`"
    stays
  >
    <EmptyPlace v-if="!sheet.parts.length" says="No parts wanted. A part you add here appears under Parts for everybody." />
    <ul v-else class="grid divide-y divide-line">
      <li v-for="part in sheet.parts" :key="part.id" class="flex flex-wrap items-center gap-x-3 gap-y-1 py-1.5">
        <span class="figure">{{ part.quantity }} ×</span><span :class="part.outcome === 'wanted' ? 'font-semibold' : 'text-ink-2'">{{ part.name }}</span>
        <template v-if="part.outcome === 'wanted'">
          <span :class="part.stopsStart ? 'text-stop' : 'text-ink-2'">{{
            part.stopsStart ? 'Cannot be started without it' : 'Can be started without it'
          }}</span>
          <span v-if="session.may('settle-part')" class="ml-auto flex gap-1"
            ><button type="button" class="button" :disabled="busy" @click="settle({ partId: part.id, version: part.version, outcome: 'fitted' })">
              Found and fitted</button
            ><button
              type="button"
              class="button button-quiet"
              :disabled="busy"
              @click="settle({ partId: part.id, version: part.version, outcome: 'not-needed' })"
            >
              No longer needed
            </button></span
          >
        </template>
        <template v-else
          ><span class="hint">{{ partOutcomeNames[part.outcome] }}</span
          ><button
            v-if="session.may('settle-part')"
            type="button"
            class="button button-quiet ml-auto"
            :disabled="busy"
            @click="settle({ partId: part.id, version: part.version, outcome: 'wanted' })"
          >
            Needed again
          </button></template
        >
      </li>
    </ul>
    <p v-if="failure || stale" role="alert" class="text-stop">{{ failure || stale?.message }}</p>
    <AddPanel v-if="session.may('want-part')" v-slot="{ close }" label="Add a part">
      <CommandForm
        command="want-part"
        :machine="sheet.tag"
        :initial="{ name: '', quantity: '1', stopsStart: false }"
        label="Add a part"
        submit="Add to the list"
        @done="close()"
        ><div class="grid gap-3 sm:grid-cols-[1fr_8rem]"><TextField name="name" label="Part" /><TextField name="quantity" label="How many" numeric /></div>
        <TickField name="stopsStart" label="The machine cannot be started without it"
      /></CommandForm>
    </AddPanel>
  </OneCard>
</template>
