<script setup lang="ts">
import type { BulletinsOfModel } from '#shared/chapters/sharing/index'

/** What the collection learned of a model: accepted bulletins, and those that its faults suggest. */
const props = defineProps<{ modelId: number }>()
const session = useSession()
const times = useTimes()
const { found, trouble } = useCollection<BulletinsOfModel>(
  () => ['bulletins', props.modelId],
  () => `/api/models/${props.modelId}/bulletins`,
)
const { submitCommand: accept, busy, failure } = useCommand('accept-bulletin')
const wording = ref('')
const withdrawing = ref('')
type Proposed = BulletinsOfModel['proposed'][number]
const said = ({ machines: _, ...one }: Proposed) => ({ modelId: props.modelId, ...one })
</script>

<template>
  <OneCard title="Bulletins" hint="What happens, how to see it, what to do. Every sister’s sheet and the shelf are told until somebody has looked.">
    <p v-if="trouble || failure" role="alert" class="text-stop">{{ trouble || failure }}</p>
    <template v-if="found">
      <ul v-if="found.accepted.length" class="grid gap-2" aria-label="Accepted">
        <li v-for="one in found.accepted" :key="one.uid" class="grid gap-1 border-l-4 border-enamel px-3 py-1">
          <p class="flex flex-wrap items-baseline gap-x-3">
            <strong>{{ one.happens }}</strong><span class="hint">{{ one.by }}, {{ times.day(one.at) }}</span>
            <button
              v-if="session.may('withdraw-bulletin')"
              type="button"
              class="button button-quiet ml-auto"
              :aria-label="`Withdraw ${one.happens}`"
              @click="withdrawing = withdrawing === one.uid ? '' : one.uid"
            >
              Withdraw
            </button>
          </p>
          <p v-if="one.seeBy"><span class="hint">How to see it</span> {{ one.seeBy }}</p>
          <p v-if="one.doThis"><span class="hint">What to do</span> {{ one.doThis }}</p>
          <p class="hint">{{ one.evidence }}</p>
          <CommandForm
            v-if="withdrawing === one.uid"
            command="withdraw-bulletin"
            :initial="{ why: '' }"
            :fixed="{ modelId, uid: one.uid }"
            label="Withdraw the bulletin"
            submit="Withdraw it"
            @done="withdrawing = ''"
            ><TextField name="why" label="Why"
          /></CommandForm>
        </li>
      </ul>
      <section v-if="found.proposed.length" class="grid gap-2" aria-label="Proposed">
        <h3>Proposed by what was found</h3>
        <ul class="grid divide-y divide-line border-y border-line">
          <li v-for="one in found.proposed" :key="one.cause" class="grid gap-1 py-2" :aria-label="one.cause">
            <p class="flex flex-wrap items-baseline gap-x-3">
              <strong>{{ one.happens }}</strong><span class="hint">{{ one.machines === 1 ? 'one of ours' : `${one.machines} of ours` }}</span>
              <template v-if="session.may('accept-bulletin')"
                ><button type="button" class="button ml-auto" :disabled="busy" :aria-label="`Accept it: ${one.cause}`" @click="accept(said(one))">
                  Accept it</button
                ><button
                  type="button"
                  class="button button-quiet"
                  :aria-label="`Word it otherwise: ${one.cause}`"
                  @click="wording = wording === one.cause ? '' : one.cause"
                >
                  Word it otherwise
                </button></template
              >
            </p>
            <p v-if="one.seeBy"><span class="hint">How to see it</span> {{ one.seeBy }}</p>
            <p v-if="one.doThis"><span class="hint">What to do</span> {{ one.doThis }}</p>
            <p class="hint">{{ one.evidence }}</p>
            <CommandForm
              v-if="wording === one.cause"
              command="accept-bulletin"
              :initial="{ happens: one.happens, seeBy: one.seeBy, doThis: one.doThis }"
              :fixed="{ modelId, cause: one.cause, evidence: one.evidence }"
              label="Word the bulletin"
              submit="Accept it"
              @done="wording = ''"
              ><TextField name="happens" label="What happens" /><TextField name="seeBy" label="How to see it" :lines="2" /><TextField
                name="doThis"
                label="What to do"
                :lines="2"
            /></CommandForm>
          </li>
        </ul>
      </section>
      <EmptyPlace
        v-if="!found.accepted.length && !found.proposed.length"
        says="Nothing learned yet. Once a fault of this model ends with its cause, a bulletin is proposed here."
      />
    </template>
  </OneCard>
</template>
