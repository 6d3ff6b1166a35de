import { defineStore } from 'pinia'
import { computed, reactive } from 'vue'
import { job } from '@/api/job'
import { inWords } from '@/api/problems'
import { overhead, useCast } from '@/bench/air/useCast'
import { useSettings } from '@/settings/useSettings'

type DayJobPath = '/api/v1/plans/work' | '/api/v1/plans/pack'

interface DayJob {
  /** How much is done, from 0 to 1; null while nothing is under way. */
  share: number | null
  refused: string
  stopped: boolean
  controller: AbortController | null
}
const keyOf = (path: DayJobPath, planId: string) => `${path} ${planId}`
const IDLE: DayJob = { share: null, refused: '', stopped: false, controller: null }

/** Long work on plans. It belongs to the plan, not to the page: it goes on while another is open. */
const useDayJobs = defineStore('day-jobs', () => {
  const settings = useSettings()
  const cast = useCast()
  const jobs = reactive<Record<string, DayJob>>({})

  function jobOf(path: DayJobPath, planId: string): DayJob {
    const key = keyOf(path, planId)
    jobs[key] ??= { ...IDLE }
    return jobs[key]
  }

  /** Whether it was done. A plan already being worked on is not asked for twice. */
  async function work(path: DayJobPath, plan_id: string): Promise<boolean> {
    const mine = jobOf(path, plan_id)
    if (mine.share !== null) return false
    const controller = new AbortController()
    Object.assign(mine, { share: 0, refused: '', stopped: false, controller })
    const body = { plan_id, stroke: overhead(cast.stroke), units: settings.units }
    try {
      await job(path, body, {
        signal: controller.signal,
        progress: (done) => (mine.share = done),
      })
      return true
    } catch (error) {
      if (!controller.signal.aborted) mine.refused = inWords(error)
      return false
    } finally {
      mine.share = null
    }
  }

  function stop(path: DayJobPath, planId: string) {
    const mine = jobOf(path, planId)
    mine.stopped = true
    mine.controller?.abort()
  }

  return { jobs, work, stop }
})

/** One plan worked out or packed: how far it is, stopped, or why it is refused. */
export function useDayJob(path: DayJobPath, planId: () => string) {
  const jobs = useDayJobs()
  const mine = computed(() => jobs.jobs[keyOf(path, planId())] ?? IDLE)
  return {
    share: computed(() => mine.value.share),
    refused: computed(() => mine.value.refused),
    stopped: computed(() => mine.value.stopped),
    busy: computed(() => mine.value.share !== null),
    work: (id: string) => jobs.work(path, id),
    stop: () => jobs.stop(path, planId()),
  }
}
