import { beforeEach, describe, expect, test } from '@jest/globals'
import { plannedSets } from '#core/plan/scheme'
import { formatScheme } from '#core/plan/shorthand'
import { planIn, written } from '#core/testing/shorthandPlans'
import { planScreen } from '~/testing/planScreen'

const plan = planIn(3, written('arms', 'cable_curl 4 x 8-12, rir 1', 'dumbbell_curl 3 x 12, rir 2'))

async function controls(exercise = 'cable_curl') {
  await planScreen(plan)
  const { useSessionBuilder } = await import('./useSessionBuilder')
  const { useRowControls } = await import('./useRowControls')
  const builder = useSessionBuilder(
    () => 0,
    () => 0,
  )
  const slot = () => builder.slots.value.find(held => held.exercise === exercise)!
  return { builder, slot, of: useRowControls(slot, builder) }
}
let builder: Awaited<ReturnType<typeof controls>>['builder']
let slot: Awaited<ReturnType<typeof controls>>['slot']
let of: Awaited<ReturnType<typeof controls>>['of']
beforeEach(async () => void ({ builder, slot, of } = await controls()))

const shown = () => formatScheme(slot().scheme)
const number = (key: string) => of.numbers.value.find(field => field.key === key)

describe('the numbers of an exercise', () => {
  test('are those of its sets; what is open is empty', () => {
    expect(number('sets')?.value).toBe(4)
    expect([number('low')?.value, number('high')?.value]).toEqual([8, 12])
    expect(number('rir')?.value).toBe(1)
    expect(number('load')).toMatchObject({ value: '', name: 'Load, kg' })
  })

  test.each([
    ['sets', '6', '6 x 8-12, rir 1'],
    ['sets', '1', '1 x 8-12, rir 1'],
    ['low', '10', '4 x 10-12, rir 1'],
    ['high', '8', '4 x 8, rir 1'],
    ['low', '15', '4 x 12-15, rir 1'],
    ['rir', '0.5', '4 x 8-12, rir 0.5'],
    ['rest', '75', '4 x 8-12, rir 1, rest 75s'],
  ] as const)('%s %s: %s', (key, typed, text) => {
    of.setNumber(key, typed)
    expect(shown()).toBe(text)
    expect(builder.message.value).toBe('')
  })

  test.each([
    ['sets', '21', 'Choose a number from 0 to 20.'],
    ['sets', '0', 'At least one set, or take the exercise out.'],
    ['sets', '', 'At least one set, or take the exercise out.'],
    ['rir', '-1', 'Choose a number from 0 to 20.'],
    ['rir', 'two', 'Choose a number from 0 to 20.'],
    ['rest', '3601', 'Choose a number from 0 to 3600.'],
    ['load', '2001', 'Choose a number from 0 to 2000.'],
  ] as const)('%s %j is refused: %s', (key, typed, told) => {
    const before = shown()
    of.setNumber(key, typed)
    expect([builder.message.value, shown()]).toEqual([told, before])
  })

  test('emptied, effort, rest and load are open again', () => {
    of.setNumber('load', '20')
    of.setNumber('rest', '90')
    expect(shown()).toContain('20kg')
    for (const key of ['load', 'rest', 'rir'] as const) of.setNumber(key, '')
    expect(shown()).toBe('4 x 8-12')
  })

  test('a weight is in the measure of the exercise: per hand for dumbbells', async () => {
    const hands = await controls('dumbbell_curl')
    hands.of.setNumber('load', '12')
    expect(formatScheme(hands.slot().scheme)).toContain('per hand')
  })

  test('tempo is put together part by part, and taken apart again', () => {
    of.setNumber('lower', '3')
    of.setNumber('longPause', '1')
    expect([number('lower')?.value, number('longPause')?.value]).toEqual([3, 1])
    of.setNumber('lower', '')
    of.setNumber('longPause', '')
    expect(shown()).toBe('4 x 8-12, rir 1')
  })

  test('fewer sets keep the first ones', () => {
    of.setNumber('sets', '2')
    expect(plannedSets(slot().scheme)).toBe(2)
    builder.undo()
    expect(plannedSets(slot().scheme)).toBe(4)
  })
})

describe('choices and words', () => {
  test('a grip is chosen and taken back', () => {
    of.setChoice('grip', 'neutral')
    expect(of.choices.value.grip).toBe('neutral')
    of.setChoice('grip', '')
    expect(of.choices.value.grip).toBeUndefined()
  })

  test('handle and position are words of the sets, the note is the slot’s', () => {
    of.setText('attachment', ' rope ')
    of.setText('note', 'elbows stay beside the body')
    const text = (key: string) => of.texts.value.find(field => field.key === key)?.value
    expect([text('attachment'), text('note')]).toEqual(['rope', 'elbows stay beside the body'])
    of.setText('attachment', '  ')
    expect(text('attachment')).toBe('')
  })
})

describe('techniques', () => {
  test('every one is offered with what it is, and those outside the method say so', () => {
    expect(of.techniques.value.length).toBeGreaterThan(8)
    expect(of.techniques.value.some(({ words }) => words.includes('(not in this method)'))).toBe(
      true,
    )
  })

  test('each makes a scheme that can be undone, and keeps the exercise trained', async () => {
    const ids = of.techniques.value.map(({ id }) => id)
    for (const id of ids) {
      const fresh = await controls()
      fresh.of.applyTechnique(id)
      expect(plannedSets(fresh.slot().scheme)).toBeGreaterThan(0)
      expect(fresh.builder.message.value).toMatch(/Z undoes it\.$/)
      fresh.builder.undo()
      expect(formatScheme(fresh.slot().scheme)).toBe('4 x 8-12, rir 1')
    }
  })

  test('one that nobody knows changes nothing', () => {
    of.applyTechnique('nobody')
    expect([shown(), builder.message.value]).toEqual(['4 x 8-12, rir 1', ''])
  })
})

describe('the set-up', () => {
  test('has the fields of the exercise, typed as numbers or words, emptied again', () => {
    const keys = of.texts.value.map(({ key }) => key)
    expect(keys).toEqual([
      'cable',
      'line',
      'steps',
      'seat',
      'stance',
      'position',
      'attachment',
      'note',
    ])
    of.setText('cable', 'low')
    of.setText('seat', '4')
    expect(shown()).toBe('4 x 8-12 cable low seat 4, rir 1')
    expect(of.texts.value.find(({ key }) => key === 'seat')?.value).toBe('4')
    of.setText('cable', '')
    of.setText('seat', '')
    expect(shown()).toBe('4 x 8-12, rir 1')
  })
  test('what cannot be is refused by name, and the sets stay', () => {
    of.setText('seat', 'high')
    expect(builder.message.value).toBe('Seat: give 1 to 40.')
    expect(shown()).toBe('4 x 8-12, rir 1')
  })
})
