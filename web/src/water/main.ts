import { createApp } from 'vue'
import '@fontsource-variable/atkinson-hyperlegible-next/wght.css'
import './water.css'
import WaterApp from './WaterApp.vue'

createApp(WaterApp).mount('#app')
if (location.protocol.startsWith('http') && 'serviceWorker' in navigator)
  void navigator.serviceWorker.register('/water/sw.js', { scope: '/water/' }).catch(() => undefined)
