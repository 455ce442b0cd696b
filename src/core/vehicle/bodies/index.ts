import type { Body } from './body'
import { convertible } from './convertible'
import { coupe } from './coupe'
import { estate } from './estate'
import { hatchback } from './hatchback'
import { motorhome } from './motorhome'
import { pickup } from './pickup'
import { saloon } from './saloon'
import { suv } from './suv'
import { van } from './van'

const BODIES = { hatchback, saloon, estate, coupe, convertible, suv, pickup, van, motorhome } as const

export type Shape = keyof typeof BODIES

/** Every body shape, the commonest first. */
export const SHAPES = Object.keys(BODIES) as [Shape, ...Shape[]]

export const SHAPE_NAME: Record<Shape, string> = {
  hatchback: 'Hatchback',
  saloon: 'Saloon',
  estate: 'Estate',
  coupe: 'Coupé',
  convertible: 'Convertible',
  suv: 'SUV',
  pickup: 'Pickup',
  van: 'Van',
  motorhome: 'Motorhome',
}

export function isShape(text: string): text is Shape {
  return Object.hasOwn(BODIES, text)
}

export function bodyOf(shape: Shape): Body {
  return BODIES[shape]
}
