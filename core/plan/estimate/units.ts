import type { WeightUnit } from '../scheme'

/** A weight as it was typed; it is converted for sums only and never written back in another unit. */
export interface Weight {
  readonly amount: number
  readonly unit: WeightUnit
}

/** Kilograms in a pound, by definition. */
const KG_PER_LB = 0.45359237

/** Kilograms of a weight, for sums and comparisons. */
export function kilogramsOf({ amount, unit }: Weight): number {
  return unit === 'kg' ? amount : amount * KG_PER_LB
}

/** The number to show in a unit; in the unit it was typed in it is the number that was typed. */
export function amountIn(weight: Weight, unit: WeightUnit): number {
  if (weight.unit === unit) return weight.amount
  return unit === 'kg' ? weight.amount * KG_PER_LB : weight.amount / KG_PER_LB
}

const HUNDREDTHS = 100

/** The number that was said, from the kilograms it is kept as: conversion there and back leaves no dust behind. */
export function saidAmount(kg: number, unit: WeightUnit): number {
  return Math.round(amountIn({ amount: kg, unit: 'kg' }, unit) * HUNDREDTHS) / HUNDREDTHS
}
