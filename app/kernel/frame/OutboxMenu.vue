<script setup lang="ts">
import { Popover, PopoverButton, PopoverPanel } from '@headlessui/vue'
import { PhPaperPlaneTilt } from '~/kernel/signs/icons'

/** What was said while the bench could not be reached: how much waits, and what was refused when it arrived. */
const outbox = useOutbox()
const times = useTimes()
const words = computed(() =>
  [...(outbox.waiting.length ? [`${outbox.waiting.length} waiting`] : []), ...(outbox.refused.length ? [`${outbox.refused.length} refused`] : [])].join(', '),
)
</script>

<template>
  <Popover v-if="words" class="relative">
    <PopoverButton class="button button-quiet" :class="outbox.refused.length && 'text-stop'"><PhPaperPlaneTilt aria-hidden="true" />{{ words }}</PopoverButton>
    <PopoverPanel class="absolute right-0 z-50 mt-1 grid w-80 max-w-[90vw] gap-2 border border-edge bg-card p-3 shadow-lg">
      <template v-if="outbox.waiting.length">
        <p class="hint">Said while the bench could not be reached. It goes by itself, in this order.</p>
        <ul class="grid divide-y divide-line border-y border-line">
          <li v-for="one in outbox.waiting" :key="one.id" class="flex flex-wrap items-center gap-x-2 py-1.5">
            <span class="font-semibold">{{ waitingWords(one.name) }}</span><TagTape v-if="one.tag" :tag="one.tag" small /><span class="hint ml-auto">{{
              times.moment(one.at)
            }}</span>
          </li>
        </ul>
        <p><button type="button" class="button" @click="outbox.send()">Send now</button></p>
      </template>
      <template v-if="outbox.refused.length">
        <p class="hint">It arrived, and the bench did not take it. Enter it again where it belongs, or discard it.</p>
        <ul class="grid divide-y divide-line border-y border-line">
          <li v-for="one in outbox.refused" :key="one.id" class="grid gap-1 py-1.5">
            <span class="flex flex-wrap items-center gap-x-2"
              ><NuxtLink :to="one.tag ? `/m/${one.tag}` : '/'" class="font-semibold">{{ waitingWords(one.name) }}</NuxtLink
              ><TagTape v-if="one.tag" :tag="one.tag" small /><span class="hint ml-auto">{{ times.moment(one.at) }}</span></span
            >
            <span v-if="saidIn(one.input)" class="figure text-sm">{{ saidIn(one.input) }}</span>
            <span class="text-stop">{{ one.refused }}</span>
            <span
              ><button type="button" class="text-sm underline" @click="outbox.discard(one.id)">
                Discard<span class="sr-only"> {{ waitingWords(one.name) }}</span>
              </button></span
            >
          </li>
        </ul>
      </template>
    </PopoverPanel>
  </Popover>
</template>
