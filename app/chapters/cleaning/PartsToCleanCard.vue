<script setup lang="ts">
import { materials, soils, workings } from '#core/cleaning/words'
import type { CommandRequest, SheetOf } from '#shared/chapters/index'

/** What its parts are made of, what is on them, and whether they work: all the plan rests on. */
const props = defineProps<{ sheet: SheetOf<'cleaning'> }>()
const session = useSession()
const open = ref<number | string>()
const { submitCommand: drop } = useCommand('drop-cleaning-part', () => props.sheet.tag)
const { submitCommand: takeOver, busy: taking, failure } = useCommand('take-over-parts', () => props.sheet.tag)
const cleaning = computed(() => props.sheet.cleaning)
type Part = SheetOf<'cleaning'>['cleaning']['parts'][number]
const rows = computed(() => [
  ...cleaning.value.parts.map(part => ({ key: part.id, part, said: true })),
  ...cleaning.value.guesses.map(guess => ({
    key: guess.name,
    part: { ...guess, id: 0, version: 0, works: 'not-known' as const, socketed: false },
    said: false,
  })),
])
const initialOf = ({ name, materials: made, soils: soiled, works, socketed }: Part) =>
  ({ name, materials: made, soils: soiled, works, socketed }) as Partial<CommandRequest<'say-cleaning-part'>>
const blank: Partial<CommandRequest<'say-cleaning-part'>> = { name: '', materials: [], soils: ['dust'], works: 'not-known', socketed: false }
const list = <K extends string>(names: Record<K, string>, keys: readonly K[], none: string) => keys.map(k => names[k].toLowerCase()).join(', ') || none
const unplanned = computed(() => !cleaning.value.parts.length && props.sheet.cleanings.length > 0)
const state = computed(() => (unplanned.value ? 'none' : cleaning.value.guesses.length ? 'open' : cleaning.value.parts.length ? 'done' : 'none'))
</script>

<template>
  <OneCard
    title="Parts and what is on them"
    short="Parts"
    hint="Check before you enter it: the wrong bath ruins what it should save."
    :state="state"
    :later="sheet.cleaning.steps.length > 0"
    :result="
      [cleaning.parts.length && `${cleaning.parts.length} said`, cleaning.guesses.length && `${cleaning.guesses.length} only guessed from their names`]
        .filter(Boolean)
        .join(', ')
    "
  >
    <p v-if="cleaning.sisters.length && session.may('take-over-parts')" class="flex flex-wrap items-baseline gap-x-3">
      <span class="hint">Sisters of which it is known:</span>
      <button v-for="sister in cleaning.sisters" :key="sister.tag" type="button" class="underline" :disabled="taking" @click="takeOver({ from: sister.tag })">
        take over {{ sister.parts }} from {{ sister.name || sister.tag }}
      </button>
      <span v-if="failure" role="alert" class="text-stop">{{ failure }}</span>
    </p>
    <ul v-if="rows.length" class="grid divide-y divide-line border-y border-line">
      <li v-for="{ key, part, said } in rows" :key="key" class="grid gap-1 py-1">
        <div class="flex flex-wrap items-baseline gap-x-3">
          <span class="font-semibold">{{ part.name }}</span>
          <span class="min-w-0 flex-1 text-[0.9375rem]"
            ><span v-if="!said" class="text-care">guessed: </span>{{ list(materials, part.materials, 'nobody knows of what') }}
            <span class="hint">on it {{ list(soils, part.soils, 'nothing') }}; {{ workings[part.works].toLowerCase() }}</span></span
          >
          <button
            v-if="session.may('say-cleaning-part')"
            type="button"
            class="text-sm underline max-wide:min-h-11"
            :aria-expanded="open === key"
            @click="open = open === key ? undefined : key"
          >
            {{ said ? 'Change' : 'Say what it is' }}<span class="sr-only"> {{ part.name }}</span>
          </button>
          <button v-if="said && session.may('drop-cleaning-part')" type="button" class="text-sm underline max-wide:min-h-11" @click="drop({ partId: part.id })">
            Leave out<span class="sr-only"> {{ part.name }}</span>
          </button>
        </div>
        <PartForm
          v-if="open === key"
          :tag="sheet.tag"
          :part-id="said ? part.id : null"
          :version="part.version"
          :initial="initialOf(part)"
          @done="open = undefined"
        />
      </li>
    </ul>
    <AddPanel v-if="session.may('say-cleaning-part')" v-slot="{ close }" label="Another part">
      <PartForm :tag="sheet.tag" :part-id="null" :version="0" :initial="blank" @done="close()" />
    </AddPanel>
  </OneCard>
</template>
