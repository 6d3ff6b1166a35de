/** One of several to pick from. */
export interface Option<V> {
  value: V
  words: string
}

export interface OptionGroup<V> {
  title: string
  options: Option<V>[]
}

export const option = <const V>(value: V, words: string): Option<V> => ({ value, words })
