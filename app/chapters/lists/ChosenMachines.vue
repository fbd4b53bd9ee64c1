<script setup lang="ts">
import { PhTag } from '~/kernel/signs/icons'

/** What can be done with several machines at once. */
const props = defineProps<{ shown: string[] }>()
const chosen = defineModel<string[]>('chosen', { required: true })
const session = useSession()
const { forEach, done, of, busy, refused, stop } = useManyMachines()
const place = ref('')
const id = useId()
const allShown = computed(() => props.shown.length > 0 && props.shown.every(tag => chosen.value.includes(tag)))
async function bench(onBench: boolean) {
  await forEach(chosen.value, 'put-on-bench', { onBench })
}
async function move() {
  if (!place.value.trim()) return
  await forEach(chosen.value, 'move-to-place', { place: place.value })
  place.value = ''
}
</script>

<template>
  <section
    v-if="chosen.length"
    class="sticky bottom-2 z-20 grid gap-2 border-2 border-enamel bg-card p-2 shadow-lg max-wide:bottom-18"
    aria-label="Machines chosen"
  >
    <div class="flex flex-wrap items-center gap-x-3 gap-y-2">
      <strong role="status">{{ chosen.length === 1 ? '1 machine chosen' : `${chosen.length} machines chosen` }}</strong>
      <template v-if="busy">
        <span role="status" class="figure">{{ done }} of {{ of }}</span
        ><button type="button" class="button" @click="stop">Stop</button>
      </template>
      <template v-else>
        <button type="button" class="button wide:min-h-8!" @click="bench(true)">Put on the bench</button>
        <button type="button" class="button wide:min-h-8!" @click="bench(false)">Take off the bench</button>
        <form v-if="session.may('move-to-place')" class="flex items-center gap-1" @submit.prevent="move">
          <label :for="id" class="sr-only">Place for all chosen</label
          ><input :id="id" v-model="place" class="entry w-44!" placeholder="Another place" maxlength="120" /><button
            type="submit"
            class="button wide:min-h-8!"
            :disabled="!place.trim()"
          >
            Move there
          </button>
        </form>
        <NuxtLink :to="{ path: '/labels', query: { tags: chosen.join(',') } }" class="button wide:min-h-8!"
          ><PhTag aria-hidden="true" />Arrival labels</NuxtLink
        >
        <span class="ml-auto flex gap-1">
          <button v-if="!allShown" type="button" class="button button-quiet wide:min-h-8!" @click="chosen = [...new Set([...chosen, ...shown])]">
            Choose all shown
          </button>
          <button type="button" class="button button-quiet wide:min-h-8!" @click="chosen = []">Choose none</button>
        </span>
      </template>
    </div>
    <ul v-if="refused.length" role="alert" class="text-stop">
      <li v-for="one in refused" :key="one.tag">{{ one.tag }}: {{ one.message }}</li>
    </ul>
  </section>
</template>
