<script setup lang="ts">
import { darkTheme, NConfigProvider } from 'naive-ui'
import { computed, watch } from 'vue'
import { useRouter } from 'vue-router'
import { queryClient, useSession } from './api/queries'
import { keepForLater } from './api/signal/keepForLater'
import AppFrame from './parts/AppFrame.vue'
import { theme } from './state/theme'
import { overrides } from './theme/naive'
import FirstOwnerPage from './views/sign-in/FirstOwnerPage.vue'
import SignInPage from './views/sign-in/SignInPage.vue'

const session = useSession()
// The link of a new book leads here, before there is anybody to sign in.
const firstKey =
  window.location.pathname === '/first-owner' ? new URLSearchParams(window.location.search).get('key') : null
const router = useRouter()
const person = computed(() => session.data.value?.person ?? null)
/** Whose entries wait here: by name and place, which is all that a session says. */
const who = computed(() => (person.value ? `${person.value.site.name} / ${person.value.name}` : null))
let stop: (() => void) | undefined
watch(
  who,
  (name) => {
    stop?.()
    stop = name === null ? undefined : keepForLater(name, () => void queryClient.invalidateQueries())
  },
  { immediate: true },
)
watch(
  person,
  (who) => {
    if (who && firstKey) router.replace('/')
  },
  { immediate: true },
)
</script>

<template>
  <NConfigProvider
    :theme="theme === 'night' ? darkTheme : null"
    :theme-overrides="overrides(theme)"
    inline-theme-disabled
    preflight-style-disabled
    abstract
  >
    <p v-if="session.isPending.value" class="page soft">Opening the book …</p>
    <p v-else-if="session.isError.value" class="page fault" role="alert">
      {{ session.error.value?.message }}
    </p>
    <AppFrame v-else-if="person" :person="person" />
    <FirstOwnerPage v-else-if="firstKey" :first-key="firstKey" />
    <SignInPage v-else :demo="session.data.value?.demo ?? []" />
  </NConfigProvider>
</template>
