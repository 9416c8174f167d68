<script setup lang="ts">
import { useMutation } from '@tanstack/vue-query'
import { NButton, NInput } from 'naive-ui'
import { computed, ref } from 'vue'
import { answer, api, Refusal } from '@/api/client'
import { queryClient } from '@/api/queries'
import type { Session } from '@/api/types'
import FormField from '@/parts/FormField.vue'

defineProps<{ demo: Session['demo'] }>()

const email = ref('')
const password = ref('')
const enter = useMutation({
  mutationFn: (login: { email: string; password: string }) =>
    answer(() => api.POST('/api/session', { body: login })),
  onSuccess: (session) => queryClient.setQueryData(['session'], session),
})
const errors = computed(() => (enter.error.value instanceof Refusal ? enter.error.value.errors : {}))
const trouble = computed(() =>
  enter.error.value && Object.keys(errors.value).length === 0 ? enter.error.value.message : null,
)
</script>

<template>
  <main class="enter">
    <div class="who">
      <h1>Ironwort</h1>
      <p>What is in the water, what the filter can carry, and what to do next.</p>
    </div>
    <form novalidate @submit.prevent="enter.mutate({ email, password })">
      <FormField v-slot="{ id, status, described }" label="E-mail" :error="errors.email">
        <NInput
          v-model:value="email"
          size="large"
          :status="status"
          placeholder=""
          :input-props="{ id, type: 'email', autocomplete: 'username', 'aria-describedby': described }"
        />
      </FormField>
      <FormField v-slot="{ id, status, described }" label="Password" :error="errors.password">
        <NInput
          v-model:value="password"
          size="large"
          type="password"
          :status="status"
          placeholder=""
          :input-props="{ id, autocomplete: 'current-password', 'aria-describedby': described }"
        />
      </FormField>
      <p v-if="trouble" class="fault" role="alert">{{ trouble }}</p>
      <NButton type="primary" size="large" attr-type="submit" :loading="enter.isPending.value"
        >Sign in</NButton
      >
    </form>
    <section v-if="demo.length" class="demo">
      <h2>This book holds the demo</h2>
      <p class="soft small">Everything in it is invented. Come in as</p>
      <ul>
        <li v-for="login in demo" :key="login.email">
          <button
            type="button"
            class="plain-button login"
            @click="enter.mutate({ email: login.email, password: login.password })"
          >
            <b>{{ login.who }}</b>
            <span class="soft small">{{ login.email }}, {{ login.password }}</span>
          </button>
        </li>
      </ul>
    </section>
  </main>
</template>

<style scoped>
.enter {
  display: grid;
  grid-template-columns: minmax(0, 24rem) minmax(0, 22rem);
  gap: 2rem 4rem;
  max-width: 56rem;
  margin: 0 auto;
  padding: 12vh 2rem 4rem;
}

.who {
  grid-column: 1 / -1;
}

h1 {
  color: var(--leaf);
  font-size: 3rem;
}

form {
  display: grid;
  gap: 1rem;
  align-content: start;
}

.demo {
  border-left: 1px solid var(--hair);
  padding-left: 2rem;
}

.login {
  display: block;
  width: 100%;
  padding: 0.6rem 0;
  border-bottom: 1px solid var(--hair);
}

.login:hover {
  color: var(--water);
}

.login span {
  display: block;
}

@media (max-width: 720px) {
  .enter {
    grid-template-columns: minmax(0, 1fr);
    padding: 2rem 1rem;
  }

  .demo {
    border-left: 0;
    border-top: 1px solid var(--hair);
    padding: 1.25rem 0 0;
  }
}
</style>
