<script setup lang="ts">
import { useForm } from 'vee-validate'

definePageMeta({ layout: 'plain' })
useHead({ title: 'First start' })
const session = useSession()
const api = useApi()
const busy = ref(false)
const failure = ref('')
const { handleSubmit, setErrors } = useForm({
  initialValues: { collection: '', name: '', signInName: '', password: '' } as Record<string, unknown>,
  validationSchema: zodForForms(
    () => import('#shared/chapters/people/index').then(people => people.FirstStart),
    v => v,
  ),
})

const send = handleSubmit(async values => {
  busy.value = true
  failure.value = ''
  try {
    await api.send('/api/first-start', values)
    await session.load()
    await navigateTo('/')
  } catch (error) {
    if (error instanceof ApiError && error.answer.fields) setErrors(error.answer.fields)
    else failure.value = (error as Error).message
  } finally {
    busy.value = false
  }
})
</script>

<template>
  <main class="mx-auto max-w-xl p-4 pt-[8vh]">
    <form class="card grid gap-3" aria-label="First start" novalidate @submit.prevent="send">
      <h1>An empty bench</h1>
      <p>Nobody is here yet. Name the collection and its first coordinator; everything else can be changed in Settings.</p>
      <TextField name="collection" label="Name of the collection" />
      <TextField name="name" label="Your name" autocomplete="name" />
      <TextField name="signInName" label="Sign-in name" hint="Small letters, such as ilka" autocomplete="username" />
      <TextField name="password" label="Password" type="password" hint="At least ten characters" autocomplete="new-password" />
      <p v-if="failure" role="alert" class="text-stop">{{ failure }}</p>
      <div>
        <button class="button button-main" :disabled="busy">{{ busy ? 'Setting up…' : 'Set up the bench' }}</button>
      </div>
    </form>
  </main>
</template>
