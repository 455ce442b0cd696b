/** What is said of something that was done on the calendar. */
export const MOVE_SAID = {
  moved: (what: string) => `Moved: ${what}.`,
  undone: 'Undone.',
  redone: 'Redone.',
  pinned: 'Pinned where it is.',
  unpinned: 'Free to move again.',
}

export const PLANNED_AS_SEEN = 'Planned. Everybody’s times are the ones you saw.'
