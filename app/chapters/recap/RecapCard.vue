<script setup lang="ts">
import { counted } from '#core/kernel/figure'
import { capacitorSchoolNames, capacitorSchools } from '#core/parts/recap/schools'
import type { SheetOf } from '#shared/chapters/index'

/** The capacitors of a machine by their places: what its school does about each, measured, taken out and changed one by one. */
const props = defineProps<{ sheet: SheetOf<'recap'> }>()
const session = useSession()
type One = (typeof props.sheet.recap.capacitors)[number]
const all = computed(() => props.sheet.recap.capacitors)
const assemblies = computed(() => [...new Set(all.value.map(one => one.assembly))])
/** What is at hand first: what is out, then what is to be changed, then by its place. */
const rank = (one: One) => (one.state === 'out' ? 0 : one.state === 'in' && one.due === 'now' ? 1 : one.state === 'in' ? 2 : 3)
const of = (assembly: string) =>
  all.value.filter(one => one.assembly === assembly).sort((a, b) => rank(a) - rank(b) || a.place.localeCompare(b.place, 'en', { numeric: true }))
const out = computed(() => all.value.filter(one => one.state === 'out').length)
const now = computed(() => all.value.filter(one => one.state === 'in' && one.due === 'now').length)
const later = computed(() => all.value.filter(one => one.state === 'in' && one.due === 'after-start').length)
const result = computed(() =>
  all.value.length
    ? [
        counted(all.value.length, 'capacitor'),
        ...(out.value ? [`${out.value} out`] : []),
        ...(now.value ? [`${now.value} to change`] : []),
        ...(later.value ? [`${later.value} after a start`] : []),
      ].join(', ')
    : 'None listed',
)
const { submitCommand: takeOver, busy, failure } = useCommand('take-over-capacitors', () => props.sheet.tag)
const { submitCommand: choose, busy: choosing, failure: notChosen } = useCommand('choose-capacitor-school', () => props.sheet.tag)
const others = computed(() => capacitorSchoolNames.filter(name => name !== props.sheet.recap.school))
const school = computed(() => capacitorSchools[props.sheet.recap.school])
</script>

<template>
  <OneCard
    title="Capacitors"
    :state="out || now || later ? 'open' : all.length ? 'done' : 'none'"
    :later="!out && !now"
    :result="result"
    hint="Each by its place: noted before it is out, and its polarity asked again before a new one is soldered in."
  >
    <p>
      <strong>{{ school.title }}:</strong> {{ school.means }}
      <span class="hint">{{ sheet.recap.ownSchool ? 'For this machine.' : 'The practice of the house, under Settings.' }}</span>
    </p>
    <details v-if="session.may('choose-capacitor-school')">
      <summary>Another school for this machine</summary>
      <ul class="grid gap-1 pt-1">
        <li v-for="other in others" :key="other">
          <button type="button" class="text-left underline max-wide:min-h-11" :disabled="choosing" @click="choose({ school: other })">
            {{ capacitorSchools[other].title }}</button><span class="hint ml-2">{{ capacitorSchools[other].means }}</span>
        </li>
        <li v-if="sheet.recap.ownSchool">
          <button type="button" class="underline max-wide:min-h-11" :disabled="choosing" @click="choose({ school: null })">
            Go back to the school of the house
          </button>
        </li>
      </ul>
      <p v-if="notChosen" role="alert" class="text-stop">{{ notChosen }}</p>
    </details>
    <CautionNote about="solder" />
    <CautionNote about="stored-charge" />
    <EmptyPlace v-if="!all.length" says="None listed yet. Read them off the board, a line for what is alike.">
      <KnownCapacitors :sheet="sheet" />
      <p v-for="sister in sheet.recap.from" :key="sister.tag" class="flex flex-wrap items-center gap-2">
        <span
          >{{ sister.nickname || sister.tag }}, of the same model{{ sister.variant && `, ${sister.variant}` }}, has a list:
          {{ counted(sister.capacitors, 'capacitor') }}.</span
        ><button v-if="session.may('take-over-capacitors')" type="button" class="button" :disabled="busy" @click="takeOver({ fromTag: sister.tag })">
          Take over its list
        </button>
      </p>
      <p v-if="failure" role="alert" class="text-stop">{{ failure }}</p>
    </EmptyPlace>
    <p v-else class="flex flex-wrap items-baseline gap-x-4 gap-y-1">
      <span>{{ result }}.</span>
      <NuxtLink :to="`/m/${sheet.tag}/capacitors`" class="button button-quiet">Print the list</NuxtLink>
      <NuxtLink :to="{ path: '/parts', query: { side: 'order' } }" class="button button-quiet">Order for several machines</NuxtLink>
    </p>
    <KnownCapacitors v-if="all.length" :sheet="sheet" />
    <section v-for="assembly in assemblies" :key="assembly" class="grid gap-1" :aria-label="`Capacitors of ${assembly}`">
      <h3>{{ assembly }}</h3>
      <ul class="grid divide-y divide-line border-y border-line">
        <OneCapacitor v-for="one in of(assembly)" :key="one.id" :one="one" :tag="sheet.tag" :photographs="sheet.recap.photographs" />
      </ul>
    </section>
    <AddPanel v-if="session.may('list-capacitors')" v-slot="{ close }" label="List capacitors">
      <CommandForm
        command="list-capacitors"
        :machine="sheet.tag"
        :initial="{ assembly: assemblies[0] ?? '', typed: '' }"
        label="List capacitors"
        submit="Save the list"
        @done="close()"
      >
        <TextField name="assembly" label="On which assembly" hint="Such as Supply, or Main board" />
        <PlacesOffBoard :tag="sheet.tag" :listed="all" />
        <TextField
          name="typed"
          label="The list"
          :lines="6"
          hint="A line for what is alike: C12 470u 25V radial 10x20, or C3, C4-C6: 10u/16V axial glued hot. Across the line: C1 100n 250VAC X2"
        />
        <ListPreview />
      </CommandForm>
    </AddPanel>
  </OneCard>
</template>
