import { describe, expect, test } from '@jest/globals'
import * as vue from 'vue'
import { METHODS } from '#core/plan/method'
import type { Profile } from '#shared/contracts/profile'
import { frameworkWith, provideGlobally } from '~/testing/framework'

const known: Profile = {
  name: 'Joren Haakestad',
  about: 'Rower',
  units: 'lb',
  goal: 'Bigger arms.',
  weakPoints: '',
  trainingAgeMonths: 40,
  method: METHODS[0]!.id,
  modes: { biceps: 'build' },
  days: [
    { weekday: 1, minutes: 50, start: '07:00' },
    { weekday: 4, minutes: 75, start: '18:15' },
  ],
  equipment: ['dumbbell', 'cable'],
  gear: { dumbbells: '4-20 by 2' },
  sensitiveJoints: ['wrist'],
  jointNotes: [{ joint: 'wrist', side: 'left', provokedBy: 'straight bars', since: 'spring' }],
  slowedBy: ['short_sleep'],
  sideLoads: [
    { what: 'Rowing', groups: ['lats'], times: { low: 2, high: 2 }, setsEach: 3, isEstimate: true },
  ],
  hasSafeties: true,
  permits: ['past_failure'],
  scope: 'arms',
  exerciseRules: [
    { exercise: 'kickback_dumbbell', mostKg: 11.33980925, instead: null },
    { exercise: 'dip', mostKg: null, instead: 'machine_dip' },
  ],
  avoid: ['barbell_curl'],
  keep: [],
  screening: { answers: {}, clearance: null },
} as Profile

async function form(
  before: Profile | null,
  answer: unknown = { ok: true, value: { id: '6f9619ff-8b86-4011-b42d-00c04fc964ff' } },
) {
  const asked = frameworkWith(() => answer)
  const { useSubmission } = await import('~/shell/useSubmission')
  provideGlobally({
    useSubmission,
    useStudioSettings: () => ({ methods: vue.ref([]), exerciseNames: vue.ref([]) }),
  })
  const { emptyLoad, useProfileForm } = await import('./useProfileForm')
  return { asked, emptyLoad, of: useProfileForm(before, () => '/api/clients') }
}

describe('a profile that is there', () => {
  test('is sent back as it was when nothing is changed', async () => {
    const { of, asked } = await form(known)
    expect(await of.save()).toBeDefined()
    expect(asked).toEqual([
      { path: '/api/clients', method: 'PUT', body: { mine: known, was: known } },
    ])
  })

  test('has a row for each weekday, with the usual time on those that are off', async () => {
    const { of } = await form(known)
    expect(of.entered.days.map(({ isOn }) => isOn)).toEqual([
      true,
      false,
      false,
      true,
      false,
      false,
      false,
    ])
    expect(of.entered.days[3]).toMatchObject({ minutes: '75', start: '18:15' })
  })

  test('changed, only what was changed is another', async () => {
    const { of, asked } = await form(known)
    of.entered.days[1]!.isOn = true
    of.entered.days[1]!.minutes = '30'
    of.setMode('chest', 'maintain')
    await of.save()
    expect(asked[0]?.body).toMatchObject({
      mine: {
        modes: { biceps: 'build', chest: 'maintain' },
        days: [{ weekday: 1 }, { weekday: 2, minutes: 30 }, { weekday: 4 }],
      },
      was: known,
    })
  })
})

describe('a new client', () => {
  test('needs a name and how long she has trained; nothing is sent before', async () => {
    const { of, asked } = await form(null)
    expect(await of.save()).toBeUndefined()
    expect(of.complaintAbout('/name', 'Name')).not.toBe('')
    expect(of.complaintAbout('/trainingAgeMonths', 'Training for')).not.toBe('')
    expect(asked).toEqual([])
    of.entered.name = 'Tordis'
    of.entered.trainingAgeMonths = '14'
    expect(await of.save()).toBeDefined()
    expect(asked[0]?.method).toBe('POST')
  })

  test.each([
    ['', null],
    ['3', 'new'],
    ['14', 'mid'],
    ['60', 'adv'],
  ])('training for %j months is called %j', async (typed, age) => {
    const { of } = await form(null)
    of.entered.trainingAgeMonths = typed
    expect(of.age.value).toBe(age)
  })

  test('bands follow what is entered before it is saved', async () => {
    const { of } = await form(null)
    const biceps = () => of.bands.value.find(({ group }) => group === 'biceps')!
    of.entered.trainingAgeMonths = '6'
    const early = biceps().target
    of.entered.trainingAgeMonths = '60'
    expect(biceps().target).toBeGreaterThan(early)
    of.setMode('biceps', 'maintain')
    expect(biceps().target).toBeLessThan(early)
    of.entered.trainingAgeMonths = 'long'
    expect(of.bands.value).toEqual([])
  })

  test('equipment is taken from a preset as a whole', async () => {
    const { of } = await form(null)
    const [preset] = of.choices.presets
    of.usePreset(preset!.id)
    expect(of.entered.equipment).toEqual([...preset!.equipment])
    of.usePreset('nobody')
    expect(of.entered.equipment).toEqual([...preset!.equipment])
  })
})

describe('load from outside', () => {
  const sent = async (change: object) => {
    const { of, asked, emptyLoad } = await form(known)
    of.entered.outside = [{ ...emptyLoad(), what: 'Paddling', groups: ['lats'], ...change }]
    await of.save()
    return (asked[0]?.body as { mine: Profile } | undefined)?.mine.sideLoads[0]
  }

  test.each([
    [
      'unknown',
      { amount: 'unknown', setsEach: '9' },
      { setsEach: null, times: { low: 1, high: 1 } },
    ],
    [
      'known',
      { amount: 'known', setsEach: '4', times: '3' },
      { setsEach: 4, times: { low: 3, high: 3 } },
    ],
    ['estimated', { amount: 'estimated', setsEach: '2' }, { setsEach: 2, isEstimate: true }],
    [
      'on weekdays',
      { weekdays: [2, 5], times: '9' },
      { times: { low: 2, high: 2 }, weekdays: [2, 5] },
    ],
  ])('%s', async (_, change, load) => expect(await sent(change)).toMatchObject(load))

  test('a row without words is no load', async () => {
    const { of, asked, emptyLoad } = await form(known)
    of.entered.outside = [emptyLoad()]
    await of.save()
    expect((asked[0]?.body as { mine: Profile }).mine.sideLoads).toEqual([])
  })

  test('a known amount that is no number is refused', async () => {
    expect(await sent({ amount: 'known', setsEach: 'many' })).toBeUndefined()
  })
})

describe('clearance after a screening', () => {
  test('is sent once anything of it is entered, and refused where a part is missing', async () => {
    const { of, asked } = await form(known)
    of.entered.clearance.profession = 'Physician'
    expect(await of.save()).toBeUndefined()
    of.entered.clearance.on = '2026-03-01'
    await of.save()
    expect((asked[0]?.body as { mine: Profile }).mine.screening.clearance).toMatchObject({
      on: '2026-03-01',
      profession: 'Physician',
    })
  })
})
