<script setup lang="ts">
import { lifeNames, stageNames } from '#core/kernel/stages'
import type { MachineSummary } from '#shared/kernel/machine'

/** Machines one a line, each to be opened, or chosen together with others; where words were looked for, with what they were found in. */
defineProps<{ machines: MachineSummary[] }>()
const chosen = defineModel<string[]>('chosen', { required: true })
const session = useSession()
const columns =
  'max-md:grid-cols-[1.5rem_minmax(0,1fr)_fit-content(50%)] max-md:gap-x-2 max-md:py-1 md:grid-cols-[1.5rem_7.25rem_minmax(0,3.4fr)_9.5rem_10.5rem_minmax(0,2fr)_minmax(0,1.6fr)]'
/** So much of a passage stands before the first word found, for the word to be in sight on a narrow line. */
const before = 14
/** A passage with the words found in it told apart. */
function parts(found: string) {
  const at = found.indexOf('‹')
  const shown = at > before ? `…${found.slice(found.indexOf(' ', at - before) + 1 || at)}` : found
  return shown.split(/[‹›]/).map((text, i) => ({ text, hit: i % 2 === 1 }))
}
</script>

<template>
  <div>
    <div class="hint hidden gap-x-3 px-3 text-sm md:grid" :class="columns" aria-hidden="true">
      <span /><span>Tag</span><span>Machine</span><span>Gate</span><span>Stage</span
      ><span>{{ machines.some(m => m.found !== undefined) ? 'Found in' : 'Open fault' }}</span
      ><span>Place</span>
    </div>
    <ul class="grid border-t border-line bg-card">
      <li
        v-for="machine in machines"
        :key="machine.tag"
        class="relative grid items-center gap-x-3 border-x border-b border-line px-3 hover:bg-mat md:h-7"
        :class="columns"
      >
        <label v-if="session.may('put-on-bench')" :for="`choose-${machine.tag}`" class="relative z-10 grid min-h-7 place-items-center max-md:min-h-11"
          ><input :id="`choose-${machine.tag}`" v-model="chosen" type="checkbox" :value="machine.tag" class="h-5 w-5 accent-enamel" /><span class="sr-only"
            >Choose {{ machine.nickname || machine.name }} {{ machine.tag }}</span
          ></label
        ><span v-else />
        <span class="max-md:order-1"><TagTape :tag="machine.tag" small /></span>
        <span class="truncate max-md:order-3 max-md:col-span-2 max-md:col-start-2"
          ><MachineFace v-if="machine.portrait" :hash="machine.portrait" class="mr-2 inline-block h-6 w-8 align-middle" /><span
            v-else-if="machines.some(m => m.portrait)"
            class="mr-2 inline-block h-6 w-8 align-middle"
          /><NuxtLink :to="`/m/${machine.tag}`" class="font-semibold text-ink no-underline after:absolute after:inset-0 after:content-['']">{{
            machine.nickname || machine.name
          }}</NuxtLink
          ><span class="hint"
            ><template v-if="machine.nickname">&ensp;{{ machine.name }}</template
            ><template v-if="machine.maker">, {{ machine.maker }}</template></span
          ></span
        >
        <GateSign :verdict="machine.gate" :overruled="machine.overruled" small class="max-md:order-2 md:whitespace-nowrap" />
        <span class="flex items-end gap-2 max-md:hidden"
          ><RunStrip :run="machine.run" :current="machine.stage" small class="shrink-0" /><span class="hint truncate text-sm">{{
            machine.life && machine.stage === 'home' ? lifeNames[machine.life].title : stageNames[machine.stage]
          }}</span></span
        >
        <span
          v-if="machine.found !== undefined"
          class="truncate text-sm max-md:order-4 max-md:col-span-2 max-md:col-start-2"
          :title="machine.found.replace(/[‹›]/g, '')"
          ><template v-for="(part, i) in parts(machine.found)" :key="i"
            ><mark v-if="part.hit" class="bg-tape text-tape-ink">{{ part.text }}</mark
            ><template v-else>{{ part.text }}</template></template
          ></span
        >
        <span v-else class="truncate text-sm max-md:order-4 max-md:col-span-2 max-md:col-start-2"
          >{{ machine.openFaults[0] }}<span v-if="machine.openFaults.length > 1" class="hint">, {{ machine.openFaults.length - 1 }} more</span></span
        >
        <span class="hint truncate text-sm max-md:hidden">{{ machine.place }}</span>
      </li>
    </ul>
  </div>
</template>
