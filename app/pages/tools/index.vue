<script setup lang="ts">
import { tools } from '#shared/tools/index'

definePageMeta({ layout: false })
useHead({ title: 'Tool wall' })
const session = useSession()
</script>

<template>
  <NuxtLayout :name="session.person ? 'default' : 'visitor'">
    <div class="grid gap-4">
      <header>
        <h1>Tool wall</h1>
        <p class="text-ink-2">Every instrument on its own, usable without a machine. <NuxtLink to="/tools/cautions">The cautions</NuxtLink> hang beside it.</p>
      </header>
      <ul class="grid gap-4 sm:grid-cols-2 xl:grid-cols-3">
        <li v-for="tool in tools" :key="tool.id">
          <NuxtLink :to="`/tools/${tool.id}`" class="card grid h-full content-start gap-2 text-ink no-underline hover:border-enamel"
            ><span class="figure hint">{{ tool.id }}</span
            ><span class="font-display text-xl font-semibold underline">{{ tool.title }}</span
            ><span>{{ tool.summary }}</span></NuxtLink
          >
        </li>
      </ul>
      <OneCard title="For programs" hint="The same instruments answer over the network, without sign-in."
        ><p class="figure">GET /api/tools</p>
        <p class="figure">POST /api/tools/{{ tools[0]?.id }}</p>
        <p class="hint">The list gives JSON Schema for input and output, and a worked example of each.</p></OneCard
      >
    </div>
  </NuxtLayout>
</template>
