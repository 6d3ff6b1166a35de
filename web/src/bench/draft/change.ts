import type { Design, Edit, Fly, SentenceEdit, Situation } from '@/api/client'
import type { SavedAs } from './keep'

/** Everything that can happen to the design on the bench, as plain data that can wait and be kept. */
export type Change =
  | { kind: 'edit'; edit: Edit }
  | { kind: 'say'; say: SentenceEdit }
  | { kind: 'put'; part: Partial<Design> }
  | { kind: 'day'; at: string[]; part: object }
  | { kind: 'fly'; fly: Fly }
  | { kind: 'begin'; situation: Situation }
  | { kind: 'open'; design: Design; saved: SavedAs | null }
  | { kind: 'preview'; edit: Edit }
  | { kind: 'settle' }
  | { kind: 'revert' }
  | { kind: 'undo' }
  | { kind: 'redo' }
  | { kind: 'read' }

/** A whole with a part of what lies at a path in it changed, and nothing else. */
export function altered<T extends object>(whole: T, at: readonly string[], part: object): T {
  const [first, ...rest] = at
  if (first === undefined) return { ...whole, ...part }
  const inner = (whole as Record<string, object>)[first] ?? {}
  return { ...whole, [first]: altered(inner, rest, part) }
}

/**
 * The changes to make after a reload. A drag that was let go becomes the edit of its last step; one
 * still in the hand, or called off, and repeated readings are left out.
 */
export function surviving(changes: readonly Change[]): Change[] {
  const kept: Change[] = []
  let dragged: Edit | null = null
  for (const change of changes) {
    if (change.kind === 'preview') dragged = change.edit
    else if (change.kind === 'settle' || change.kind === 'revert') {
      if (dragged && change.kind === 'settle') kept.push({ kind: 'edit', edit: dragged })
      dragged = null
    } else if (change.kind !== 'read') kept.push(change)
  }
  return kept
}

/** Repeats of one gesture carry the same tag and make one step of undo. */
export function tagOf(change: Change): string {
  if (change.kind === 'edit' && change.edit.act === 'nudge-joint')
    return `nudge ${change.edit.joint}`
  if (change.kind === 'put') {
    const parts = Object.keys(change.part)
    if (parts.length === 1 && (parts[0] === 'title' || parts[0] === 'notes')) return parts[0]
  }
  return ''
}
