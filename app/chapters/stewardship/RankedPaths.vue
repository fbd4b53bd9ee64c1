<script setup lang="ts">
import { type Path, type TriageResult, paths } from '#core/condition/triage'

/** Paths in the order of what speaks for them; each with its terms, for the sum alone says nothing. */
const props = defineProps<{ result: TriageResult; chosen?: Path | null }>()
const longest = computed(() => Math.max(1, ...props.result.paths.flatMap(p => p.terms.map(t => Math.abs(t.weight)))))
</script>

<template>
  <FindingList :findings="result.findings" />
  <ol class="grid gap-2">
    <li v-for="(path, i) in result.paths" :key="path.path">
      <details class="border border-line" :open="i < 2">
        <summary class="flex cursor-pointer flex-wrap items-baseline gap-x-3 px-3 py-2">
          <span class="figure">{{ i + 1 }}</span><span class="font-display font-semibold">{{ path.title }}</span
          ><span v-if="path.path === chosen" class="font-semibold text-enamel">Chosen</span><span class="hint">{{ paths[path.path].means }}</span>
        </summary>
        <div class="grid gap-2 border-t border-line px-3 py-2">
          <ul class="grid gap-1">
            <li v-for="term in path.terms" :key="term.says" class="grid grid-cols-[6rem_1fr] items-center gap-3">
              <span class="relative h-3 bg-mat" aria-hidden="true"
                ><span class="absolute inset-y-0 left-1/2 w-px bg-edge" /><span
                  class="absolute inset-y-0.5"
                  :class="term.weight > 0 ? 'left-1/2 bg-verdigris' : 'right-1/2 bg-rust'"
                  :style="{ width: `${(Math.abs(term.weight) / longest) * 50}%` }"
              /></span>
              <span
                ><span class="sr-only">{{ term.weight > 0 ? 'For it:' : 'Against it:' }} </span>{{ term.says }}</span
              >
            </li>
          </ul>
          <p v-if="!path.terms.length" class="hint">Nothing speaks for or against it.</p>
          <FindingList v-if="path.findings.length" :findings="path.findings" />
        </div>
      </details>
    </li>
  </ol>
  <section v-if="result.nextLooks.length" aria-label="What to look at next" class="grid gap-1">
    <h3>What to look at next</h3>
    <ul class="grid gap-0.5">
      <li v-for="look in result.nextLooks.slice(0, 3)" :key="look.name">
        {{ look.name }}
        <span class="hint">{{ look.minutes }} minutes; in {{ Math.round(look.changes * 100) }} of 100 cases another path comes first.</span>
      </li>
    </ul>
  </section>
  <section v-if="result.wouldChange.length" aria-label="What would change the order" class="grid gap-1">
    <h3>What would change the order</h3>
    <ul class="grid gap-0.5">
      <li v-for="change in result.wouldChange" :key="change.says + change.to">
        {{ change.says }} <span class="hint">Then: {{ paths[change.to].title.toLowerCase() }}.</span>
      </li>
    </ul>
  </section>
  <section v-if="result.ask.length" aria-label="To be asked of the owner" class="grid gap-1">
    <h3>To be asked of the owner</h3>
    <ul class="ml-5 list-disc">
      <li v-for="question in result.ask" :key="question">{{ question }}</li>
    </ul>
  </section>
</template>
