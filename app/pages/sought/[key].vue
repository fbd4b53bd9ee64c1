<script setup lang="ts">
import { kindsFor, offerKinds } from '#core/sharing/sought'
import type { ErrorAnswer } from '#shared/kernel/answers'
import type { SoughtView } from '#shared/chapters/sought/index'

/** A line of the public list, and the form in which anybody answers it. It is sent without a script, and shown again with what was wrong. */
definePageMeta({ layout: 'plain' })
const key = String(useRoute().params.key)
const { data } = await useFetch<SoughtView | ErrorAnswer>('/api/sought', { ignoreResponseError: true })
const list = computed(() => (data.value && !('error' in data.value) ? data.value : undefined))
const sought = computed(() => list.value?.wanted.find(part => part.key === key))
const part = computed(() => sought.value ?? list.value?.spared.find(one => one.key === key))
const event = useRequestEvent()
if (event && !part.value) event.node.res.statusCode = 404
const notKept = event?.context.notKept as { typed: Record<string, string>; problems: Record<string, string>; message: string } | undefined
const typed = notKept?.typed ?? {}
const problems = notKept?.problems ?? {}
useHead({ title: () => (part.value ? `About ${part.value.name}` : 'No such line') })
const kinds = kindsFor(key)
const fields = [
  { name: 'who', label: 'Your name', hint: '', most: 80 },
  { name: 'reach', label: 'How we reach you', hint: 'An address of any kind; only those who look after the parts read it', most: 120 },
] as const
</script>

<template>
  <main class="mx-auto grid max-w-2xl gap-4 p-4 py-8">
    <p><a href="/sought">All that is sought and spared</a></p>
    <div v-if="!part || !list" class="card grid gap-2">
      <h1>No such line</h1>
      <p>It is not on the list any more, and may have been found. Thank you all the same.</p>
    </div>
    <form v-else method="post" :action="`/sought/${key}`" class="card grid gap-4" :aria-label="`About ${part.name}`">
      <header class="grid gap-1">
        <p class="hint">{{ list.collection }}</p>
        <h1>{{ sought ? 'Sought' : 'Can be spared' }}: {{ part.name }}</h1>
        <p class="hint">{{ [`${part.count} ×`, part.like, sought ? `for ${sought.model}` : ''].filter(Boolean).join('; ') }}</p>
      </header>
      <p v-if="notKept" role="alert" class="text-stop">
        {{ notKept.message || 'Nothing was sent yet. What you wrote is below; look at what is said there.' }}
      </p>
      <fieldset v-if="kinds.length > 1" class="grid gap-1">
        <legend class="font-semibold">What you can do</legend>
        <label v-for="(kind, at) in kinds" :key="kind" class="flex min-h-11 items-center gap-3">
          <input type="radio" name="kind" :value="kind" class="size-5 accent-enamel" :checked="typed.kind ? typed.kind === kind : at === 0" />{{
            offerKinds[kind].title
          }}
        </label>
        <p v-if="problems.kind" class="text-stop">{{ problems.kind }}</p>
      </fieldset>
      <input v-else type="hidden" name="kind" :value="kinds[0]" />
      <div v-for="field in fields" :key="field.name" class="grid gap-1">
        <label :for="field.name" class="font-semibold">{{ field.label }}</label>
        <p v-if="field.hint" :id="`${field.name}-hint`" class="hint">{{ field.hint }}</p>
        <input
          :id="field.name"
          :name="field.name"
          :value="typed[field.name] ?? ''"
          :maxlength="field.most"
          :aria-invalid="problems[field.name] ? true : undefined"
          :aria-describedby="`${field.name}-problem ${field.name}-hint`"
          class="entry"
        />
        <p :id="`${field.name}-problem`" class="text-stop">{{ problems[field.name] }}</p>
      </div>
      <div class="grid gap-1">
        <label for="says" class="font-semibold">What you have to say</label>
        <p id="says-hint" class="hint">
          {{
            kinds.map((kind, at) => (at ? offerKinds[kind].asks.charAt(0).toLowerCase() + offerKinds[kind].asks.slice(1) : offerKinds[kind].asks)).join('; or ')
          }}
        </p>
        <textarea
          id="says"
          name="says"
          rows="5"
          maxlength="600"
          class="entry"
          :value="typed.says ?? ''"
          :aria-invalid="problems.says ? true : undefined"
          aria-describedby="says-problem says-hint"
        />
        <p id="says-problem" class="text-stop">{{ problems.says }}</p>
      </div>
      <p class="hint">
        A person reads it, and may take a week. Nothing is sent to you from here, nothing of it is shown to others, and it is forgotten once it is done with.
      </p>
      <p><button type="submit" class="button button-main">Send</button></p>
    </form>
  </main>
</template>
