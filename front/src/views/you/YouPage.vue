<script setup lang="ts">
import { NButton, NInput } from 'naive-ui'
import { reactive, ref } from 'vue'
import { answer, api } from '@/api/client'
import { useSession } from '@/api/queries'
import { useSend } from '@/api/useSend'
import FormField from '@/parts/FormField.vue'
import PlaceForm from '@/parts/PlaceForm.vue'
import UnitsForm from '@/parts/UnitsForm.vue'

const session = useSession()
const FIELDS = [
  { key: 'password_now', label: 'Password now', autocomplete: 'current-password' },
  { key: 'password_new', label: 'New password, 10 characters or more', autocomplete: 'new-password' },
] as const
const form = reactive({ password_now: '', password_new: '' })
const changed = ref(false)
const units = ref(false)
const set = useSend(
  () => answer(() => api.PUT('/api/session/password', { body: { ...form } })),
  () => {
    changed.value = true
    Object.assign(form, { password_now: '', password_new: '' })
  },
)
</script>

<!-- Who is signed in, the units they read in, and their password. -->
<template>
  <div v-if="session.data.value?.person" class="page">
    <div class="page-head">
      <h1>{{ session.data.value.person.name }}</h1>
      <span class="soft"
        >{{ session.data.value.person.role }} of {{ session.data.value.person.site.name }}</span
      >
    </div>
    <section class="part" aria-label="Units">
      <h2>Units</h2>
      <p class="soft small">
        For you alone, on every page. What is kept does not change, and any number can be typed in another
        unit with the unit behind it: 240 gal, 64 f, 5 lb. The working of a figure stays in litres, °C and
        grams.
      </p>
      <UnitsForm press="Read in these units" @chosen="units = true" />
      <p v-if="units" role="status">Numbers are in these units now.</p>
    </section>
    <section v-if="session.data.value.person.writes" class="part" aria-label="Place">
      <h2>{{ session.data.value.person.site.name }}</h2>
      <p class="soft small">For everybody who works here.</p>
      <PlaceForm />
    </section>
    <section class="part" aria-label="Password">
      <h2>Password</h2>
      <form novalidate @submit.prevent="set.send(undefined)">
        <FormField
          v-for="field in FIELDS"
          :key="field.key"
          v-slot="{ id, status, described }"
          :label="field.label"
          :error="set.errors.value[field.key]"
          ><NInput
            v-model:value="form[field.key]"
            type="password"
            :status="status"
            placeholder=""
            :maxlength="200"
            :input-props="{ id, autocomplete: field.autocomplete, 'aria-describedby': described }"
        /></FormField>
        <NButton type="primary" attr-type="submit" :loading="set.pending.value">Change the password</NButton>
      </form>
      <p v-if="changed" role="status">Your password is changed. You are signed out everywhere else.</p>
      <p v-if="set.trouble.value" class="fault" role="alert">{{ set.trouble.value }}</p>
    </section>
  </div>
</template>

<style scoped>
[aria-label='Password'] form {
  display: grid;
  gap: 1rem;
  max-width: 22rem;
}
</style>
