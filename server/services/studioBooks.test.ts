import { randomUUID } from 'node:crypto'
import { describe, expect, test } from '@jest/globals'
import { addDays, clientId } from '#core/base'
import { BUILT_IN_CATALOGUE, requireExercise } from '#core/plan/catalogue'
import { methodById } from '#core/plan/method'
import type { Session } from '#core/plan/session'
import { serverToday } from '../clock'
import type { Profile } from '#shared/contracts/profile'
import type { Targets } from '#shared/contracts/targets'
import { problemOf, stranger, unitStudio, useTestDatabase, valueOf } from '../testing/database'
import { archive, archiveClient, eraseClient, markClient, restoreClient } from './archive'
import { client } from './clients'
import {
  addExercise,
  changeCredits,
  creditEffect,
  creditsOfClients,
  library,
  removeExercise,
  saveExercise,
} from './library'
import { copyMethod, methods, removeMethod, saveMethod } from './methods'
import { addClient, avoidExercise, followMethod, profile, saveProfile } from './profiles'
import { roster } from './roster'
import { keepSession, removeSessionTemplate, sessionTemplates } from './sessionTemplates'
import { saveTargets } from './targets'

useTestDatabase()

const absent = { kind: 'not-found', what: 'client' }

describe('clients of a studio', () => {
  const newcomer = (from: Profile): Profile => ({ ...from, name: 'Tordis Vell-Amankwah' })

  test('a new one has an empty block on the days there is time for', async () => {
    const { coach, client: of, today } = await unitStudio()
    const { id } = valueOf(await addClient(coach, newcomer(of('Joren').profile), today))
    const seen = valueOf(await client(coach, id))
    expect(seen.name).toBe('Tordis Vell-Amankwah')
    expect(seen.block?.plan.rotation.days.flatMap(day => day.sessions)).toEqual([])
    expect((await roster(coach, today)).clients.map(({ name }) => name)).toContain(seen.name)
  })

  test('a name that another client has is refused at its field, in whatever case', async () => {
    const { coach, client: of, today } = await unitStudio()
    const double = { ...of('Joren').profile, name: of('Marit').name.toUpperCase() }
    expect(problemOf(await addClient(coach, double, today))).toMatchObject({
      kind: 'invalid',
      errors: [{ pointer: '/name' }],
    })
    expect(valueOf(await saveProfile(coach, of('Joren').id, of('Joren').profile)).id).toBe(
      of('Joren').id,
    )
  })

  test('of two tabs keeps what each changed, and asks where both changed one field', async () => {
    const { coach, client: of } = await unitStudio()
    const { id, profile: was } = of('Joren')
    const note = { joint: 'wrist', side: 'left', provokedBy: 'hook grip', since: '' } as const
    const noted = { ...was, jointNotes: [...was.jointNotes, note] }
    valueOf(await saveProfile(coach, id, noted, was))
    // The other tab still shows the profile as it was.
    valueOf(await saveProfile(coach, id, { ...was, about: 'rows at dawn' }, was))
    const now = valueOf(await profile(coach, id))
    expect([now.about, now.jointNotes]).toEqual(['rows at dawn', noted.jointNotes])
    const late = problemOf(await saveProfile(coach, id, { ...was, about: 'sleeps late' }, was))
    expect(late).toMatchObject({ kind: 'changed-meanwhile', fields: ['about'] })
    if (late.kind !== 'changed-meanwhile') throw new Error('was taken')
    // Saved once more it is meant, and still nothing of the first tab goes.
    valueOf(await saveProfile(coach, id, { ...was, about: 'sleeps late' }, late.base as typeof was))
    const last = valueOf(await profile(coach, id))
    expect([last.about, last.jointNotes]).toEqual(['sleeps late', noted.jointNotes])
    expect(
      (
        await Promise.all(
          ['one', 'two'].map(about => saveProfile(coach, id, { ...last, about }, last)),
        )
      )
        .map(({ ok }) => ok)
        .sort(),
    ).toEqual([false, true])
  })

  test('methods and exercises nobody has are named one by one', async () => {
    const { coach, client: of } = await unitStudio()
    const wrong = {
      ...of('Joren').profile,
      method: 'own-none',
      avoid: ['cable_curl', 'no_such_thing'],
    }
    const refused = problemOf(await saveProfile(coach, of('Joren').id, wrong))
    expect(refused).toMatchObject({
      kind: 'invalid',
      errors: [{ pointer: '/method' }, { pointer: '/avoid/1' }],
    })
    expect(valueOf(await profile(coach, of('Joren').id)).method).toBe(of('Joren').method)
  })

  test('an exercise put on the list of those to avoid is on it once, and off the list to keep', async () => {
    const { coach, client: of } = await unitStudio()
    const { id, profile: before } = of('Joren')
    valueOf(await saveProfile(coach, id, { ...before, keep: ['cable_curl'] }))
    for (let times = 0; times < 2; times++) valueOf(await avoidExercise(coach, id, 'cable_curl'))
    const now = valueOf(await profile(coach, id))
    expect([now.avoid.filter(one => one === 'cable_curl').length, now.keep]).toEqual([1, []])
    expect(valueOf(await client(coach, id)).facts.avoid).toContain('cable_curl')
    expect(problemOf(await avoidExercise(coach, id, 'no_such_thing'))).toMatchObject({
      errors: [{ pointer: '/exercise' }],
    })
  })

  test('another method is followed from now on; one that is not hers, or for a client that is not, is refused', async () => {
    const { coach, client: of } = await unitStudio()
    const { id, profile: before } = of('Joren')
    const method = 'few-hard-sets'
    expect(before.method).not.toBe(method)
    valueOf(await followMethod(coach, id, { method }))
    expect(valueOf(await client(coach, id)).method.id).toBe(method)
    expect(valueOf(await profile(coach, id))).toEqual({ ...before, method })
    expect(problemOf(await followMethod(coach, id, { method: 'own-nobody' }))).toMatchObject({
      errors: [{ pointer: '/method' }],
    })
    expect(problemOf(await followMethod(await stranger(), id, { method }))).toEqual(absent)
  })

  test('own targets are in the facts; priorities set with them are in the profile too', async () => {
    const { coach, client: of } = await unitStudio()
    const { id, facts } = of('Joren')
    const targets = {
      modes: { ...facts.modes, chest: 'build' },
      bands: { biceps: { floor: 8, target: 12, ceiling: 16 } },
      jointCeilings: {},
      ratioWish: 1.2,
    } as unknown as Targets
    valueOf(await saveTargets(coach, id, targets))
    const seen = valueOf(await client(coach, id))
    expect(seen.facts.bands?.biceps).toEqual({ floor: 8, target: 12, ceiling: 16 })
    expect(seen.facts.ratioWish).toBe(1.2)
    expect(valueOf(await profile(coach, id)).modes.chest).toBe('build')
    valueOf(await saveTargets(coach, id, { ...targets, ratioWish: null }))
    expect(valueOf(await client(coach, id)).facts.ratioWish).toBeUndefined()
  })

  test('nothing of them can be read or changed by a stranger', async () => {
    const { client: of } = await unitStudio()
    const { id, profile: own } = of('Joren')
    const other = await stranger()
    expect(problemOf(await client(other, id)).kind).toBe('not-found')
    expect(problemOf(await profile(other, id))).toEqual(absent)
    expect(problemOf(await saveProfile(other, id, own))).toEqual(absent)
    expect(problemOf(await avoidExercise(other, id, 'cable_curl'))).toEqual(absent)
    expect(problemOf(await saveTargets(other, id, { modes: {} } as Targets))).toEqual(absent)
  })
})

describe('put away, brought back, erased', () => {
  test('an archived client is off the roster and in the archive, and comes back whole', async () => {
    const { coach, client: of, today } = await unitStudio()
    const { id, plan } = of('Joren')
    valueOf(await archiveClient(coach, id))
    expect((await roster(coach, today)).clients.some(one => one.id === id)).toBe(false)
    expect((await archive(coach)).clients.map(one => one.id)).toEqual([id])
    valueOf(await restoreClient(coach, id))
    expect((await archive(coach)).clients).toEqual([])
    expect(valueOf(await client(coach, id)).block?.plan).toEqual(plan)
  })

  test('only an archived one is erased, and only once her name is typed', async () => {
    const { coach, client: of } = await unitStudio({ logsOf: ['Joren'] })
    const { id, name } = of('Joren')
    expect(problemOf(await eraseClient(coach, id, name)).kind).toBe('invalid')
    valueOf(await archiveClient(coach, id))
    expect(problemOf(await eraseClient(coach, id, 'Joren'))).toMatchObject({
      kind: 'not-confirmed',
      wanted: expect.stringContaining(name),
    })
    valueOf(await eraseClient(coach, id, ` ${name} `))
    expect(problemOf(await profile(coach, id))).toEqual(absent)
    expect((await archive(coach)).clients).toEqual([])
  })

  test('a flag and a "later" are the coach’s own marks', async () => {
    const { coach, client: of, today } = await unitStudio()
    const { id } = of('Joren')
    valueOf(await markClient(coach, id, { isFlagged: true, laterUntil: addDays(today, 3) }))
    const [entry] = (await roster(coach, today)).clients.filter(one => one.id === id)
    expect(entry).toMatchObject({ isFlagged: true, laterUntil: addDays(today, 3) })
    expect(
      problemOf(await markClient(await stranger(), id, { isFlagged: false, laterUntil: null }))
        .kind,
    ).toBe('not-found')
  })

  test('a stranger archives, restores and erases nothing', async () => {
    const { client: of } = await unitStudio()
    const { id, name } = of('Joren')
    const other = await stranger()
    for (const result of [
      await archiveClient(other, id),
      await restoreClient(other, id),
      await eraseClient(other, id, name),
    ])
      expect(problemOf(result).kind).toBe('not-found')
  })
})

describe('exercises of one’s own', () => {
  const curl = requireExercise(BUILT_IN_CATALOGUE, 'cable_curl')
  const own = { ...curl, name: 'Curl over the mooring post', aliases: [] }

  test('is added under an id of its own, changed, and removed again', async () => {
    const { coach } = await unitStudio()
    const { id } = valueOf(await addExercise(coach, own))
    expect(id).not.toBe(curl.id)
    valueOf(await saveExercise(coach, id, { ...own, name: 'Post curl' }))
    const { library: shelf } = await library(coach)
    expect(shelf.exercises.map(({ name }) => name)).toEqual(['Post curl'])
    valueOf(await removeExercise(coach, id))
    const after = await library(coach)
    expect([after.library.exercises.length, after.retired].flat()).not.toContain('Post curl')
  })

  test('a name the library has already is refused at its field', async () => {
    const { coach } = await unitStudio()
    expect(
      problemOf(await addExercise(coach, { ...own, name: curl.name.toUpperCase() })),
    ).toMatchObject({ kind: 'invalid', errors: [{ pointer: '/name' }] })
  })

  test('of another coach is not there', async () => {
    const { coach } = await unitStudio()
    const { id } = valueOf(await addExercise(coach, own))
    const other = await stranger()
    expect(problemOf(await saveExercise(other, id, own)).kind).toBe('not-found')
    expect(problemOf(await removeExercise(other, id)).kind).toBe('not-found')
    expect((await library(other)).library.exercises).toEqual([])
  })
})

describe('credits', () => {
  const half = { intent: null, credits: { biceps: 0.5 }, client: null } as const

  test('what a change would do is told before anything is written', async () => {
    const { coach } = await unitStudio()
    const { effects } = valueOf(await creditEffect(coach, 'cable_curl', half as never))
    expect(effects.length).toBeGreaterThan(0)
    expect((await library(coach)).library.credits).toEqual({})
  })

  test('changed for one client, it is told of that one alone, to that one’s coach alone', async () => {
    const { coach, client: of } = await unitStudio()
    const { id, name } = of('Joren')
    valueOf(await changeCredits(coach, 'cable_curl', { ...half, client: id } as never))
    const { clients } = await creditsOfClients(coach)
    expect(clients.find(one => one.id === id)).toEqual({
      id,
      name,
      credits: { cable_curl: { biceps: 0.5 } },
    })
    expect(clients.filter(({ credits }) => 'cable_curl' in credits)).toHaveLength(1)
    expect((await library(coach)).library.credits).toEqual({})
    expect((await creditsOfClients(await stranger())).clients.map(one => one.id)).not.toContain(id)
    valueOf(await archiveClient(coach, id))
    expect((await creditsOfClients(coach)).clients.map(one => one.id)).not.toContain(id)
  })

  test('changed for everyone, every board counts with it; put back, none does', async () => {
    const { coach, client: of } = await unitStudio()
    valueOf(await changeCredits(coach, 'cable_curl', half as never))
    const credits = valueOf(await client(coach, of('Joren').id)).library.credits
    expect(Object.values(credits)).toEqual([{ biceps: 0.5 }])
    valueOf(await changeCredits(coach, 'cable_curl', { ...half, credits: null } as never))
    expect(valueOf(await client(coach, of('Joren').id)).library.credits).toEqual({})
  })

  test('changed for one client, nobody else’s change', async () => {
    const { coach, client: of } = await unitStudio()
    const { id } = of('Joren')
    valueOf(await changeCredits(coach, 'cable_curl', { ...half, client: id } as never))
    expect(Object.keys(valueOf(await client(coach, id)).facts.credits ?? {})).toHaveLength(1)
    expect(valueOf(await client(coach, of('Marit').id)).facts.credits ?? {}).toEqual({})
  })

  test('of an exercise, a purpose or a client that is not there, are not found', async () => {
    const { coach } = await unitStudio()
    const unknown = clientId(randomUUID())
    const asked = [
      creditEffect(coach, 'no_such_thing', half as never),
      creditEffect(coach, 'cable_curl', { ...half, intent: 'no_such_purpose' } as never),
      creditEffect(coach, 'cable_curl', { ...half, client: unknown } as never),
    ]
    for (const result of await Promise.all(asked)) expect(problemOf(result).kind).toBe('not-found')
  })
})

describe('methods of one’s own', () => {
  test('a copy bears its own name, remembers its preset, and so does a copy of the copy', async () => {
    const { coach } = await unitStudio()
    const { id } = valueOf(await copyMethod(coach, { from: 'steady-middle', name: 'Tide table' }))
    const { id: second } = valueOf(await copyMethod(coach, { from: id, name: 'Spring tide' }))
    const own = (await methods(coach)).methods
    expect(own.map(({ method, basedOn }) => [method.name, basedOn])).toEqual(
      expect.arrayContaining([
        ['Tide table', 'steady-middle'],
        ['Spring tide', 'steady-middle'],
      ]),
    )
    expect(second).not.toBe(id)
  })

  test('is changed in place; a preset is nobody’s to change', async () => {
    const { coach } = await unitStudio()
    const { id } = valueOf(await copyMethod(coach, { from: 'steady-middle', name: 'Tide table' }))
    const method = { ...methodById('steady-middle'), id, name: 'Neap tide' }
    valueOf(await saveMethod(coach, id, method))
    expect((await methods(coach)).methods.map(one => one.method.name)).toEqual(['Neap tide'])
    const preset = methodById('steady-middle')
    const changed = { ...preset, name: 'Mine now' }
    expect(problemOf(await saveMethod(coach, preset.id, changed)).kind).toBe('not-found')
  })

  test('a name that is taken is refused, its own is not', async () => {
    const { coach } = await unitStudio()
    const { id } = valueOf(await copyMethod(coach, { from: 'steady-middle', name: 'Tide table' }))
    const again = await copyMethod(coach, { from: 'steady-middle', name: 'TIDE TABLE' })
    expect(problemOf(again)).toMatchObject({ kind: 'invalid', errors: [{ pointer: '/name' }] })
    const same = { ...methodById('steady-middle'), id, name: 'Tide Table' }
    expect(valueOf(await saveMethod(coach, id, same)).id).toBe(id)
  })

  test('one that a client follows is not removed, and says who follows it', async () => {
    const { coach, client: of } = await unitStudio()
    const { id } = valueOf(await copyMethod(coach, { from: 'steady-middle', name: 'Tide table' }))
    const joren = of('Joren')
    valueOf(await saveProfile(coach, joren.id, { ...joren.profile, method: id }))
    expect(problemOf(await removeMethod(coach, id))).toEqual({
      kind: 'in-use',
      what: 'method',
      where: [joren.name],
    })
    valueOf(await saveProfile(coach, joren.id, joren.profile))
    valueOf(await removeMethod(coach, id))
    expect((await methods(coach)).methods).toEqual([])
  })

  test('of another coach is not there', async () => {
    const { coach } = await unitStudio()
    const { id } = valueOf(await copyMethod(coach, { from: 'steady-middle', name: 'Tide table' }))
    const other = await stranger()
    expect(problemOf(await copyMethod(other, { from: id, name: 'Taken' })).kind).toBe('not-found')
    expect(problemOf(await removeMethod(other, id)).kind).toBe('not-found')
  })
})

describe('sessions kept as templates', () => {
  const kept = (content: Session) => ({ name: 'Short arms', reason: 'For late trains.', content })

  test('of one name, kept at once, are one and a refusal', async () => {
    const { coach, client: of } = await unitStudio()
    const content = of('Joren').plan.rotation.days.flatMap(({ sessions }) => sessions)[0]!
    const asked = { name: 'Dock', reason: '', content }
    const both = await Promise.all(
      ['Dock', 'DOCK'].map(name => keepSession(coach, { ...asked, name })),
    )
    expect(both.map(({ ok }) => ok).sort()).toEqual([false, true])
  })

  test('are listed, told apart by name, and removed', async () => {
    const { coach, client: of } = await unitStudio()
    const [session] = of('Joren').plan.rotation.days.flatMap(day => day.sessions)
    const asked = kept(session!)
    const { id } = valueOf(await keepSession(coach, asked))
    expect((await sessionTemplates(coach)).templates.map(({ name }) => name)).toEqual([
      'Short arms',
    ])
    expect(problemOf(await keepSession(coach, { ...asked, name: 'SHORT ARMS' }))).toMatchObject({
      errors: [{ pointer: '/name' }],
    })
    expect(problemOf(await removeSessionTemplate(await stranger(), id)).kind).toBe('not-found')
    valueOf(await removeSessionTemplate(coach, id))
    expect((await sessionTemplates(coach)).templates).toEqual([])
  })
})

test('what a client has done is known once there is enough of it in the log', async () => {
  const { coach, client: of } = await unitStudio({ logsOf: ['Joren'], today: serverToday() })
  const known = valueOf(await client(coach, of('Joren').id)).facts.doneExercises
  expect(known).toContain('bench_press_barbell')
  expect(known).not.toContain('kettlebell_curl')
  expect(valueOf(await client(coach, of('Pia').id)).facts.doneExercises).toBeUndefined()
})

test('rules for single exercises are kept, and name exercises of the library', async () => {
  const { coach, client: of } = await unitStudio()
  const { id, profile: before } = of('Joren')
  const exerciseRules = [
    { exercise: 'dip', mostKg: null, instead: 'machine_dip' },
    { exercise: 'kickback_dumbbell', mostKg: 12.5, instead: null },
  ]
  valueOf(await saveProfile(coach, id, { ...before, exerciseRules }))
  expect(valueOf(await profile(coach, id)).exerciseRules).toEqual(exerciseRules)
  expect(valueOf(await client(coach, id)).facts.exerciseRules).toEqual(exerciseRules)
  const wrong = [...exerciseRules, { exercise: 'dip', mostKg: null, instead: 'no_such_thing' }]
  expect(
    problemOf(await saveProfile(coach, id, { ...before, exerciseRules: wrong })),
  ).toMatchObject({
    errors: [{ pointer: '/exerciseRules/2' }],
  })
})
