<script setup lang="ts">
import { counted } from '#core/kernel/figure'
import { assemblyRoles, proposedRole } from '#core/condition/assembly-roles'
import { grades, presenceNames } from '#core/condition/grades'
import type { MachineSheet, SheetOf } from '#shared/chapters/index'
import { DateCodeForm } from '../arrive/index'

/** The machine as its parts, the worst first: there or not, in what condition, with what damage; dashed where nobody has looked. */
const props = defineProps<{ sheet: SheetOf<'arrive' | 'look'> }>()
const session = useSession()
type Assembly = MachineSheet['assemblies'][number]
const open = ref<number>()
const opened = computed(() => props.sheet.assemblies.find(a => a.id === open.value))
const isThere = choicesOf(presenceNames)
const gradeChoices = [...grades.map(g => ({ value: g.grade as number | null, label: `${g.grade} ${g.title}` })), { value: null, label: 'No grade' }]
const words = { presence: 'Presence', grade: 'Grade', note: 'Note', role: 'What it is for' }

/** Missing weighs like the worst grade; what nobody has looked at comes after everything that somebody has. */
const rank = ({ presence, grade }: Assembly) => (presence === 'missing' ? 3.5 : presence === 'never' ? -2 : (grade ?? (presence === 'present' ? -0.5 : -1)))
const tiles = computed(() => [...props.sheet.assemblies].sort((a, b) => rank(b) - rank(a)))
const unseen = computed(() => props.sheet.assemblies.filter(a => a.presence === 'not-looked').length)
const damagesOn = ({ id }: Assembly) => [...new Set(props.sheet.damages.filter(d => d.assemblyId === id).map(d => d.kind))]
const codesOn = ({ name }: Assembly) => props.sheet.dateCodes.filter(c => c.part.toLowerCase().startsWith(name.toLowerCase()))
/** The corrosion measured last on a photograph of it. */
function corrodedOn({ id }: Assembly) {
  const shown = props.sheet.photographs.filter(p => p.assemblyId === id).map(p => p.id)
  return props.sheet.corrosions.findLast(c => shown.includes(c.photographId))
}
const inks = ['text-fine', 'text-note', 'text-care', 'text-stop']
const fills = ['bg-fine', 'bg-note', 'bg-care', 'bg-stop']
const verdict = ({ presence, grade }: Assembly) =>
  grade === null ? (presence === 'present' ? 'No grade yet' : presenceNames[presence]) : grades[grade as 0].title
</script>

<template>
  <OneCard
    title="Assemblies"
    :state="unseen ? 'open' : 'done'"
    :result="unseen ? `${unseen} of ${sheet.assemblies.length} not looked at yet` : counted(sheet.assemblies.length, 'assembly', 'assemblies')"
    stays
    :hint="
      unseen ? `Worst first. Not yet looked at: ${unseen} of ${sheet.assemblies.length}.` : 'Worst first; grade them one by one: the outside tells you little.'
    "
  >
    <ul class="grid grid-cols-[repeat(auto-fill,minmax(9.5rem,1fr))] gap-2">
      <li
        v-for="assembly in tiles"
        :key="assembly.id"
        class="relative grid grid-cols-[0.625rem_1fr] border"
        :class="[assembly.presence === 'not-looked' ? 'border-dashed border-edge' : 'border-line bg-card', open === assembly.id && 'outline-3 outline-enamel']"
      >
        <span class="flex items-end bg-mat" aria-hidden="true"
          ><span
            v-if="assembly.grade !== null || assembly.presence === 'missing'"
            class="w-full"
            :class="fills[assembly.grade ?? 3]"
            :style="{ height: `${25 + (assembly.grade ?? 3) * 25}%` }"
        /></span>
        <div class="grid min-w-0 content-start gap-0.5 px-2 py-1.5">
          <h3>
            <!-- The whole tile can be pressed; the button is its name. -->
            <button
              v-if="session.may('grade-assembly')"
              type="button"
              class="text-left after:absolute after:inset-0"
              :aria-expanded="open === assembly.id"
              @click="open = open === assembly.id ? undefined : assembly.id"
            >
              <span class="sr-only">{{ open === assembly.id ? 'Close' : 'Look at' }} </span>{{ assembly.name }}
            </button>
            <template v-else>{{ assembly.name }}</template>
          </h3>
          <p
            class="flex items-center gap-1.5"
            :class="assembly.grade === null ? (assembly.presence === 'missing' ? 'text-stop' : 'text-ink-2') : inks[assembly.grade]"
          >
            <span v-if="assembly.grade !== null" class="figure text-xl leading-none font-bold"><span class="sr-only">Grade </span>{{ assembly.grade }}</span
            >{{ verdict(assembly) }}
          </p>
          <p v-if="damagesOn(assembly).length" class="flex flex-wrap gap-1.5 text-rust">
            <DamageGlyph v-for="kind in damagesOn(assembly)" :key="kind" :kind="kind" />
          </p>
          <p v-if="corrodedOn(assembly)" class="hint figure">
            {{ corrodedOn(assembly)!.areaPct.toFixed(1) }} % ± {{ corrodedOn(assembly)!.errorPct.toFixed(1) }} corroded
          </p>
          <p v-if="assembly.note" class="hint line-clamp-2">{{ assembly.note }}</p>
        </div>
      </li>
    </ul>
    <CommandForm
      v-if="opened"
      :key="opened.id"
      command="grade-assembly"
      :machine="sheet.tag"
      :initial="{ presence: opened.presence, grade: opened.grade, note: opened.note, role: opened.role ?? proposedRole(opened.name) }"
      :fixed="{ assemblyId: opened.id, version: opened.version }"
      :words="words"
      :label="`Condition of ${opened.name}`"
      submit="Save condition"
      keeps
      class="bg-mat p-3"
      @done="open = undefined"
    >
      <template #default="{ values }">
        <h3>{{ opened.name }}</h3>
        <ChoiceField name="presence" label="Is it there?" :options="isThere" />
        <ChoiceField name="grade" label="Condition" :options="gradeChoices" :hint="grades.find(g => g.grade === values.grade)?.means" />
        <ChoiceField
          name="role"
          label="What it is for"
          :options="titlesOf(assemblyRoles)"
          :hint="opened.role ? undefined : `Taken from the name; change it if that is wrong`"
        />
        <TextField name="note" label="Note" :lines="2" />
      </template>
    </CommandForm>
    <section v-if="opened" :key="`codes-${opened.id}`" :aria-label="`Date codes of ${opened.name}`" class="grid gap-1 bg-mat p-3">
      <p v-for="code in codesOn(opened)" :key="code.id" class="flex flex-wrap items-baseline gap-x-3">
        <span class="figure">{{ code.code }}</span><span>{{ code.says }}</span
        ><span class="hint">{{ code.part }}</span>
      </p>
      <AddPanel v-if="session.may('read-date-code')" label="Read a date code"><DateCodeForm :sheet="sheet" :assembly="opened.name" /></AddPanel>
    </section>
    <AddPanel v-if="session.may('add-assembly')" v-slot="{ close }" label="Add an assembly"
      ><CommandForm command="add-assembly" :machine="sheet.tag" :initial="{ name: '' }" label="Add an assembly" submit="Add" @done="close()"
        ><TextField name="name" label="Assembly" /></CommandForm
    ></AddPanel>
  </OneCard>
</template>
