import { expect, test } from '@jest/globals'
import { liftedKg } from '.'

test.each([
  ['dip', 15, 80, 95],
  ['dip', null, 80, 80],
  ['dip', 0, 80, 80],
  ['assisted_dip', 30, 80, 50],
  ['assisted_chin_up', 20, 70, 50],
  ['push_up', 10, 80, 62],
  ['dip', 15, null, null],
  ['cable_curl', 30, 80, 30],
  ['cable_curl', null, 80, null],
  ['machine_dip', 60, 80, 60],
])('%s with %s kg at %s kg of body lifts %s', (exercise, load, body, lifted) =>
  expect(liftedKg(exercise, load, body)).toBe(lifted),
)
