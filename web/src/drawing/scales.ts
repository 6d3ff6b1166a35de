/** A scale from values to pixels above a lane's floor, by proportion or by doubling. */
export type Scale = (value: number) => number

export function byProportion(most: number, height: number): Scale {
  return (value) => (height * Math.max(0, value)) / Math.max(most, 1e-12)
}

export function byDoubling(least: number, most: number, height: number, floor = 5): Scale {
  const span = Math.max(1e-9, Math.log(most / least))
  return (value) => floor + ((height - floor) * Math.log(Math.max(value, least) / least)) / span
}
