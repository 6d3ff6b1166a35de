import type { DayPack } from './keep'
import type { DayEvent } from './state'

/** An event in a line, with what was told of it. */
export function eventWords(event: DayEvent, pack: DayPack): string {
  const told = event.detail ?? {}
  const kind = pack.happenings.find((kind) => kind.key === event.kind)
  const said = [
    told.fish && pack.fish.find((item) => item.key === told.fish)?.title,
    told.mass && pack.masses.find((mass) => mass.kg === told.mass)?.words,
    told.fly,
    told.place,
    told.stretch && pack.stops.find((stop) => stop.stretch_id === told.stretch)?.title,
    told.rig && pack.rigs.find((rig) => rig.key === told.rig)?.title,
    told.landed,
    told.level !== null && told.level !== undefined && levelWords(told.level, pack),
    told.setting &&
      pack.stops.flatMap((stop) => stop.settings).find((item) => item.m === told.setting)?.words,
    told.words,
    told.photo && 'with a photo',
  ].filter(Boolean)
  return [kind?.title, said.join(', ')].filter(Boolean).join(': ')
}

const levelWords = (level: number, pack: DayPack) =>
  pack.stops.flatMap((stop) => stop.levels).find((item) => item.level_m === level)?.level ?? ''
