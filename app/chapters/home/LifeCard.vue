<script setup lang="ts">
import type { Finding } from '#core/kernel/finding'
import { mostPressingFirst } from '#core/kernel/finding'
import { lifeNames, lives } from '#core/kernel/stages'
import type { SheetOf } from '#shared/chapters/index'

/** Which life it may lead, with what stands for and against each. */
const props = defineProps<{ sheet: SheetOf<'home'> }>()
const session = useSession()
const times = useTimes()
const { submitCommand: choose, busy, failure, because } = useCommand('choose-life', () => props.sheet.tag)
/** Where one is chosen, a phone shows that one. */
const small = onPhone()
const every = ref(!small)
const judged = computed(() =>
  lives
    .filter(life => every.value || !props.sheet.life || life === props.sheet.life)
    .map(life => ({
      life,
      findings: mostPressingFirst(props.sheet.livesJudged[life] ?? []),
      refused: (props.sheet.livesJudged[life] ?? []).some(f => f.level === 'stop'),
    })),
)
/** What a life means stands above its findings already. */
const worthSaying = (f: Finding) => f.heard !== 'elsewhere'
</script>

<template>
  <OneCard
    title="Its life"
    :state="sheet.life ? 'done' : 'open'"
    :result="sheet.life ? lifeNames[sheet.life].title : 'Not chosen yet'"
    stays
    hint="Where it will go, and how it will be used."
  >
    <ul class="grid gap-2">
      <li
        v-for="{ life, findings, refused } in judged"
        :key="life"
        class="grid gap-0.5 border p-2"
        :class="sheet.life === life ? 'border-2 border-enamel' : 'border-line'"
        :aria-label="lifeNames[life].title"
      >
        <p class="flex flex-wrap items-center gap-2">
          <strong>{{ lifeNames[life].title }}</strong><span v-if="sheet.life === life" class="font-semibold text-fine"
            >Chosen{{ sheet.lifeSince ? ` ${times.day(sheet.lifeSince)}` : '' }}</span
          ><span v-else-if="refused" class="font-semibold text-stop">Not yet</span
          ><button
            v-if="sheet.life !== life && session.may('choose-life')"
            type="button"
            class="button button-quiet ml-auto"
            :disabled="busy"
            :aria-label="`Choose ${lifeNames[life].title}`"
            @click="choose({ life })"
          >
            Choose
          </button>
        </p>
        <p class="hint">{{ lifeNames[life].means }}</p>
        <template v-if="findings.some(worthSaying)">
          <details v-if="small">
            <summary class="min-h-11 cursor-pointer content-center">{{ refused ? 'What stands against it' : 'What to know' }}</summary>
            <FindingList :findings="findings.filter(worthSaying)" />
          </details>
          <FindingList v-else :findings="findings.filter(worthSaying)" />
        </template>
        <p v-if="sheet.life === life && sheet.retestFrom" class="hint">Due to be tested again {{ times.day(sheet.retestFrom) }}.</p>
      </li>
    </ul>
    <p v-if="judged.length < lives.length"><button type="button" class="button button-quiet" @click="every = true">Show the other lives</button></p>
    <p v-if="failure" role="alert" class="text-stop">{{ [failure, ...because].join(' ') }}</p>
    <p v-if="!session.may('choose-life')" class="hint">A coordinator makes this choice.</p>
  </OneCard>
</template>
