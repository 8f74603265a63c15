import { fieldErrors } from '#shared/contracts/fieldErrors'
import type { FieldError, ProblemDetails } from '#shared/contracts/problem'
import type { z } from 'zod'

interface Submission<Body extends z.ZodType, Answer extends z.ZodType> {
  readonly path: () => string
  readonly method?: 'POST' | 'PUT' | 'DELETE'
  readonly body: Body
  readonly answer: Answer
  /** The record as the form was opened with it, where others may change it too: it is sent along, and what only they changed is kept. */
  readonly was?: unknown
}

/** What a refused save is to be held against next. */
const nextBase = (problem: ProblemDetails, before: unknown): unknown =>
  problem.type === '/problems/changed-meanwhile' ? problem.base : before

/**
 * Sends a form: checks it with the same contract as the server, and tells what is wrong field by field.
 * What was entered stays as it is, whatever comes back.
 */
export function useSubmission<Body extends z.ZodType, Answer extends z.ZodType>({
  path,
  method = 'POST',
  body,
  answer,
  was,
}: Submission<Body, Answer>) {
  let base = was
  const isShared = was !== undefined
  const { ask } = useApi()
  const errors = shallowRef<readonly FieldError[]>([])
  /** What is wrong with the whole, where no field is to blame. */
  const complaint = ref('')
  const isBusy = ref(false)

  /** The first field that is to blame can be typed in at once. */
  async function showFirst(): Promise<void> {
    await nextTick()
    if (typeof document !== 'undefined')
      document.querySelector<HTMLElement>('form [aria-invalid="true"]')?.focus()
  }

  async function send(entered: unknown): Promise<z.output<Answer> | undefined> {
    complaint.value = ''
    const parsed = body.safeParse(entered)
    errors.value = parsed.success ? [] : fieldErrors(parsed.error.issues)
    if (!parsed.success) {
      await showFirst()
      return undefined
    }
    isBusy.value = true
    const sent = isShared ? { mine: entered, was: base } : (entered as object)
    const result = await ask(path(), { method, body: sent, answer })
    isBusy.value = false
    if (result.ok) {
      base = isShared ? parsed.data : undefined
      return result.value
    }
    if (result.error.kind === 'refused') base = nextBase(result.error.problem, base)
    if (result.error.kind === 'unreachable')
      complaint.value =
        'The server does not answer. Check the connection and try again; what you entered is kept.'
    else if (result.error.problem.errors?.length) {
      errors.value = result.error.problem.errors.map(error => ({
        ...error,
        pointer: isShared ? error.pointer.replace(/^\/mine/, '') : error.pointer,
      }))
      await showFirst()
    } else complaint.value = result.error.problem.detail
    return undefined
  }

  /** What is wrong with a field, in a sentence that begins with its label. */
  function complaintAbout(pointer: string, label: string): string {
    const found = errors.value.find(
      error => error.pointer === pointer || error.pointer.startsWith(`${pointer}/`),
    )
    return found ? `${label} ${found.detail.replace(/^\S+ /, '')}` : ''
  }
  /** Forgets what was wrong, once it is being put right. */
  function forget(): void {
    complaint.value = ''
    errors.value = []
  }
  return {
    forget,
    complaint: readonly(complaint),
    errors: readonly(errors),
    isBusy: readonly(isBusy),
    send,
    complaintAbout,
  }
}
