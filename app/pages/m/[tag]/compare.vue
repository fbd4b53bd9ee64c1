<script setup lang="ts">
import { photographUrl } from '#shared/chapters/look/index'
import type { PhotographView } from '#shared/chapters/look/index'

/** Two photographs of one machine: side by side, or one over the other with a divider that slides. */
const route = useRoute()
const times = useTimes()
const tag = computed(() => String(route.params.tag))
const { sheet, trouble } = useSheet(tag, ['look', 'home'])
useHead({ title: () => `Compare ${tag.value}` })

const pick = (name: 'a' | 'b') => computed(() => sheet.value?.photographs.find(p => p.id === Number(route.query[name])))
const [a, b] = [pick('a'), pick('b')]
const over = ref(false)
const session = useSession()
const { submitCommand: show, busy, failure } = useCommand('show-before-after', () => tag.value)
const shown = computed(() => sheet.value?.passport.beforeId === a.value?.id && sheet.value?.passport.afterId === b.value?.id)
const whenTaken = (p: PhotographView) => (p.takenAt ? times.exact(`${p.takenAt}Z`) : `added ${times.day(p.at)}`)
const choose = (name: 'a' | 'b', id: string) => navigateTo({ query: { ...route.query, [name]: id } }, { replace: true })
</script>

<template>
  <p v-if="trouble" role="alert" class="card">{{ trouble }}</p>
  <p v-else-if="!sheet" role="status" class="hint">Fetching the sheet…</p>
  <div v-else class="grid gap-3">
    <header class="flex flex-wrap items-end justify-between gap-3">
      <div>
        <p>
          <NuxtLink :to="`/m/${tag}?stage=look`">{{ sheet.identity.nickname || sheet.identity.name }}</NuxtLink>{{ ' ' }}
          <TagTape :tag="tag" small class="align-middle" />
        </p>
        <h1>Compare two photographs</h1>
      </div>
      <div role="group" aria-label="How to compare" class="flex pl-px">
        <button type="button" class="choice" :aria-pressed="!over" :class="!over && 'bg-enamel! text-on-enamel!'" @click="over = false">Side by side</button
        ><button type="button" class="choice" :aria-pressed="over" :class="over && 'bg-enamel! text-on-enamel!'" @click="over = true">Sliding divider</button>
      </div>
    </header>
    <div class="grid gap-3 sm:grid-cols-2">
      <div v-for="side in ['a', 'b'] as const" :key="side" class="grid gap-1">
        <label :for="`photo-${side}`" class="font-semibold">{{ side === 'a' ? 'Left' : 'Right' }}</label>
        <select
          :id="`photo-${side}`"
          class="entry"
          :value="(side === 'a' ? a : b)?.id ?? ''"
          @change="e => choose(side, (e.target as HTMLSelectElement).value)"
        >
          <option value="" disabled>Choose a photograph</option>
          <option v-for="p in sheet.photographs" :key="p.id" :value="p.id">
            {{ [p.assembly, p.caption || p.name, whenTaken(p)].filter(Boolean).join(', ') }}
          </option>
        </select>
      </div>
    </div>
    <div v-if="a && b && a.id !== b.id && session.may('show-before-after')" class="flex flex-wrap items-center gap-3">
      <button type="button" class="button" :disabled="busy" @click="show(shown ? { beforeId: null, afterId: null } : { beforeId: a.id, afterId: b.id })">
        {{ shown ? 'Take them off the passport' : 'Show these on the passport, before and after' }}
      </button>
      <span class="hint">{{
        sheet.passport.on ? 'Its passport is open to anybody who has the link.' : 'Its passport is switched off; they are shown once it is on.'
      }}</span>
      <span v-if="failure" role="alert" class="text-stop">{{ failure }}</span>
    </div>
    <EmptyPlace v-if="!a || !b" says="Choose two photographs; they will appear side by side." />
    <div v-else-if="!over" class="grid gap-3 sm:grid-cols-2">
      <figure v-for="p in [a, b]" :key="p.id" class="grid gap-1">
        <PhotoTable class="h-[60dvh]" :src="photographUrl(p.hash, 'working')" :name="p.caption || p.name" :width-px="p.widthPx" :height-px="p.heightPx" />
        <figcaption class="hint">{{ p.caption || p.name }}, {{ whenTaken(p) }} · <NuxtLink :to="`/m/${tag}/photo/${p.id}`">open</NuxtLink></figcaption>
      </figure>
    </div>
    <figure v-else class="grid gap-2">
      <BeforeAfter
        :left="{ src: photographUrl(a.hash, 'working'), alt: a.caption || a.name }"
        :right="{ src: photographUrl(b.hash, 'working'), alt: b.caption || b.name }"
        :width-px="a.widthPx"
        :height-px="a.heightPx"
      />
      <figcaption class="hint">
        Left of the divider: {{ a.caption || a.name }}, {{ whenTaken(a) }}. Right: {{ b.caption || b.name }}, {{ whenTaken(b) }}.
      </figcaption>
    </figure>
  </div>
</template>
