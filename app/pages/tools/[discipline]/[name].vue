<script setup lang="ts">
import { type ToolId, toolById } from '#shared/tools/index'
import { instruments } from '~/tools/instruments'
import { useUsedLast } from '~/tools/questions'

definePageMeta({ layout: false })
const route = useRoute()
const session = useSession()
const id = computed(() => `${String(route.params.discipline)}/${String(route.params.name)}`)
const tool = computed(() => toolById(id.value))
useHead({ title: () => tool.value?.title ?? 'Tool wall' })
const input = ref<Record<string, unknown>>()
const { using } = useUsedLast()
onMounted(() => tool.value && using(tool.value.id))
</script>

<template>
  <NuxtLayout :name="session.person ? 'default' : 'visitor'">
    <div v-if="!tool" class="card">There is no instrument {{ id }}. <NuxtLink to="/tools">Back to the wall.</NuxtLink></div>
    <div v-else class="grid max-w-5xl gap-4">
      <header class="flex flex-wrap items-end justify-between gap-2">
        <div>
          <p>
            <NuxtLink to="/tools">Tool wall</NuxtLink> <span class="figure hint">{{ tool.id }}</span>
          </p>
          <h1>{{ tool.title }}</h1>
          <p class="text-ink-2">{{ tool.summary }}</p>
        </div>
      </header>
      <component :is="instruments[tool.id as ToolId]" @input="input = $event" />
      <PinResult v-if="'run' in tool && session.may('pin-result')" :tool="tool.id" :input="input" />
    </div>
  </NuxtLayout>
</template>
