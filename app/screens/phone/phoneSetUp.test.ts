import { expect, test } from '@jest/globals'
import { plainDate } from '#core/base'
import { setUpFields, setUpSummary, setUpTyped } from './phoneSetUp'

const on = plainDate('2026-04-03')
const movement = (more: object = {}) => ({
  setUp: { fields: ['bench', 'seat'] as const, planned: null, last: null, ...more },
})

test('what was said today stands before last time, and that before the plan', () => {
  const last = { on, setUp: { seat: 4 } }
  const planned = { bench: 30 }
  expect(setUpSummary(movement({ last, planned }), { seat: 5 })).toBe('seat 5')
  expect(setUpSummary(movement({ last, planned }), undefined)).toBe('seat 4 on 3 Apr')
  expect(setUpSummary(movement({ planned }), undefined)).toBe('bench 30°')
  expect(setUpSummary(movement(), undefined)).toBe('')
  expect(setUpFields(movement({ last, planned }), undefined).map(({ value }) => value)).toEqual([
    '',
    '4',
  ])
})

test('fields that were left alone keep their value, emptied ones go', () => {
  const rows = setUpFields(movement({ planned: { bench: 30, seat: 4 } }), undefined)
  expect(setUpTyped(rows, { bench: '45' })).toEqual({
    setUp: { bench: 45, seat: 4 },
    complaint: '',
  })
  expect(setUpTyped(rows, { seat: ' ' }).setUp).toEqual({ bench: 30 })
})

test('what cannot be is told by its field, and nothing is said', () => {
  const rows = setUpFields(movement(), undefined)
  expect(setUpTyped(rows, { seat: 'high up' })).toEqual({
    setUp: {},
    complaint: 'Seat: give 1 to 40.',
  })
})

test('a sheet kept from before there were set-ups has no fields', () => {
  const old = { setUp: undefined } as never
  expect(setUpFields(old, undefined)).toEqual([])
  expect(setUpSummary(old, undefined)).toBe('')
})
