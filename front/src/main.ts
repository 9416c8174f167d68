import { VueQueryPlugin } from '@tanstack/vue-query'
import { createApp } from 'vue'
import { queryClient } from './api/queries'
import App from './App.vue'
import { router } from './router'
import { applyTheme } from './state/theme'
import './theme/base.css'

applyTheme()
// Pages open without signal: their code stays on the device. Browsers allow it on localhost and over TLS.
if (import.meta.env.PROD && 'serviceWorker' in navigator) void navigator.serviceWorker.register('/sw.js')
createApp(App).use(router).use(VueQueryPlugin, { queryClient }).mount('#app')
