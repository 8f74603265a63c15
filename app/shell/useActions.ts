import { groupedBy } from '#core/base'
import { useEventListener } from '@vueuse/core'
import { type Action, actionFor, type ActionTable, capsOf, type Pressed } from './actions'

/** A table together with the screen it is for. */
interface Shown {
  readonly table: ActionTable<never>
  readonly screen: unknown
}

/** An action of the screen that is open, ready to be run by its name. */
export interface NamedAction {
  readonly id: string
  readonly label: string
  readonly caps: readonly string[]
  readonly isByKeyOnly: boolean
  readonly run: () => unknown
}

/** What can be done on the screen that is open; filled in the browser only, where keys are. */
const shown = shallowRef<readonly Shown[]>([])
const isHelpOpen = ref(false)

const FIELDS = 'input, textarea, select, dialog, [role=menu], [role=dialog]'
const CONTROLS = 'button, a, summary'

/** Keys that belong to what has the focus: a field, a dialog, or Enter and Space on a control. */
function isTaken(event: KeyboardEvent, ours: Options['ours']): boolean {
  const target = event.target instanceof Element ? event.target : null
  if (event.defaultPrevented || target?.closest(FIELDS)) return true
  const isPress = event.key === 'Enter' || event.key === ' '
  const control = target?.closest(CONTROLS)
  if (!isPress || !control || ours === 'everywhere') return false
  return !(ours === 'in_grid' && control.closest('[role=grid]'))
}

interface Options {
  /** True while no key is the screen's: it is not ready, or something stands over it. */
  readonly isSilent?: () => boolean
  /** Asked first; true where the key has been answered, also in a field or dialog. */
  readonly before?: (event: KeyboardEvent) => boolean
  readonly onAction?: () => void
  /** Where Enter and Space are the screen's although a button has the focus: its cells are buttons that choose. */
  readonly ours?: 'in_grid' | 'everywhere'
  /** Hears keys before other listeners do. */
  readonly isFirst?: boolean
  /** Heard also while something is taken back: keys that are not about what the page shows. */
  readonly isAlwaysHeard?: boolean
}

/** Sends keys to the actions of a screen, and makes them known to the help and the command box while it is open. */
export function useActions<Screen>(
  table: ActionTable<Screen>,
  screen: Screen,
  {
    isSilent = () => false,
    before,
    onAction,
    ours,
    isFirst = false,
    isAlwaysHeard = false,
  }: Options = {},
): void {
  const changes = useChangesStore()
  const own: Shown = { table: table as ActionTable<never>, screen }
  onMounted(() => (shown.value = [...shown.value, own]))
  onBeforeUnmount(() => (shown.value = shown.value.filter(other => other !== own)))
  useEventListener(
    'keydown',
    (event: KeyboardEvent) => {
      if (before?.(event)) return event.preventDefault()
      // While something is taken back the page still shows what was: a key would be for what is about to go.
      if ((changes.isBusy && !isAlwaysHeard) || isSilent() || isTaken(event, ours)) return
      const action = actionFor(table, event, screen)
      if (!action) return
      event.preventDefault()
      if (isFirst) event.stopPropagation()
      onAction?.()
      void action.do(screen, event)
    },
    { capture: isFirst },
  )
}

const BY_NAME: Pressed = {
  key: '',
  shiftKey: false,
  ctrlKey: false,
  metaKey: false,
  altKey: false,
}

function named({ table, screen }: Shown): readonly NamedAction[] {
  const actions = table.actions as readonly Action<unknown>[]
  return actions.map(action => ({
    id: action.id,
    label: action.label,
    caps: capsOf(action),
    isByKeyOnly: action.isByKeyOnly === true || action.when?.(screen) === false,
    run: () => action.do(screen, { ...BY_NAME, key: action.keys[0] }),
  }))
}

/** What can be done on the open screen: for the help, and for the command box. */
export function useShownActions() {
  return {
    /** Tables with one title are told as one. */
    sections: computed(() =>
      [...groupedBy(shown.value, ({ table }) => table.title)].map(([title, own]) => ({
        title,
        mouse: own
          .map(({ table }) => table.mouse ?? '')
          .join(' ')
          .trim(),
        actions: own.flatMap(named),
      })),
    ),
    isHelpOpen,
    /** `?` opens the help of the open screen. */
    openHelp: () => void (isHelpOpen.value = true),
  }
}
