import { defineStore } from 'pinia'
import { computed, ref, shallowRef, watch } from 'vue'
import {
  answered,
  api,
  type BenchRequest,
  type Design,
  type Edit,
  type Evaluation,
  type Fly,
  type Schemas,
  type SentenceEdit,
  type Situation,
} from '@/api/client'
import { plain } from '@/api/plain'
import { inWords, ServerLost } from '@/api/problems'
import { useAnglerStorage } from '@/settings/useAnglerStorage'
import { useSettings } from '@/settings/useSettings'
import { draftOfToday, LEADER_VERSION, type DamagedDraft } from './draft/bringUp'
import { altered, surviving, tagOf, type Change } from './draft/change'
import { History } from './draft/history'
import { draftOfThisTab } from './draft/identity'
import { keepDraft, type Entry, type SavedAs } from './draft/keep'
import { Turns } from './draft/turns'

const LONGEST_WAIT_MS = 4000
/** Where an empty bench is in its history. */
const EMPTY = { at: -1, top: -1 }

/** The design on the bench: every change goes through Python, in order, and is kept as a draft. */
export const useBench = defineStore('bench', () => {
  const settings = useSettings()
  const design = shallowRef<Design | null>(null)
  const evaluation = shallowRef<Evaluation | null>(null)
  /** The day that is at hand while no leader lies here. */
  const bareDay = shallowRef<Schemas['DayAnswer'] | null>(null)
  /** What changed with the last change, where that was not asked for. */
  const note = ref('')
  const thread = ref('')
  const savedBy = shallowRef<Record<string, SavedAs>>({})
  const ghost = shallowRef<Design | null>(null)
  const lost = ref(false)
  const waitingCount = ref(0)
  /** Why this browser doesn’t store the draft; empty while it does. */
  const notStored = ref('')
  const refusal = ref('')
  const canUndo = ref(false)
  const canRedo = ref(false)
  const ready = ref(false)
  const damaged = shallowRef<DamagedDraft | null>(null)

  let draftId = ''
  let history: History<Entry> | null = null
  /** Whether a new leader was begun: the one before comes back by undo. */
  let cleared = false
  let keptDay: { value: Situation | null } | null = null
  let dragFrom: Design | null = null
  /** How many have been opened: what is asked for by hand goes before what is opened at the start. */
  let opened = 0

  const turns = new Turns<Change>(run, keep)

  const saved = computed<SavedAs | null>(() => savedBy.value[thread.value] ?? null)
  const changedSinceSaved = computed(
    () => !saved.value || JSON.stringify(design.value) !== JSON.stringify(saved.value.design),
  )

  const situation = computed(() => design.value?.situation ?? bareDay.value?.situation ?? null)
  const sentence = computed(() => evaluation.value?.sentence ?? bareDay.value?.sentence ?? [])
  const said = computed(() => evaluation.value?.said ?? bareDay.value?.said)

  /** Asks until the server answers; a refusal is passed on, a lost server is waited for. */
  async function untilAnswered<T>(call: () => Promise<T>): Promise<T> {
    for (let wait = 250; ; wait = Math.min(LONGEST_WAIT_MS, wait * 2)) {
      try {
        const answer = await call()
        lost.value = false
        return answer
      } catch (error) {
        if (!(error instanceof ServerLost)) throw error
        lost.value = true
        void keep()
        await new Promise((resolve) => setTimeout(resolve, wait))
      }
    }
  }

  async function show(part: Omit<BenchRequest, 'units'>) {
    const body = { ...part, units: settings.units }
    const answer = await untilAnswered(() => answered(api.POST('/api/v1/bench', { body })))
    design.value = answer.design
    evaluation.value = answer.evaluation
    note.value = answer.note ?? ''
  }

  async function showDay(part: Omit<Schemas['DayRequest'], 'units'>) {
    const body = { ...part, units: settings.units }
    bareDay.value = await untilAnswered(() => answered(api.POST('/api/v1/day', { body })))
    note.value = bareDay.value.note ?? ''
  }

  /** A change to the day while no leader lies here. */
  async function runOnDay(change: Change) {
    const day = bareDay.value?.situation
    if (!day) return
    if (change.kind === 'say') await showDay({ situation: day, say: change.say })
    if (change.kind === 'fly') await showDay({ situation: day, fly: change.fly })
    if (change.kind === 'day') await showDay({ situation: altered(day, change.at, change.part) })
    if (change.kind === 'read') await showDay({ situation: day })
  }

  async function commit(part: Omit<BenchRequest, 'units'>, change: Change) {
    await show(part)
    if (!design.value) return
    const entry = { thread: thread.value, design: design.value }
    if (history) history.push(entry, tagOf(change), performance.now())
    else history = new History([entry])
  }

  async function run(change: Change): Promise<void> {
    const present = cleared ? undefined : history?.present.design
    if (change.kind === 'begin') {
      await showDay({ situation: change.situation })
      cleared = true
      design.value = null
      evaluation.value = null
    } else if (change.kind === 'open') {
      cleared = false
      thread.value = crypto.randomUUID()
      if (change.saved) savedBy.value = { ...savedBy.value, [thread.value]: change.saved }
      await commit({ design: change.design }, change)
    } else if (present && history) {
      if (change.kind === 'edit') await commit({ design: present, edit: change.edit }, change)
      if (change.kind === 'say') await commit({ design: present, say: change.say }, change)
      if (change.kind === 'fly') await commit({ design: present, fly: change.fly }, change)
      if (change.kind === 'put') await commit({ design: { ...present, ...change.part } }, change)
      if (change.kind === 'day') {
        const situation = altered(present.situation, change.at, change.part)
        await commit({ design: { ...present, situation } }, change)
      }
      if (change.kind === 'undo' && history.canUndo) await go(history.undo())
      if (change.kind === 'redo' && history.canRedo) await go(history.redo())
      if (change.kind === 'read') await show({ design: present })
      await runDrag(change, present, history)
    } else if (cleared && history && change.kind === 'undo') {
      await show({ design: history.present.design })
      cleared = false
    } else {
      await runOnDay(change)
    }
  }

  async function go(entry: Entry) {
    thread.value = entry.thread
    await show({ design: entry.design })
  }

  async function runDrag(change: Change, present: Design, past: History<Entry>) {
    if (change.kind === 'preview') {
      dragFrom ??= present
      await show({ design: dragFrom, edit: change.edit })
    }
    if (change.kind === 'settle' && dragFrom && design.value) {
      if (JSON.stringify(design.value) !== JSON.stringify(dragFrom)) {
        past.push({ thread: thread.value, design: design.value })
      }
      dragFrom = null
    }
    if (change.kind === 'revert' && dragFrom) {
      dragFrom = null
      await show({ design: present })
    }
  }

  async function keep() {
    waitingCount.value = turns.unfinished.length
    canUndo.value = cleared ? history !== null : (history?.canUndo ?? false)
    canRedo.value = !cleared && (history?.canRedo ?? false)
    if (!draftId) return
    const head = {
      version: LEADER_VERSION,
      ...(history?.place ?? EMPTY),
      saved: savedBy.value,
      ghost: ghost.value,
      waiting: surviving(turns.unfinished),
      touched: Date.now(),
    }
    try {
      await keepDraft(draftId, head, history?.present)
      notStored.value = ''
    } catch (error) {
      notStored.value = inWords(error)
    }
  }

  /** Takes a change; resolves when done, rejects where Python refuses it. */
  async function change(made: Change, latest = ''): Promise<void> {
    refusal.value = ''
    // a copy: what a form holds may change while this waits
    const done = turns.add(plain(made), latest)
    if (lost.value) void keep()
    await done
  }

  /** Takes a change whose refusal is shown on the bench rather than beside a field. */
  function attempt(made: Change, latest = '') {
    change(made, latest).catch((error: unknown) => {
      refusal.value = inWords(error)
    })
  }

  /** The draft of this tab, if there is one; where the browser stores none, that is shown. */
  async function ownDraft(anglerId: string, isAlone: boolean) {
    try {
      draftId = await draftOfThisTab(anglerId, isAlone)
      return await draftOfToday(draftId)
    } catch (error) {
      notStored.value = inWords(error)
      return { draft: null, damaged: null }
    }
  }

  async function restore(anglerId: string, isAlone: boolean): Promise<boolean> {
    const { draft, damaged: broken } = await ownDraft(anglerId, isAlone)
    damaged.value = broken
    const isEmpty = draft && !draft.entries.length
    if (isEmpty) for (const waiting of draft.head.waiting) attempt(waiting)
    if (isEmpty) return draft.head.waiting.length > 0
    if (draft && !opened) {
      history = new History(draft.entries, draft.head.at)
      savedBy.value = draft.head.saved
      thread.value = history.present.thread
      ghost.value = draft.head.ghost
      design.value = history.present.design
      canUndo.value = history.canUndo
      canRedo.value = history.canRedo
      attempt({ kind: 'read' })
      for (const waiting of draft.head.waiting) attempt(waiting)
    }
    return draft !== null
  }

  async function openLeader(leaderId: string) {
    const mine = ++opened
    const found = await answered(
      api.GET('/api/v1/leaders/{leader_id}', { params: { path: { leader_id: leaderId } } }),
    )
    if (mine === opened) await openDesign(found.design, found)
  }

  async function openDesign(made: Design, from: SavedAs | null = null) {
    opened += 1
    const link = from && {
      leader_id: from.leader_id,
      revision: from.revision,
      design: from.design,
    }
    await change({ kind: 'open', design: made, saved: link })
  }

  /** Restores this tab's draft of an angler's, or opens the leader that was saved last. */
  async function begin(anglerId: string, isAlone: boolean) {
    if (ready.value) return
    keptDay = useAnglerStorage<Situation | null>('day', null)
    if (!(await restore(anglerId, isAlone))) {
      const shelf = await answered(api.GET('/api/v1/leaders'))
      if (shelf[0] && !opened) await openLeader(shelf[0].leader_id)
    }
    if (!design.value) await showDayAtHand()
    ready.value = true
  }

  /** The day that was said last, or a usual one where there is none that can still be read. */
  async function showDayAtHand() {
    const usual = () => answered(api.GET('/api/v1/day'))
    try {
      await showDay({ situation: keptDay?.value ?? (await usual()) })
    } catch {
      await showDay({ situation: await usual() })
    }
  }

  function noteSaved(link: SavedAs) {
    savedBy.value = { ...savedBy.value, [thread.value]: link }
    void keep()
  }

  function pinGhost(pinned: Design | null) {
    ghost.value = pinned
    void keep()
  }

  watch(
    () => settings.units,
    () => situation.value && attempt({ kind: 'read' }),
  )
  watch(situation, (day) => {
    if (keptDay && day) keptDay.value = plain(day)
  })

  return {
    design,
    evaluation,
    situation,
    sentence,
    said,
    note,
    saved,
    ghost,
    lost,
    waitingCount,
    notStored,
    refusal,
    canUndo,
    canRedo,
    damaged,
    ready,
    changedSinceSaved,
    begin,
    openLeader,
    openDesign,
    noteSaved,
    pinGhost,
    change,
    settled: () => turns.settled(),
    edit: (edit: Edit) => attempt({ kind: 'edit', edit }),
    tryEdit: (edit: Edit) => change({ kind: 'edit', edit }),
    say: (said: SentenceEdit) => change({ kind: 'say', say: said }),
    /** Another fly, fished as it can be: what changes with it stands in the note. */
    tieOn: (fly: Fly) => attempt({ kind: 'fly', fly }),
    /** Clears the bench for a new leader on a day; what lay here comes back by undo. */
    startOver: (day: Situation) => change({ kind: 'begin', situation: day }),
    put: (part: Partial<Design>) => attempt({ kind: 'put', part }),
    /** Changes a part of the day as it is when its turn comes: what was said before stays. */
    alter: (at: string[], part: object) => attempt({ kind: 'day', at, part }),
    preview: (edit: Edit) => attempt({ kind: 'preview', edit }, 'drag'),
    settle: () => attempt({ kind: 'settle' }),
    revert: () => attempt({ kind: 'revert' }),
    undo: () => attempt({ kind: 'undo' }),
    redo: () => attempt({ kind: 'redo' }),
  }
})
