<script setup lang="ts">
import { type BoardSchool, type PlasticSchool, boardSchools, plasticSchools } from '#core/cleaning/words'
import { type Replacement, replacementNames, replacements } from '#core/power/battery'
import { counted } from '#core/kernel/figure'
import { type CapacitorSchool, capacitorSchools } from '#core/parts/recap/schools'
import { type Skill, skillNames, skills } from '#core/kernel/skills'
import { schoolNames, schools } from '#core/safety/power-facts'
import type { PersonView } from '#shared/chapters/people/index'
import type { Practice } from '#shared/chapters/practice/index'
import { roleNames, roles } from '#shared/kernel/roles'

useHead({ title: 'Settings' })
const session = useSession()
const { found: settings, trouble } = useCollection<{ practice: Practice; people: PersonView[] }>(['settings'], '/api/settings')
const me = computed(() => settings.value?.people.find(p => p.id === session.person?.id))
const open = ref<number>()
const roleChoices = roles.map(value => ({ value, label: roleNames[value] }))
const skillChoices = skillNames.map(value => ({ value, label: `${skills[value].title}: ${skills[value].means.toLowerCase().replace(/\.$/, '')}` }))
const practice = computed(() => {
  const {
    name = '',
    school,
    numbering = '',
    zone = '',
    currency = '',
    batterySchool,
    boardSchool,
    plasticSchool,
    capacitorSchool,
  } = settings.value?.practice ?? {}
  return { name, school, numbering, zone, currency, batterySchool, boardSchool, plasticSchool, capacitorSchool }
})
const practiceWords = {
  name: 'Name of the collection',
  school: 'School',
  numbering: 'Numbering',
  zone: 'Time zone',
  currency: 'Currency',
  batterySchool: 'Lost battery',
  boardSchool: 'Fouled boards',
  plasticSchool: 'Yellowed plastic',
  capacitorSchool: 'Old capacitors',
}
</script>

<template>
  <div class="grid max-w-5xl gap-4">
    <header>
      <h1>Settings</h1>
      <p class="text-ink-2">How this collection works, and who is in it.</p>
    </header>
    <p v-if="trouble" role="alert" class="text-stop">{{ trouble }}</p>
    <p v-if="!settings && !trouble" role="status" class="hint">Fetching…</p>
    <div v-if="settings" class="grid items-start gap-4 lg:grid-cols-2">
      <div class="grid gap-4">
        <OneCard title="Practice" beside :result="`${settings.practice.name}: ${schoolNames[settings.practice.school].title.toLowerCase()}`">
          <CommandForm
            v-if="session.may('set-practice')"
            command="set-practice"
            :initial="practice"
            :fixed="{ version: settings.practice.version }"
            :words="practiceWords"
            label="Practice"
            submit="Save practice"
            keeps
            @done="session.load()"
          >
            <template #default="{ values }">
              <TextField name="name" label="Name of the collection" />
              <ChoiceField
                name="school"
                label="First power-up"
                :options="schools.map(value => ({ value, label: schoolNames[value].title }))"
                :hint="schoolNames[values.school as 'caps-first']?.means"
              />
              <ChoiceField
                name="batterySchool"
                label="In the place of a lost battery"
                :options="replacementNames.map(value => ({ value, label: replacements[value].title }))"
                :hint="replacements[values.batterySchool as Replacement]?.means"
              />
              <ChoiceField
                name="boardSchool"
                label="Fouled boards"
                :options="titlesOf(boardSchools)"
                :hint="boardSchools[values.boardSchool as BoardSchool]?.means"
              />
              <ChoiceField
                name="plasticSchool"
                label="Yellowed plastic"
                :options="titlesOf(plasticSchools)"
                :hint="plasticSchools[values.plasticSchool as PlasticSchool]?.means"
              />
              <ChoiceField
                name="capacitorSchool"
                label="Old capacitors"
                :options="titlesOf(capacitorSchools)"
                :hint="capacitorSchools[values.capacitorSchool as CapacitorSchool]?.means"
              />
              <TextField name="numbering" label="Numbering" hint="{year} for the year, {n:3} for a number of three digits" />
              <TextField name="zone" label="Time zone" hint="Such as Europe/Lisbon" />
              <TextField name="currency" label="Currency" hint="Three letters, such as EUR" />
            </template>
          </CommandForm>
          <dl v-else class="grid gap-2">
            <div>
              <dt class="hint">First power-up</dt>
              <dd>{{ schoolNames[settings.practice.school].title }}. {{ schoolNames[settings.practice.school].means }}</dd>
            </div>
            <div>
              <dt class="hint">In the place of a lost battery</dt>
              <dd>{{ replacements[settings.practice.batterySchool].title }}. {{ replacements[settings.practice.batterySchool].means }}</dd>
            </div>
            <div>
              <dt class="hint">Fouled boards; yellowed plastic</dt>
              <dd>{{ boardSchools[settings.practice.boardSchool].title }}; {{ plasticSchools[settings.practice.plasticSchool].title.toLowerCase() }}</dd>
            </div>
            <div>
              <dt class="hint">Old capacitors</dt>
              <dd>{{ capacitorSchools[settings.practice.capacitorSchool].title }}. {{ capacitorSchools[settings.practice.capacitorSchool].means }}</dd>
            </div>
            <div>
              <dt class="hint">Numbering</dt>
              <dd class="figure">{{ settings.practice.numbering }}</dd>
            </div>
            <div>
              <dt class="hint">Time zone</dt>
              <dd>{{ settings.practice.zone }}</dd>
            </div>
            <div>
              <dt class="hint">Currency</dt>
              <dd>{{ settings.practice.currency }}</dd>
            </div>
          </dl>
        </OneCard>
        <MeterCard :practice="settings.practice" />
        <PrinterCard />
        <BackupsCard v-if="session.may('set-practice')" />
      </div>
      <div class="grid gap-4">
        <YouCard v-if="me" :me="me" /><SessionsCard />
        <OneCard title="People" beside :result="counted(settings.people.length, 'person', 'people')">
          <ul class="grid divide-y divide-line">
            <li v-for="person in settings.people" :key="person.id" class="grid gap-2 py-2">
              <div class="flex flex-wrap items-baseline gap-x-3">
                <span class="font-semibold">{{ person.name }}</span><span class="figure hint">{{ person.signInName }}</span
                ><span class="ml-auto" :class="!person.active && 'text-ink-2'">{{ person.active ? roleNames[person.role] : 'Not active' }}</span
                ><button
                  v-if="session.may('change-person')"
                  type="button"
                  class="button button-quiet"
                  :aria-expanded="open === person.id"
                  @click="open = open === person.id ? undefined : person.id"
                >
                  {{ open === person.id ? 'Close' : 'Change' }} <span class="sr-only">{{ person.name }}</span>
                </button>
              </div>
              <CommandForm
                v-if="open === person.id"
                command="change-person"
                :initial="{ name: person.name, role: person.role, active: person.active }"
                :fixed="{ personId: person.id, version: person.version }"
                :words="{ name: 'Name', role: 'Role', active: 'Active' }"
                :label="`Change ${person.name}`"
                submit="Save"
                keeps
                @done="open = undefined"
                ><TextField name="name" label="Name" /><ChoiceField name="role" label="Role" :options="roleChoices" /><TickField
                  name="active"
                  label="May sign in"
              /></CommandForm>
              <p v-if="person.skills.length" class="hint">May: {{ person.skills.map((s: Skill) => skills[s].title.toLowerCase()).join(', ') }}</p>
              <CommandForm
                v-if="open === person.id && session.may('grant-skills')"
                command="grant-skills"
                :initial="{ skills: [...person.skills] }"
                :fixed="{ personId: person.id, version: person.version }"
                :words="{ skills: 'Skills' }"
                :label="`Skills of ${person.name}`"
                submit="Grant these skills"
                keeps
                @done="session.load()"
                ><TicksField
                  name="skills"
                  label="Skills"
                  :options="skillChoices"
                  hint="Who may do what can hurt. Anybody may report a danger; clearing one takes the skill."
              /></CommandForm>
              <AddPanel v-if="open === person.id && session.may('set-password')" v-slot="{ close }" label="Set a new password"
                ><CommandForm
                  command="set-password"
                  :initial="{ password: '' }"
                  :fixed="{ personId: person.id }"
                  label="Set a new password"
                  submit="Set it"
                  @done="close()"
                  ><TextField
                    name="password"
                    label="New password"
                    type="password"
                    hint="At least ten characters. Ends every session opened with the old one."
                    autocomplete="new-password" /></CommandForm
              ></AddPanel>
              <PersonalData v-if="open === person.id" :person="person" :own="person.id === me?.id" />
            </li>
          </ul>
          <AddPanel v-if="session.may('add-person')" v-slot="{ close }" label="Add a person"
            ><CommandForm
              command="add-person"
              :initial="{ name: '', signInName: '', password: '', role: undefined }"
              label="Add a person"
              submit="Add"
              @done="close()"
              ><TextField name="name" label="Name" /><TextField name="signInName" label="Sign-in name" hint="Small letters" /><TextField
                name="password"
                label="First password"
                type="password"
                hint="At least ten characters"
                autocomplete="new-password" /><ChoiceField name="role" label="Role" :options="roleChoices" /></CommandForm
          ></AddPanel>
        </OneCard>
      </div>
    </div>
  </div>
</template>
