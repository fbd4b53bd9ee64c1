<script setup lang="ts">
import { type CautionName, cautions } from '#core/safety/cautions'
import { skills, type Skill } from '#core/kernel/skills'

/** The usual cautions in one place, as they stand beside the steps. */
definePageMeta({ layout: false })
useHead({ title: 'Cautions' })
const session = useSession()
const all = computed(() =>
  (Object.keys(cautions) as CautionName[]).map(name => {
    const caution: { title: string; harm: string; measures: string; who: string; rules: string; skill?: Skill } = cautions[name]
    return { name, ...caution }
  }),
)
</script>

<template>
  <NuxtLayout :name="session.person ? 'default' : 'visitor'"
    ><div class="grid max-w-5xl gap-4">
      <header>
        <h1>Cautions</h1>
        <p class="text-ink-2">
          What can hurt, how, and what is usually done about it. They stand beside the steps they belong to. Your local codes and licensed or trained people
          decide.
        </p>
      </header>
      <ul class="grid gap-4 md:grid-cols-2">
        <li v-for="caution in all" :key="caution.name" class="card grid content-start gap-2">
          <h2>{{ caution.title }}</h2>
          <dl class="grid grid-cols-[5.500rem_1fr] gap-x-3 gap-y-1 text-[0.9375rem]">
            <dt class="text-ink-2">Harm</dt>
            <dd class="font-semibold">{{ caution.harm }}</dd>
            <dt class="text-ink-2">Measures</dt>
            <dd>{{ caution.measures }}</dd>
            <dt class="text-ink-2">Who</dt>
            <dd>
              {{ caution.who }}
              <template v-if="caution.skill"
                ><span class="hint">Skill: {{ skills[caution.skill].title.toLowerCase() }}. <WhoCould v-if="session.person" :skill="caution.skill" /></span
              ></template>
            </dd>
            <dt class="text-ink-2">Rules</dt>
            <dd>{{ caution.rules }}</dd>
          </dl>
        </li>
      </ul>
    </div></NuxtLayout
  >
</template>
