<script setup lang="ts">
import type { PersonView } from '#shared/chapters/people/index'
import { roleNames } from '#shared/kernel/roles'

/** One's own name and password. */
defineProps<{ me: PersonView }>()
const session = useSession()
const changes = useChanges()
/** What was asked for with the session that has just ended is asked for anew. */
function passwordChanged(close: () => void) {
  close()
  void changes.lookAgain()
}
</script>

<template>
  <OneCard title="You" beside :result="me.name" :hint="`${roleNames[me.role]}, signed in as ${me.signInName}`">
    <CommandForm
      command="change-own-name"
      :initial="{ name: me.name }"
      :fixed="{ version: me.version }"
      :words="{ name: 'Name' }"
      label="Your name"
      submit="Save name"
      keeps
      @done="session.load()"
      ><TextField name="name" label="Name" hint="As others see it from now on. Earlier entries keep your old name." autocomplete="name"
    /></CommandForm>
    <AddPanel v-slot="{ close }" label="Change your password"
      ><CommandForm
        command="set-own-password"
        :initial="{ oldPassword: '', password: '' }"
        label="Change your password"
        submit="Change"
        @done="passwordChanged(close)"
        ><TextField name="oldPassword" label="Current password" type="password" autocomplete="current-password" /><TextField
          name="password"
          label="New password"
          type="password"
          hint="At least ten characters. You stay signed in here and are signed out everywhere else."
          autocomplete="new-password" /></CommandForm
    ></AddPanel>
    <PersonalData :person="me" own />
  </OneCard>
</template>
