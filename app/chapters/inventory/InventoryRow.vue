<script setup lang="ts">
import { mountings, socketNeeds } from '#core/identify/inventory/read-inventory'
import type { ViewOf } from '#shared/chapters/index'

/** One line of an inventory: what sits there, ticked off where it was taken over, changed, and taken off the list. */
const props = defineProps<{ line: ViewOf<'inventory'>['inventory']['lines'][number]; tag: string }>()
const emit = defineEmits<{ tick: [lineId: number] }>()
const session = useSession()
const fixed = computed(() => ({ lineId: props.line.id, version: props.line.version }))
const empty = computed(() => props.line.mounting === 'empty')
const beside = computed(() =>
  [
    props.line.says,
    props.line.organisation,
    empty.value || props.line.mounting === 'not-known' ? '' : mountings[props.line.mounting].toLowerCase(),
    props.line.dateCode && `date code ${props.line.dateCode}`,
    props.line.unused ? 'not used' : '',
    props.line.note,
  ].filter(Boolean),
)
const name = computed(() => `${props.line.assembly} ${props.line.place}`)
const words = {
  assembly: 'On which assembly',
  place: 'Place',
  count: 'How many',
  marking: 'What is printed on it',
  organisation: 'Words and bits',
  mounting: 'How it sits',
  need: 'Whether it matters',
  label: 'What its label says',
  dateCode: 'Date code',
  unused: 'Not used',
  note: 'Note',
}
const initial = computed(() => {
  const { assembly, place, count, marking, organisation, mounting, need, label, dateCode, unused, note } = props.line
  return { assembly, place, count: String(count) as never, marking, organisation, mounting, need, label, dateCode, unused, note }
})
</script>

<template>
  <ChangeableRow :name="name" :may="session.may('change-inventory')">
    <span class="figure basis-12 font-semibold">{{ line.place }}</span>
    <span v-if="empty"
      >Empty socket,
      <span :class="line.need === 'needed' ? 'text-care' : 'hint'">{{
        line.need === 'not-known' ? 'whether it matters is not known' : socketNeeds[line.need].toLowerCase()
      }}</span></span
    >
    <span v-else
      >{{ line.count > 1 ? `${line.count} × ` : '' }}{{ line.marking }}<q v-if="line.label" class="ml-2">{{ line.label }}</q></span
    >
    <span class="hint">{{ beside.join('; ') }}</span>
    <button v-if="!line.looked && session.may('tick-inventory')" type="button" class="button" @click="emit('tick', line.id)">
      As listed<span class="sr-only"> {{ name }}</span>
    </button>
    <template #form="{ close }">
      <CommandForm
        v-slot="{ values }"
        command="change-inventory"
        :machine="tag"
        :initial="initial"
        :fixed="fixed"
        :words="words"
        :label="`Change ${name}`"
        submit="Save"
        keeps
        @done="close()"
      >
        <div class="grid gap-3 sm:grid-cols-3">
          <TextField name="assembly" label="On which assembly" /><TextField name="place" label="Place" /><TextField name="count" label="How many" numeric />
        </div>
        <ChoiceField name="mounting" label="How it sits" :options="Object.entries(mountings).map(([value, label]) => ({ value, label }))" />
        <ChoiceField
          v-if="values.mounting === 'empty'"
          name="need"
          label="Whether it matters"
          :options="Object.entries(socketNeeds).map(([value, label]) => ({ value, label }))"
        />
        <template v-else>
          <div class="grid gap-3 sm:grid-cols-2">
            <TextField name="marking" label="What is printed on it" /><TextField
              name="organisation"
              label="Words and bits"
              hint="Such as 16K×1, where its number is in no table"
            />
            <TextField name="label" label="What its label says" hint="What a memory holds, and its revision" /><TextField name="dateCode" label="Date code" />
          </div>
          <TickField name="unused" label="It is there, and nothing uses it" />
        </template>
        <TextField name="note" label="Note" />
      </CommandForm>
      <AddPanel v-if="session.may('drop-inventory')" label="Take it off the list">
        <CommandForm command="drop-inventory" :machine="tag" :initial="{ reason: '' }" :fixed="fixed" :label="`Take ${name} off the list`" submit="Take it off">
          <TextField name="reason" label="Why" hint="Such as no such place on this issue" />
        </CommandForm>
      </AddPanel>
    </template>
  </ChangeableRow>
</template>
