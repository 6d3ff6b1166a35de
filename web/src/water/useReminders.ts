import { useIntervalFn } from '@vueuse/core'
import { computed, ref, type Ref } from 'vue'
import type { Schemas } from '@/api/client'
import { keepChoice, readChoice } from './keep'
import type { DayEvent } from './state'

type Reminder = Schemas['Reminder']
const LOOK_MS = 20_000
const MINUTE_MS = 60_000
const LONGEST_MIN = 30

interface Heard {
  done: Record<string, number>
  silent: string[]
}

/** What is due by the clock and by what happened; done for now, or silenced for good. */
export function useReminders(
  all: () => Reminder[],
  wish: () => string,
  stands: () => DayEvent[],
  begun: Ref<number>,
) {
  const clock = ref(Date.now())
  const heard = ref<Heard>({ done: {}, silent: [] })
  useIntervalFn(() => (clock.value = Date.now()), LOOK_MS)
  void readChoice<Heard>('reminders')
    .then((kept) => kept && (heard.value = kept))
    .catch(() => undefined)

  function isDue(reminder: Reminder): boolean {
    if (heard.value.silent.includes(reminder.key)) return false
    if (reminder.wishes.length && !(reminder.wishes as string[]).includes(wish())) return false
    const since = Math.max(begun.value, heard.value.done[reminder.key] ?? 0)
    const last = stands().findLast((event) => reminder.after.includes(event.kind))
    if (reminder.after.length)
      return !!last && last.at > since && clock.value - last.at < LONGEST_MIN * MINUTE_MS
    return clock.value - since > reminder.every_min * MINUTE_MS
  }

  const due = computed(() => all().filter(isDue))
  const silenced = computed(() => all().filter((item) => heard.value.silent.includes(item.key)))

  function keep(change: Partial<Heard>) {
    heard.value = { ...heard.value, ...change }
    clock.value = Date.now()
    void keepChoice('reminders', JSON.parse(JSON.stringify(heard.value))).catch(() => undefined)
  }
  const done = (key: string) => keep({ done: { ...heard.value.done, [key]: Date.now() } })
  const silence = (key: string) => keep({ silent: [...heard.value.silent, key] })
  const wake = (key: string) => keep({ silent: heard.value.silent.filter((item) => item !== key) })

  return { due, silenced, done, silence, wake }
}
