import { expect, test } from 'vitest'
import { partPhotoPlace } from '@/core/photo'
import { photoCaption } from './photo-caption'
import { DUBLIN } from './region.fixture'

test('a photograph is called by its panel and mark, or by the part that came off, and never by an id', () => {
  expect(photoCaption(DUBLIN, { place: 'front-door-left' })).toBe('Left front door')
  expect(photoCaption(DUBLIN, { place: 'bonnet', shows: 'chips' })).toBe('Bonnet: stone chips')
  const place = partPhotoPlace('ebeaa6e4')
  expect(photoCaption(DUBLIN, { place, name: 'Fuel flap' })).toBe('Fuel flap')
  expect(photoCaption(DUBLIN, { place })).toBe('')
})
