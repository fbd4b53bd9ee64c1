<script setup lang="ts">
import { useForm } from 'vee-validate'
import { roleNames } from '#shared/kernel/roles'

definePageMeta({ layout: 'plain' })
useHead({ title: 'Sign in' })
const session = useSession()
const api = useApi()
const route = useRoute()
const busy = ref(false)
const failure = ref('')
const { handleSubmit, setErrors, setValues } = useForm({
  initialValues: { signInName: '', password: '' } as Record<string, unknown>,
  validationSchema: zodForForms(
    () => import('#shared/chapters/people/index').then(people => people.SignIn),
    v => v,
  ),
})

const send = handleSubmit(async values => {
  busy.value = true
  failure.value = ''
  try {
    await api.send('/api/session', values)
    await session.load()
    const then = String(route.query.then ?? '/')
    await navigateTo(then.startsWith('/') && !then.startsWith('//') ? then : '/')
  } catch (error) {
    if (error instanceof ApiError && error.answer.fields) setErrors(error.answer.fields)
    else failure.value = (error as Error).message
  } finally {
    busy.value = false
  }
})

const useSignIn = (signInName: string, password: string) => {
  setValues({ signInName, password })
  void send()
}
</script>

<template>
  <main class="mx-auto grid max-w-3xl gap-6 p-4 pt-[6vh]">
    <header>
      <p class="font-display text-4xl font-bold">Jolly Bench</p>
      <p class="mt-1 text-ink-2">{{ session.collection?.name }}</p>
    </header>
    <div class="grid items-start gap-4 md:grid-cols-2">
      <form class="card grid gap-3" aria-label="Sign in" novalidate @submit.prevent="send">
        <h1 class="text-xl">Sign in</h1>
        <p v-if="route.query.ended" role="status" class="border-l-4 border-note bg-note-wash px-3 py-1">
          You were signed out. What you typed is kept: sign in to go on where you were.
        </p>
        <TextField name="signInName" label="Sign-in name" autocomplete="username" />
        <TextField name="password" label="Password" type="password" autocomplete="current-password" />
        <p v-if="failure" role="alert" class="text-stop">{{ failure }}</p>
        <div>
          <button class="button button-main" :disabled="busy">{{ busy ? 'Signing in…' : 'Sign in' }}</button>
        </div>
        <p class="hint">No name yet? A coordinator can add you. The <NuxtLink to="/tools">tool wall</NuxtLink> needs none.</p>
      </form>
      <section v-if="session.demoSignIns.length" class="card grid gap-2" aria-labelledby="demo">
        <h2 id="demo">Demo: come in as</h2>
        <p class="hint">Made-up people of a made-up museum. One press signs in.</p>
        <ul class="grid gap-1">
          <li v-for="one in session.demoSignIns" :key="one.signInName">
            <button
              type="button"
              class="grid w-full grid-cols-[1fr_auto] gap-x-3 border border-line px-3 py-1 text-left hover:border-enamel"
              @click="useSignIn(one.signInName, one.password)"
            >
              <span class="font-semibold">{{ one.name }}</span><span class="hint">{{ roleNames[one.role] }}</span
              ><span class="figure hint col-span-2">{{ one.signInName }} · {{ one.password }}</span>
            </button>
          </li>
        </ul>
      </section>
    </div>
  </main>
</template>
