<script setup lang="ts">
import { grades, presenceNames } from '#core/condition/grades'
import type { MachineSheet } from '#shared/contracts/views'

/** The machine part by part: there or not, in what condition. */
defineProps<{ sheet: MachineSheet }>()
const session = useSession()
const open = ref<number>()
const gradeInk = ['text-fine', 'text-note', 'text-care', 'text-stop']
const isThere = [{ value: 'present' as const, label: presenceNames.present }, { value: 'missing' as const, label: presenceNames.missing }, { value: 'not-looked' as const, label: presenceNames['not-looked'] }]
const gradeChoices = [...grades.map(g => ({ value: g.grade as number | null, label: `${g.grade} ${g.title}` })), { value: null, label: 'No grade' }]
const words = { presence: 'Presence', grade: 'Grade', note: 'Note' }
</script>

<template>
  <OneCard title="Assemblies" hint="Grade them one by one; the outside says little.">
    <ul class="grid divide-y divide-line border-y border-line">
      <li v-for="assembly in sheet.assemblies" :key="assembly.id" class="grid gap-2 py-2">
        <div class="flex flex-wrap items-center gap-x-4 gap-y-1">
          <h3 class="w-44">{{ assembly.name }}</h3>
          <span v-if="assembly.grade !== null" class="font-semibold" :class="gradeInk[assembly.grade]">Grade {{ assembly.grade }}, {{ grades[assembly.grade]?.title.toLowerCase() }}</span>
          <span v-else class="text-ink-2">{{ assembly.presence === 'present' ? 'Present, no grade yet' : presenceNames[assembly.presence] }}</span>
          <span class="hint min-w-0 flex-1">{{ assembly.note }}</span>
          <button v-if="session.may('grade-assembly')" type="button" class="button button-quiet" :aria-expanded="open === assembly.id" @click="open = open === assembly.id ? undefined : assembly.id">{{ open === assembly.id ? 'Close' : 'Look at' }} <span class="sr-only">{{ assembly.name }}</span></button>
        </div>
        <CommandForm v-if="open === assembly.id" command="grade-assembly" :machine="sheet.tag" :initial="{ presence: assembly.presence, grade: assembly.grade, note: assembly.note }" :fixed="{ assemblyId: assembly.id, version: assembly.version }" :words="words" :label="`Condition of ${assembly.name}`" submit="Keep what was found" keeps class="bg-mat p-3" @done="open = undefined">
          <template #default="{ values }">
            <ChoiceField name="presence" label="Is it there?" :options="isThere" />
            <ChoiceField name="grade" label="Condition" :options="gradeChoices" :hint="grades.find(g => g.grade === values.grade)?.means" />
            <TextField name="note" label="Note" :lines="2" />
          </template>
        </CommandForm>
      </li>
    </ul>
    <AddPanel v-if="session.may('add-assembly')" v-slot="{ close }" label="Add an assembly"><CommandForm command="add-assembly" :machine="sheet.tag" :initial="{ name: '' }" label="Add an assembly" submit="Add it" @done="close()"><TextField name="name" label="Assembly" /></CommandForm></AddPanel>
  </OneCard>
</template>
