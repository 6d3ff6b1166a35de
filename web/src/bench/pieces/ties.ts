import type { Catalogue, Connection } from '@/api/client'
import type { OptionGroup } from '@/widgets/option'

type OwnKnots = Catalogue['ties'][keyof Catalogue['ties']]

/** What tells one way to tie a joint from another. */
export function tieKey(joint: Connection): string {
  const from = joint.tied_from ? [joint.tied_from] : []
  return [joint.kind, joint.knot, joint.upper_knot ?? '', ...from].join('/')
}

/** Ties to pick from, each by its key. */
export function tieGroups(ties: OwnKnots): OptionGroup<string>[] {
  return ties.map((group) => ({
    title: group.title,
    options: group.ties.map(({ words, joint }) => ({ value: tieKey(joint), words })),
  }))
}
