<script setup lang="ts">
import { PhPencilSimple } from '~/kernel/signs/icons'
import { shownRail, volts } from '#core/power/rails'
import { labelWords } from '#core/power/supply-match'

/** One model: what is known of it, and the machines here that are one. */
const route = useRoute()
const session = useSession()
const { known } = useModels()
const { found: model, trouble } = useModelPage(() => Number(route.params.id))
useHead({ title: () => model.value?.name ?? 'Model' })
const editing = ref(false)
const lists = computed(() =>
  model.value
    ? [
        { title: 'Known faults', lines: model.value.knownFaults, none: 'None noted. What one machine had warns the keepers of the next.' },
        { title: 'What wears out', lines: model.value.wearParts, none: 'Not noted.' },
        { title: 'Memory it was sold with', lines: model.value.memorySizes, none: 'Not noted. What is counted in a machine is held against it.' },
        { title: 'Sockets that matter', lines: model.value.sockets, none: 'Not noted.' },
        { title: 'Board issues and variants', lines: model.value.variants, none: 'None noted.' },
        { title: 'Usual kit', lines: model.value.usualKit, none: 'Not noted. What is missing from a machine is counted against it.' },
        { title: 'Assemblies', lines: model.value.assemblies, none: 'Not noted. Machines of it are looked over by the common list.' },
      ]
    : [],
)
</script>

<template>
  <p v-if="trouble" role="alert" class="text-stop">{{ trouble }} <NuxtLink to="/models">Back to the models.</NuxtLink></p>
  <p v-else-if="!model" role="status" class="hint">Fetching…</p>
  <div v-else class="grid max-w-6xl gap-4">
    <header class="flex flex-wrap items-start justify-between gap-2">
      <div>
        <p><NuxtLink to="/models">Models</NuxtLink></p>
        <h1>{{ model.name }}</h1>
        <p class="text-ink-2">
          {{ [model.maker, yearsMade(model) && `made ${yearsMade(model)}`, model.weightKg !== null && `${model.weightKg} kg`].filter(Boolean).join(', ') }}
        </p>
      </div>
      <button v-if="session.may('change-model')" type="button" class="button" :aria-expanded="editing" @click="editing = !editing">
        <PhPencilSimple aria-hidden="true" />{{ editing ? 'Leave it' : 'Change' }}
      </button>
    </header>
    <div v-if="editing" class="card"><ModelForm :model="model" :known="known" @done="editing = false" /></div>
    <template v-else>
      <p v-if="model.about">{{ model.about }}</p>
      <OneCard title="In this collection">
        <EmptyPlace v-if="!model.machines.length" says="None here yet." />
        <ul v-else class="grid divide-y divide-line">
          <li v-for="machine in model.machines" :key="machine.tag" class="grid items-center gap-x-4 gap-y-1 py-2 md:grid-cols-[3.5rem_9rem_12rem_11rem_1fr]">
            <MachineFace v-if="machine.portrait" :hash="machine.portrait" class="h-9 w-12" /><span v-else class="max-md:hidden" /><TagTape
              :tag="machine.tag"
              small
              class="justify-self-start"
            /><NuxtLink :to="`/m/${machine.tag}`" class="font-semibold">{{ machine.nickname || model.name }}</NuxtLink
            ><GateSign :verdict="machine.gate" small /><span class="text-sm">{{
              [
                machine.variant,
                machine.batteryLeaked && 'battery leaked',
                ...machine.faults.map(f => `${f.symptom}${f.open ? '' : ' (closed)'}`),
                machine.openingSteps && `opened in ${machine.openingSteps} steps`,
              ]
                .filter(Boolean)
                .join('; ') || 'Nothing noted yet'
            }}</span>
          </li>
        </ul>
        <p v-if="model.here > model.machines.length" class="hint">
          {{ model.here - model.machines.length }} more; find them in the <NuxtLink :to="{ path: '/store', query: { find: model.name } }">store</NuxtLink>.
        </p>
      </OneCard>
      <BoardsCard :model-id="Number(route.params.id)" />
      <FaultsOfModelCard :model-id="Number(route.params.id)" />
      <BulletinsCard :model-id="Number(route.params.id)" />
      <BenchMapsCard :model-id="Number(route.params.id)" />
      <TestLinesCard :model-id="Number(route.params.id)" :assemblies="model.assemblies" />
      <div class="grid items-start gap-4 md:grid-cols-2">
        <OneCard v-for="list in lists" :key="list.title" :title="list.title"
          ><p v-if="!list.lines.length" class="hint">{{ list.none }}</p>
          <ul v-else class="ml-5 list-disc">
            <li v-for="line in list.lines" :key="line">{{ line }}</li>
          </ul></OneCard
        >
        <OneCard title="Rails"
          ><p v-if="!model.rails.length" class="hint">Not noted.</p>
          <ul v-else class="grid gap-1">
            <li v-for="rail in model.rails" :key="rail.name">
              <span class="reading">{{ shownRail(rail.name) }}</span>{{ ' ' }}
              <span class="hint"
                >{{ volts(rail.nominalV) }} nominal{{ rail.tolerancePct === undefined ? '' : `, ± ${rail.tolerancePct} %`
                }}{{ rail.point ? `, at ${rail.point}` : '' }}</span
              >
            </li>
          </ul>
          <p v-if="model.inlet">Runs from an external supply: {{ labelWords(model.inlet) }}.</p></OneCard
        >
      </div>
    </template>
  </div>
</template>
