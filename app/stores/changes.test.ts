import { describe, expect, test } from '@jest/globals'
import { ref, type Ref, watch } from 'vue'
import { z } from 'zod'
import { createPinia, setActivePinia } from 'pinia'
import { type Asked, frameworkWith, provideGlobally } from '~/testing/framework'

const CHANGE = '7f9619ff-8b86-4011-b42d-00c04fc964ff'
const change = { id: CHANGE, did: 'client put behind', isPlan: false }
const nothing = { undo: null, redo: null }

/** A page that begins anew only when the test says so. */
function slowPage() {
  const hooks = new Map<string, () => void>()
  const app = {
    hooks: {
      hook: (name: string, work: () => void) => {
        hooks.set(name, work)
        return () => void hooks.delete(name)
      },
    },
    runWithContext: (work: () => unknown) => work(),
  }
  return { app, fires: (name: string) => hooks.get(name)?.() }
}

/** The store on a page; `last` is what the server says was done last, each time it is asked. */
async function opened(...last: readonly object[]) {
  const left = [...last]
  const page = slowPage()
  provideGlobally({ useNuxtApp: () => page.app, refreshNuxtData: async () => {} })
  const asked: readonly Asked[] = frameworkWith(({ method }) =>
    method === 'POST'
      ? { ok: true, value: { did: 'client put behind', detail: '' } }
      : { ok: true, value: left.shift() ?? nothing },
  )
  const { useChangesStore } = await import('./changes')
  const store = useChangesStore()
  store.open('anyone', null)
  return { store, page, posts: () => asked.filter(({ method }) => method === 'POST').length }
}
/** Lets everything that was answered be taken in. */
const settled = () => new Promise(resolve => setTimeout(resolve, 20))

describe('taking back', () => {
  test.each(['page:finish', 'app:error'])(
    'is told, and keys are heard, once the page stands anew (%s)',
    async hook => {
      const { store, page } = await opened({ undo: change, redo: null })
      const busyWhenTold: boolean[] = []
      watch(
        () => store.said,
        said => void (said && busyWhenTold.push(store.isBusy)),
        { flush: 'sync' },
      )
      const turned = store.turn('undo')
      await settled()
      expect([store.epoch, store.isBusy, store.said]).toEqual([1, true, ''])
      page.fires(hook)
      await turned
      expect([store.isBusy, store.said]).toEqual([false, 'Undone: client put behind.'])
      expect(busyWhenTold).toEqual([false])
    },
  )

  test('pressed again meanwhile is done after it, not lost', async () => {
    const { store, page, posts } = await opened(
      { undo: change, redo: null },
      { undo: change, redo: null },
      { undo: change, redo: null },
    )
    const turned = store.turn('undo')
    void store.turn('undo')
    await settled()
    expect([posts(), store.epoch]).toEqual([1, 1])
    page.fires('page:finish')
    await settled()
    expect([posts(), store.epoch]).toEqual([2, 2])
    page.fires('page:finish')
    await turned
    expect(store.isBusy).toBe(false)
  })

  test('is not said where there is nothing', async () => {
    const { store, posts } = await opened(nothing)
    await store.turn('undo')
    expect([store.said, posts(), store.isBusy]).toEqual(['Nothing to undo.', 0, false])
  })

  test('waits for what is still on its way, so that this is what is taken back', async () => {
    const { store, page } = await opened()
    const asked: string[] = []
    let takes = () => {}
    const states = new Map<string, Ref<unknown>>()
    provideGlobally({
      useState: (key: string, first: () => unknown) =>
        states.get(key) ?? states.set(key, ref(first())).get(key),
      useToday: () => ref('2026-04-02'),
      useRequestFetch:
        () =>
        async (path: string, { method }: { method: string }) => {
          asked.push(`${method} ${path}`)
          if (path === '/api/notes') await new Promise<void>(resolve => (takes = resolve))
          return method === 'GET' ? { undo: change, redo: null } : { did: change.did, detail: '' }
        },
    })
    const { useApi } = await import('~/shell/useApi')
    provideGlobally({ useApi })
    setActivePinia(createPinia())
    const { useChangesStore } = await import('./changes')
    const real = useChangesStore()
    real.open('anyone', null)
    const saved = useApi().ask('/api/notes', { method: 'POST', answer: z.unknown() })
    const turned = real.turn('undo')
    await settled()
    expect(asked).toEqual(['POST /api/notes'])
    takes()
    expect((await saved).ok).toBe(true)
    await settled()
    expect(asked[1]).toBe('GET /api/changes/anyone/last')
    expect(asked[2]).toBe('POST /api/changes/anyone/undo')
    page.fires('page:finish')
    await turned
    expect(real.said).toBe('Undone: client put behind.')
    expect(store.said).toBe('')
  })
})
