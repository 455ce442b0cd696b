/** Photographs of what came off a car. Kept apart from their parser, so that the card carries none. */

const PART = 'part:'

/** Where a photograph of something that came off the car belongs; the id is that of the act it was put on the list with. */
export const partPhotoPlace = (part: string): string => `${PART}${part}`
export const partOfPhoto = ({ place }: { place: string }): string | undefined =>
  place.startsWith(PART) ? place.slice(PART.length) : undefined
