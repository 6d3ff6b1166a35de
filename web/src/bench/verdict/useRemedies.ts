import { answered, api, type Schemas } from '@/api/client'
import { useCast } from '../air/useCast'
import { useSettled } from '../air/useSettled'
import { useBench } from '../useBench'

type Remedy = Schemas['Remedy']

/** What would bring the turnover in, asked for where it stands outside its band. */
export function useRemedies() {
  const bench = useBench()
  const cast = useCast()
  const { found: remedies, looking } = useSettled<Remedy[]>(
    'remedies',
    [],
    (body) => answered(api.POST('/api/casts/remedies', { body })),
    (reading) => reading.turnover.standing !== 'right',
  )

  /** One click: the changed leader or fly goes on the bench, or the stroke is changed. */
  function apply(remedy: Remedy) {
    if (remedy.speed !== null) cast.stroke = { ...cast.stroke, speed: remedy.speed ?? 'normal' }
    else bench.put({ leader: remedy.design.leader, situation: remedy.design.situation })
  }

  return { remedies, looking, apply }
}
