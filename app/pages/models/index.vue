<script setup lang="ts">
import { PhPlus } from '~/kernel/signs/icons'
import { shownRail } from '#core/power/rails'

useHead({ title: 'Models' })
const session = useSession()
const { known, spelledOtherwise, fetched, trouble } = useModels()
const adding = ref(false)
const done = (result: unknown) => navigateTo(`/models/${(result as { modelId: number }).modelId}`)
</script>

<template>
  <div class="grid max-w-6xl gap-4">
    <header class="flex flex-wrap items-center justify-between gap-2">
      <div>
        <h1>Models</h1>
        <p class="text-ink-2">What is known of each, and what those kept here have had.</p>
      </div>
      <button v-if="session.may('add-model')" type="button" class="button button-main" :aria-expanded="adding" @click="adding = !adding">
        <PhPlus aria-hidden="true" />Add a model
      </button>
    </header>
    <div v-if="adding" class="card"><ModelForm :known="known" @done="done" /></div>
    <p v-if="trouble" role="alert" class="text-stop">{{ trouble }}</p>
    <p v-else-if="!fetched" role="status" class="hint">Fetching…</p>
    <EmptyPlace
      v-else-if="!known.length"
      says="No model yet. Add one; the next machine of it brings its parts, rails and usual kit along when it is booked in."
    />
    <section v-if="spelledOtherwise.length" class="card grid gap-1" aria-label="Probably the same model">
      <h2>Probably the same model</h2>
      <p v-for="one in spelledOtherwise" :key="one.tag">
        <TagTape :tag="one.tag" small class="align-middle" /> is written “{{ one.name }}”; there is a {{ one.model }}.
        <NuxtLink :to="`/m/${one.tag}?stage=arrive`">Correct what it is</NuxtLink>
      </p>
    </section>
    <ul class="grid gap-4 sm:grid-cols-2 xl:grid-cols-3">
      <li v-for="model in known" :key="model.id">
        <NuxtLink :to="`/models/${model.id}`" class="card grid h-full content-start gap-1.5 text-ink no-underline hover:border-enamel">
          <span class="hint"
            >{{ model.maker }}<template v-if="yearsMade(model)">, {{ yearsMade(model) }}</template></span
          >
          <span class="font-display text-xl font-semibold underline">{{ model.name }}</span>
          <span>{{ model.about }}</span>
          <span class="hint">{{ model.here === 1 ? '1 here' : `${model.here} here` }} · {{ model.rails.map(r => shownRail(r.name)).join(', ') }}</span>
          <span v-if="model.leaked" class="font-semibold text-stop">A battery has leaked</span>
        </NuxtLink>
      </li>
    </ul>
  </div>
</template>
