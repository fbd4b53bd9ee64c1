<script setup lang="ts">
import { PhSignOut, PhUserPlus } from '~/kernel/signs/icons'
import type { EveningPerson } from '#shared/chapters/plan/index'

/** Who is here tonight and until when; everybody says it for themselves, a coordinator for anybody. */
const props = defineProps<{ here: EveningPerson[]; dealt: boolean }>()
const session = useSession()
const times = useTimes()
const { typed, until, readable } = useStay()
const id = useId()
const { submitCommand: come, busy, failure } = useCommand('be-here')
const { submitCommand: go, failure: kept, because } = useCommand('go-home')
const coordinates = computed(() => session.person?.role === 'coordinator')
const absent = computed(() => session.crew.filter(p => p.role !== 'reader' && !props.here.some(h => h.id === p.id)))
const me = computed(() => absent.value.find(p => p.id === session.person?.id))
/** Once it is dealt, whoever comes later is a press away. */
const asking = ref(false)
const offered = computed(() => (coordinates.value ? absent.value : me.value ? [me.value] : []))
</script>

<template>
  <div class="grid gap-2">
    <ul v-if="here.length" class="flex flex-wrap items-center gap-2" aria-label="Who is here">
      <li v-for="person in here" :key="person.id" class="flex items-center gap-2 border border-line bg-mat pl-3">
        <span
          >{{ person.name }} <span class="figure hint">until {{ times.clock(person.until) }}</span></span
        >
        <button
          v-if="session.may('go-home') && (coordinates || person.id === session.person?.id)"
          type="button"
          class="button button-quiet wide:min-h-8!"
          :aria-label="`${person.name} goes home`"
          @click="go({ personId: person.id })"
        >
          <PhSignOut aria-hidden="true" />
        </button>
      </li>
      <li v-if="dealt && offered.length && session.may('be-here')">
        <button type="button" class="button button-quiet wide:min-h-8!" :aria-expanded="asking" @click="asking = !asking">
          <PhUserPlus aria-hidden="true" />{{ me ? 'I am here too' : 'Somebody else comes' }}
        </button>
      </li>
    </ul>
    <div v-if="session.may('be-here') && offered.length && (!dealt || asking || !here.length)" class="flex flex-wrap items-center gap-x-3 gap-y-2">
      <label :for="id" class="hint">Here until</label
      ><input
        :id="id"
        v-model="typed"
        class="entry w-24! figure"
        autocomplete="off"
        :aria-invalid="!readable"
        :aria-describedby="readable ? undefined : `${id}-trouble`"
      /><span v-if="!readable" :id="`${id}-trouble`" role="alert" class="text-stop">A time, such as 21:30 or 9 pm.</span>
      <div class="flex flex-wrap gap-1" role="group" aria-label="Who else is here">
        <button
          v-for="person in offered"
          :key="person.id"
          type="button"
          class="button wide:min-h-8! font-normal!"
          :disabled="busy || !readable"
          @click="come({ personId: person.id, until: until() })"
        >
          <PhUserPlus aria-hidden="true" />{{ person.id === session.person?.id ? 'I am here' : person.name }}
        </button>
      </div>
    </div>
    <div v-if="failure || kept" role="alert" class="text-stop">
      <p>{{ failure || kept }}</p>
      <ul v-if="because.length" class="ml-5 list-disc">
        <li v-for="one in because" :key="one">{{ one }}</li>
      </ul>
    </div>
  </div>
</template>
