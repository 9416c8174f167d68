import { VueQueryPlugin } from '@tanstack/vue-query'
import { createApp } from 'vue'
import { queryClient } from './api/queries'
import App from './App.vue'
import { router } from './router'
import { applyTheme } from './state/theme'
import './theme/base.css'

applyTheme()
createApp(App).use(router).use(VueQueryPlugin, { queryClient }).mount('#app')
