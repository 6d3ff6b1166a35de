import { usePreferredDark, useStorage } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed, watchEffect } from 'vue'
import { answered, api, type Settings, type System } from '@/api/client'

/** Name, units and theme: kept by the server, mirrored here so that the first paint is right. */
export const useSettings = defineStore('settings', () => {
  const kept = useStorage<Settings>('nine-knots.settings', {
    name: 'Angler',
    units: 'imperial',
    theme: 'auto',
  })
  const dark = usePreferredDark()
  const units = computed(() => kept.value.units)
  const theme = computed(() =>
    kept.value.theme === 'auto' ? (dark.value ? 'dark' : 'light') : kept.value.theme,
  )
  watchEffect(() => {
    document.documentElement.dataset.theme = theme.value
  })

  async function load() {
    kept.value = await answered(api.GET('/api/v1/angler'))
  }

  async function change(part: Partial<Settings>) {
    kept.value = { ...kept.value, ...part }
    await answered(api.PUT('/api/v1/angler', { body: kept.value }))
  }

  return {
    kept,
    units,
    theme,
    load,
    useUnits: (system: System) => change({ units: system }),
    useTheme: (chosen: Settings['theme']) => change({ theme: chosen }),
  }
})
