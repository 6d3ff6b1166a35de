import { answered, api, type Schemas } from '@/api/client'
import { job } from '@/api/job'
import { useAnswer } from '@/api/useAnswer'
import { useSettings } from '@/settings/useSettings'
import { overhead, useCast } from '../air/useCast'
import { useBench } from '../useBench'
import { useWater } from '../water/useWater'

type Remedy = Schemas['RemedyReading']

/** Quiet after a change before remedies are sought. */
const SETTLED_MS = 500

/** What would bring the turnover in, asked for where it stands outside its band. */
export function useTurnoverRemedies() {
  const bench = useBench()
  const cast = useCast()
  const settings = useSettings()
  const who = `remedies-${crypto.randomUUID().slice(0, 8)}`
  return useAnswer(
    () =>
      bench.design && cast.fresh && cast.reading?.turnover.status !== 'right'
        ? {
            design: bench.design,
            stroke: overhead(cast.stroke),
            units: settings.units,
            learnt: cast.learnt,
          }
        : null,
    ({ design, stroke, units }, waiting) =>
      job('/api/v1/casts/remedies', { bench: who, design, stroke, units }, waiting),
    { quiet: SETTLED_MS },
  )
}

/** What would bring drift and depth in, asked for where one of them stands outside its band. */
export function useWaterRemedies() {
  const bench = useBench()
  const cast = useCast()
  const water = useWater()
  const settings = useSettings()
  const who = `mend-${crypto.randomUUID().slice(0, 8)}`

  function question() {
    const { reading, fresh } = water
    if (!bench.design || !reading || !fresh) return null
    const cords = [reading.drift, reading.depth_cord]
    if (cords.every((cord) => cord.status === 'right')) return null
    return {
      design: bench.design,
      fished: water.fished,
      slack_m: water.slack_m,
      stroke: overhead(cast.stroke),
      units: settings.units,
    }
  }

  return useAnswer(
    question,
    (asked, waiting) => job('/api/v1/water/remedies', { bench: who, ...asked }, waiting),
    { quiet: SETTLED_MS },
  )
}

/** What would bring match, hold and length in, asked for where one of them stands outside. */
export function useVerdictRemedies() {
  const bench = useBench()
  const settings = useSettings()
  return useAnswer(
    () =>
      bench.design && bench.evaluation?.verdict.some((item) => item.status !== 'right')
        ? { design: bench.design, units: settings.units }
        : null,
    (body) => answered(api.POST('/api/v1/bench/remedies', { body })),
    { quiet: SETTLED_MS },
  )
}

/** One click: the changed rig or fly goes on the bench, or the stroke or the fishing is changed. */
export function useApply() {
  const bench = useBench()
  const cast = useCast()
  const water = useWater()

  return function apply({ design, stroke, fished }: Remedy) {
    if (stroke) cast.stroke = { ...cast.stroke, ...stroke }
    else if (fished) water.fished = { ...water.fished, ...fished }
    else bench.put({ leader: design.leader, situation: design.situation })
  }
}
