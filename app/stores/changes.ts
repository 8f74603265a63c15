import { refusalWords } from '~/shell/refusalWords'
import { capitalised } from '#core/words'
import { ChangesView, LastChanges, TurnAnswer } from '#shared/contracts/changes'
import { defineStore } from 'pinia'

/** A screen's own finer steps, taken before whole changes. */
export interface OwnSteps {
  readonly undo: () => unknown
  readonly redo: () => unknown
  readonly canUndo: () => boolean
  readonly canRedo: () => boolean
  /** False until steps kept from before are back: then keys wait. */
  readonly isReady: () => boolean
  /** Whether something here is not saved yet: then the last thing done is here. */
  readonly isAhead: () => boolean
}

type Turn = 'undo' | 'redo'

/** What a page may take at most to be set up anew before it is heard again. */
const ANEW_MS = 10_000
const NOTHING_CHANGED = 'the server did not answer, so nothing was changed. Try again.'

/** What was done last on the client whose page is open, or in the studio, and how it is taken back. */
export const useChangesStore = defineStore('changes', () => {
  const { ask, arrived } = useApi()
  const app = useNuxtApp()
  /** Of a client, of the studio where it is null, or of anyone. */
  const subject = ref<string | null>(null)
  const last = shallowRef<LastChanges>({ undo: null, redo: null })
  const own = shallowRef<OwnSteps | null>(null)
  const said = ref('')
  /** Grows whenever something was taken back or done again: pages are set up anew from it. */
  const epoch = ref(0)
  const isBusy = ref(false)
  const path = computed(() =>
    subject.value === null
      ? '/api/changes'
      : subject.value === 'anyone'
        ? '/api/changes/anyone'
        : `/api/clients/${subject.value}/changes`,
  )

  async function load(): Promise<void> {
    const asked = path.value
    const result = await ask(`${asked}/last`, { answer: LastChanges })
    if (result.ok && asked === path.value) last.value = result.value
  }

  /** Another page is open: what it is about, and its own steps where it has any. */
  function open(of: string | null, steps: OwnSteps | null): void {
    if (subject.value !== of) last.value = { undo: null, redo: null }
    subject.value = of
    own.value = steps
  }

  /** A page's own steps come first where the last thing done is one of them. */
  function isOwn(turn: Turn): boolean {
    const steps = own.value
    if (!steps || !(turn === 'undo' ? steps.canUndo() : steps.canRedo())) return false
    const next = last.value[turn]
    return steps.isAhead() || next === null || next.isPlan || turn === 'redo'
  }
  const can = (turn: Turn) => isOwn(turn) || last.value[turn] !== null
  /** What the button would do, for its tooltip. */
  const about = (turn: Turn) => (isOwn(turn) ? '' : (last.value[turn]?.did ?? ''))

  /** What the page was drawn from is asked for again, then it begins anew from that; done once it stands. */
  async function setUpAnew(): Promise<void> {
    await app.runWithContext(() => refreshNuxtData())
    const stands = new Promise<void>(resolve => {
      const stood = () => {
        clearTimeout(late)
        offs.forEach(off => off())
        resolve()
      }
      const late = setTimeout(stood, ANEW_MS)
      const offs = (['page:finish', 'app:error'] as const).map(name => app.hooks.hook(name, stood))
    })
    epoch.value += 1
    await stands
  }

  /** Takes it back or does it again; what came of it. */
  async function turnOnServer(which: Turn): Promise<string> {
    // The change just made may still be on its way; and another window's may be newer than what is known here.
    await arrived()
    await load()
    const next = last.value[which]
    if (!next) return which === 'undo' ? 'Nothing to undo.' : 'Nothing to redo.'
    const result = await ask(`${path.value}/${which}`, {
      method: 'POST',
      body: { change: next.id },
      answer: TurnAnswer,
    })
    if (result.ok) await setUpAnew()
    await load()
    if (!result.ok) return capitalised(refusalWords(result.error, NOTHING_CHANGED))
    const { did, detail } = result.value
    return `${which === 'undo' ? 'Undone' : 'Done again'}: ${did}${detail ? `, ${detail}` : ''}.`
  }

  /** Pressed again while one is still on its way: done after it, in order. */
  const pressed: Turn[] = []
  async function turn(which: Turn): Promise<void> {
    if (isBusy.value) return void pressed.push(which)
    if (own.value?.isReady() === false) return
    said.value = ''
    if (isOwn(which)) return void (which === 'undo' ? own.value?.undo() : own.value?.redo())
    isBusy.value = true
    // Told once the next key is heard.
    const words = await turnOnServer(which).finally(() => (isBusy.value = false))
    said.value = words
    const after = pressed.shift()
    if (after) await turn(after)
  }

  /** Everything that was done, for the list. */
  async function list(): Promise<ChangesView['changes'] | null> {
    const result = await ask(path.value, { answer: ChangesView })
    return result.ok ? result.value.changes : null
  }
  return { subject, last, said, epoch, isBusy, open, load, can, about, turn, list }
})
