<script setup lang="ts">
import { PhCheck, PhHandArrowUp } from '~/kernel/signs/icons'

/** A job that somebody has in hand: it is done, or handed on with a note. Whoever did it to find something out is asked what was found. */
const props = defineProps<{ tag: string; jobId: number; says: string; finds: boolean }>()
const session = useSession()
const { submitCommand: finish, busy, failure } = useCommand('finish-job', () => props.tag)
const asking = ref<'hand-on' | 'found' | null>(null)
const toggle = (what: 'hand-on' | 'found') => (asking.value = asking.value === what ? null : what)
const nothingMore = 'Nothing found beyond what is on record'
</script>

<template>
  <button
    v-if="session.may('finish-job')"
    type="button"
    class="button wide:min-h-8!"
    :disabled="busy"
    :aria-expanded="finds ? asking === 'found' : undefined"
    @click="finds ? toggle('found') : finish({ jobId })"
  >
    <PhCheck aria-hidden="true" />Done<span class="sr-only">{{ ` ${says}` }}</span>
  </button>
  <button
    v-if="session.may('hand-on-job')"
    type="button"
    class="button button-quiet wide:min-h-8!"
    :aria-expanded="asking === 'hand-on'"
    @click="toggle('hand-on')"
  >
    <PhHandArrowUp aria-hidden="true" />Hand on<span class="sr-only">{{ ` ${says}` }}</span>
  </button>
  <slot />
  <div v-if="asking" class="grid basis-full gap-2 bg-mat p-2">
    <LazyCommandForm
      v-if="asking === 'hand-on'"
      command="hand-on-job"
      :machine="tag"
      :initial="{ note: '' }"
      :fixed="{ jobId }"
      label="Hand over the job"
      submit="Hand it on"
      @done="asking = null"
      ><LazyTextField name="note" label="For the next person" hint="How far you got, where things are, what not to do" :lines="2"
    /></LazyCommandForm>
    <template v-else>
      <LazyCommandForm
        command="finish-job"
        :machine="tag"
        :initial="{ did: '' }"
        :fixed="{ jobId }"
        label="What was found"
        submit="Save, and it is done"
        @done="asking = null"
        ><LazyTextField name="did" label="What was found" hint="Good or bad, in a sentence" :lines="2"
      /></LazyCommandForm>
      <button type="button" class="button button-quiet justify-self-start" :disabled="busy" @click="finish({ jobId, did: nothingMore })">
        Nothing beyond what is on record
      </button>
    </template>
  </div>
  <p v-if="failure" role="alert" class="basis-full text-stop">{{ failure }}</p>
</template>
