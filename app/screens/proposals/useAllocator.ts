import type { AllocateAnswer, AllocateQuestion } from '~/workers/allocate'

/** Runs a question in a worker of its own, so that the page never waits; ending it ends the work at once. */
export function useAllocator() {
  let worker: Worker | null = null
  const progress = ref(0)
  function stop(): void {
    worker?.terminate()
    worker = null
  }
  function ask(question: AllocateQuestion): Promise<AllocateAnswer> {
    stop()
    progress.value = 0
    const own = (worker = new Worker(new URL('../../workers/allocate.ts', import.meta.url), {
      type: 'module',
    }))
    return new Promise((resolve, reject) => {
      own.addEventListener('message', ({ data }: MessageEvent<AllocateAnswer>) => {
        if (data.kind === 'progress') return void (progress.value = data.share)
        resolve(data)
        own.terminate()
      })
      own.addEventListener('error', () => reject(new Error('the worker failed')))
      own.postMessage(question)
    })
  }
  onScopeDispose(stop)
  return { ask, stop, progress: readonly(progress) }
}
