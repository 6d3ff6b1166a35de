import type { Catalogue, Joint } from '@/api/client'

type Knots = Catalogue['knots']
type KnotKey = Joint['knot']

export interface JointOption {
  words: string
  joint: Joint
}

export interface OptionGroup {
  title: string
  options: JointOption[]
}

export function valueOf(joint: Joint): string {
  const from = joint.tied_from ? [joint.tied_from] : []
  return [joint.kind, joint.knot, joint.upper_knot ?? '', ...from].join('/')
}

const knotsAt = (knots: Knots, place: string) => knots[place] ?? []

function plain(knots: Knots, place: string, title: string): OptionGroup {
  const options = knotsAt(knots, place).map((knot): JointOption => ({
    words: knot.title,
    joint: { kind: 'knot', knot: knot.key as KnotKey },
  }))
  return { title, options }
}

function paired(knots: Knots, place: string, kind: 'loops' | 'ring' | 'swivel'): OptionGroup {
  const titles = { loops: 'Loop to loop', ring: 'Ring', swivel: 'Swivel' }
  const options = knotsAt(knots, place).map((knot): JointOption => ({
    words: `${titles[kind].toLowerCase()}, ${knot.title}`,
    joint: { kind, knot: knot.key as KnotKey, upper_knot: knot.key as KnotKey },
  }))
  return { title: titles[kind], options }
}

/** Ways to tie at a place, with the present one among them even if it mixes two knots. */
export function optionsFor(
  place: 'line' | 'between' | 'fly',
  knots: Knots,
  present: Joint | undefined,
): OptionGroup[] {
  const groups =
    place === 'fly'
      ? [plain(knots, 'eye', 'To the fly')]
      : place === 'line'
        ? [
            {
              title: 'Loop to the line’s loop',
              options: knotsAt(knots, 'loop').map((knot): JointOption => ({
                words: `loop to loop, ${knot.title}`,
                joint: { kind: 'loops', knot: knot.key as KnotKey, upper_knot: null },
              })),
            },
            plain(knots, 'line', 'To the bare tip'),
          ]
        : [
            plain(knots, 'between', 'Knots'),
            paired(knots, 'eye', 'ring'),
            paired(knots, 'eye', 'swivel'),
            paired(knots, 'loop', 'loops'),
          ]
  const known = groups.some((g) =>
    g.options.some((one) => present && valueOf(one.joint) === valueOf(present)),
  )
  if (present && !known) {
    const name = (key: string | null | undefined) =>
      Object.values(knots)
        .flat()
        .find((knot) => knot.key === key)?.title ?? ''
    const kind = present.kind === 'fly' ? 'fly in line' : present.kind
    const words = `${kind}, ${name(present.upper_knot)} above, ${name(present.knot)} below`
    groups.unshift({ title: 'As it is', options: [{ words, joint: present }] })
  }
  return groups
}
