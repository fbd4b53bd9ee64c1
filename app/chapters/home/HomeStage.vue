<script setup lang="ts">
import { PhPrinter } from '@phosphor-icons/vue'
import { lifeNames, lives } from '#core/planning/stages'
import type { SheetOf } from '#shared/chapters/index'

/** Its life, the label inside, and the passport. */
const props = defineProps<{ sheet: SheetOf<'home'> }>()
const session = useSession()
const { submitCommand: choose, busy: choosing, failure } = useCommand('choose-life', () => props.sheet.tag)
const { submitCommand: switchPassport, busy: switching } = useCommand('switch-passport', () => props.sheet.tag)
</script>

<template>
  <div class="grid items-start gap-4 lg:grid-cols-2">
    <OneCard title="Its life" hint="Where it goes, and how it will be used.">
      <ul class="grid gap-2">
        <li v-for="life in lives" :key="life" class="grid gap-0.5 border p-2" :class="sheet.life === life ? 'border-enamel border-2' : 'border-line'">
          <p class="flex flex-wrap items-center gap-2">
            <strong>{{ lifeNames[life].title }}</strong><span v-if="sheet.life === life" class="font-semibold text-fine">Chosen</span
            ><button
              v-else-if="session.may('choose-life')"
              type="button"
              class="button button-quiet ml-auto"
              :disabled="choosing"
              :aria-label="`Choose ${lifeNames[life].title}`"
              @click="choose({ life })"
            >
              Choose
            </button>
          </p>
          <p class="hint">{{ lifeNames[life].means }}</p>
        </li>
      </ul>
      <p v-if="failure" role="alert" class="text-stop">{{ failure }}</p>
      <p v-if="!session.may('choose-life')" class="hint">A coordinator chooses it.</p>
    </OneCard>
    <div class="grid gap-4">
      <OneCard title="Label inside" hint="Date and what was replaced, for whoever opens it next."
        ><div>
          <NuxtLink :to="`/m/${sheet.tag}/label`" class="button button-main"><PhPrinter aria-hidden="true" />Open the label</NuxtLink>
        </div></OneCard
      >
      <OneCard title="Passport" hint="Its public record: identity, history, faults, parts sought. No donor, owner, price, place or person.">
        <template v-if="sheet.passport.on"
          ><p>Anybody with this link can read it:</p>
          <p>
            <NuxtLink :to="sheet.passport.path!" class="figure break-all">{{ sheet.passport.path }}</NuxtLink>
          </p></template
        >
        <p v-else>It is switched off; nobody outside can read it.</p>
        <p class="hint">Symptoms, observations and notes appear in their own words: name nobody in them.</p>
        <div v-if="session.may('switch-passport')">
          <button type="button" class="button" :disabled="switching" @click="switchPassport({ on: !sheet.passport.on })">
            {{ sheet.passport.on ? 'Switch it off' : 'Switch it on' }}
          </button>
        </div>
        <p v-else class="hint">A coordinator switches it.</p>
      </OneCard>
    </div>
  </div>
</template>
