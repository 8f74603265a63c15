import type { OpenedSheet, SheetAnswer } from '~/workers/sheet'

const MOST_MB = 20

/** A table a coach opens: read in a worker of its own, so that the page never waits. */
export function useSheetFile() {
  const sheets = shallowRef<readonly OpenedSheet[]>([])
  const chosen = ref(0)
  const problem = ref('')
  const isReading = ref(false)
  let worker: Worker | null = null
  function stop(): void {
    worker?.terminate()
    worker = null
    isReading.value = false
  }
  function close(): void {
    stop()
    sheets.value = []
    problem.value = ''
  }
  function answered(answer: SheetAnswer, name: string): void {
    stop()
    if (answer.kind === 'sheets' && answer.sheets.length > 0) {
      chosen.value = 0
      sheets.value = answer.sheets
    } else
      problem.value = `${name} holds no table that can be read. Save it as XLSX, ODS or CSV and open it again.`
  }
  async function open(file: File | undefined): Promise<void> {
    close()
    if (!file) return
    if (file.size > MOST_MB * 1024 * 1024)
      return void (problem.value = `${file.name} is larger than ${MOST_MB} MB. Keep the sheet with the plan and open it again.`)
    isReading.value = true
    const own = (worker = new Worker(new URL('../workers/sheet.ts', import.meta.url), {
      type: 'module',
    }))
    own.addEventListener('message', ({ data }: MessageEvent<SheetAnswer>) =>
      answered(data, file.name),
    )
    own.addEventListener('error', () => answered({ kind: 'unreadable' }, file.name))
    const data = await file.arrayBuffer()
    own.postMessage(data, [data])
  }
  onScopeDispose(stop)
  return {
    open,
    close,
    chosen,
    sheets,
    sheet: computed(() => sheets.value[chosen.value]),
    problem: readonly(problem),
    isReading: readonly(isReading),
  }
}
