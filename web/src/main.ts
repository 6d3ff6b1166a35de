import { QueryClient, VueQueryPlugin } from '@tanstack/vue-query'
import { createPinia } from 'pinia'
import { createApp } from 'vue'
import 'element-plus/theme-chalk/base.css'
import '@generated/tints.css'
import './theme/tokens.css'
import './theme/element.css'
import './theme/base.css'
import App from './App.vue'
import { Refused } from './api/problems'
import { router } from './router'

const queryClient = new QueryClient({
  defaultOptions: {
    mutations: { networkMode: 'always' },
    queries: {
      networkMode: 'always', // it is on this machine
      refetchOnWindowFocus: true,
      retry: (count, error) => !(error instanceof Refused) && count < 8,
      retryDelay: (count) => Math.min(4000, 300 * 2 ** count),
    },
  },
})

createApp(App).use(createPinia()).use(router).use(VueQueryPlugin, { queryClient }).mount('#app')
