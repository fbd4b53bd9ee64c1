<script setup lang="ts">
import { type ToolId, tools } from '#shared/tools/index'
import { questionNames, questionOf, questions, useUsedLast } from '~/tools/questions'

definePageMeta({ layout: false })
useHead({ title: 'Tool wall' })
const session = useSession()
const typed = ref('')
const { used } = useUsedLast()
const last = computed(() => used.value.flatMap(id => tools.find(t => t.id === id) ?? []))
/** Every word typed begins a word of its name, of what it does, or of the question. */
const fits = (tool: (typeof tools)[number]) => {
  const said = `${tool.title} ${tool.summary} ${questions[questionOf[tool.id as ToolId]]}`.toLowerCase().split(/[^\p{L}\p{N}]+/u)
  return typed.value
    .toLowerCase()
    .split(/\s+/)
    .every(word => said.some(one => one.startsWith(word)))
}
const shown = computed(() =>
  questionNames
    .map(name => ({ name, question: questions[name], tools: tools.filter(t => questionOf[t.id as ToolId] === name && fits(t)) }))
    .filter(group => group.tools.length),
)
</script>

<template>
  <NuxtLayout :name="session.person ? 'default' : 'visitor'">
    <div class="grid gap-3">
      <header class="flex flex-wrap items-end gap-x-6 gap-y-2">
        <div class="min-w-0 flex-1">
          <h1>Tool wall</h1>
          <p class="text-ink-2">
            Every instrument on its own, usable without a machine. <NuxtLink to="/tools/cautions">The cautions</NuxtLink> hang beside it.
          </p>
        </div>
        <div class="max-w-full">
          <label for="tool-find" class="sr-only">Find an instrument</label
          ><input id="tool-find" v-model="typed" type="search" class="entry w-64!" placeholder="Find an instrument" autocomplete="off" />
        </div>
      </header>
      <p v-if="last.length && !typed" class="flex flex-wrap items-center gap-x-4 gap-y-1">
        <span class="hint">Used last</span
        ><NuxtLink v-for="tool in last" :key="tool.id" :to="`/tools/${tool.id}`" class="inline-flex min-h-11 items-center wide:min-h-7">{{
          tool.title
        }}</NuxtLink>
      </p>
      <EmptyPlace v-if="!shown.length" says="No instrument does that. Try the beginning of another word for it." />
      <div v-else class="gap-3 sm:columns-2 xl:columns-3">
        <section v-for="group in shown" :key="group.name" class="card mb-3 break-inside-avoid py-2!" :aria-labelledby="`question-${group.name}`">
          <h2 :id="`question-${group.name}`" class="text-base!">{{ group.question }}</h2>
          <ul>
            <li v-for="tool in group.tools" :key="tool.id" class="relative flex items-center gap-2 max-wide:min-h-11 hover:bg-mat">
              <NuxtLink :to="`/tools/${tool.id}`" class="shrink-0 py-0.5 font-semibold after:absolute after:inset-0">{{ tool.title }}</NuxtLink><span
                class="hint truncate text-sm"
                :title="tool.summary"
                >{{ tool.summary }}</span
              >
            </li>
          </ul>
        </section>
      </div>
      <p class="hint">
        For programs, without sign-in: <span class="figure">GET /api/tools</span> lists them with JSON Schema and a worked example of each;
        <span class="figure wrap-anywhere">POST /api/tools/{{ tools[0]?.id }}</span> answers.
      </p>
    </div>
  </NuxtLayout>
</template>
